<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editing\FactBook;
use App\Models\Fact;
use App\Models\Space;
use App\Planning\JobAnswer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Incastro\Exchange\MeasuringSheetPdf;
use Incastro\Exchange\ReadingsCsv;
use Incastro\Measure\Length;
use Incastro\Planning\Plan;
use Incastro\Planning\SpacePlan;
use Incastro\Trial\Practice;
use Ramsey\Uuid\Uuid;

/** The readings of a space on paper and as CSV, and the hidden room of a practice space with its simulated tape. */
final class SurveyController extends Controller
{
    public function __construct(private readonly JobAnswer $answer)
    {
    }

    public function sheet(Request $request, Space $space): Response
    {
        [$plan, $planned] = $this->planned($space);
        $isBlank = $request->boolean('blank');

        return response((new MeasuringSheetPdf($plan->job->name.', '.$planned->space->name, $planned->survey, $plan->job->format, $isBlank))->write(), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'attachment; filename="'.$this->fileName($planned).($isBlank ? '-blank' : '').'.pdf"',
        ]);
    }

    public function csv(Space $space): Response
    {
        [$plan, $planned] = $this->planned($space);

        return response((new ReadingsCsv($plan->job->format))->write($planned->survey), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="'.$this->fileName($planned).'.csv"',
        ]);
    }

    public function importCsv(Request $request, Space $space, FactBook $book): JsonResponse
    {
        ['file' => $file] = $request->validate(['file' => ['required', 'file', 'max:1024']], ['file.max' => 'The file is larger than 1 MB, which no tape book is.']);
        [$plan, $planned] = $this->planned($space);
        $takes = (new ReadingsCsv($plan->job->format))->read((string) $file->get(), 'readings.csv', $planned->survey->slots);
        $device = (string) Str::uuid();
        $facts = [];
        foreach ($takes as $i => $take) {
            // A line that says when it was taken is known again when the file comes in twice.
            $id = $take['taken_at'] === null ? (string) Str::uuid() : Uuid::uuid5($space->id, implode('|', array_map(strval(...), $take)))->toString();
            $facts[] = ['id' => $id, 'device' => $device, 'sequence' => $i, 'kind' => Fact::TAKE, 'taken_at' => $take['taken_at'] ?? now()->toIso8601String(), 'slot' => $take['slot'], 'text' => $take['text'], 'end' => $take['end']];
        }
        if ($facts !== []) {
            $book->add($space, $this->person($request), $facts);
        }

        return response()->json($this->answer->of($space->job, $this->person($request), 'measure', $space->id));
    }

    /** What the simulated tape reads at a slot. */
    public function practiceReading(Request $request, Space $space): JsonResponse
    {
        ['slot' => $slot] = $request->validate(['slot' => ['required', 'string', 'max:80']]);
        [$plan, $planned] = $this->planned($space);
        $taken = Fact::query()->where(['space_id' => $space->id, 'slot' => $slot, 'kind' => Fact::TAKE])->count();
        $reading = $this->practice($space, $plan, $planned)->read($slot, $taken, $planned->survey->readings);
        abort_if($reading === null, 404, 'This space has no such reading.');

        return response()->json($reading);
    }

    /** How near a person came to the hidden room, and what was missed. */
    public function practiceReport(Space $space): JsonResponse
    {
        [$plan, $planned] = $this->planned($space);
        $report = $this->practice($space, $plan, $planned)->report($planned->survey);
        if ($report === null) {
            abort(409, 'The readings do not make a room yet. Take those that are still to go.');
        }
        $write = fn (float $mm) => ['nm' => Length::ofDouble($mm)->nanometres(), 'text' => $plan->job->format->write(Length::ofDouble($mm))];

        return response()->json([
            'span' => array_map($write, $report['span']),
            'corner' => $write($report['corner']),
            'slips' => array_map(fn (array $slip) => ['off' => sprintf('%+.1f', $slip['off'])] + $slip, $report['slips']),
            'skipped' => array_map(fn ($slot) => $slot->label, $planned->survey->missing),
        ]);
    }

    private function practice(Space $space, Plan $plan, SpacePlan $planned): Practice
    {
        $seed = $space->choices['practice'];
        abort_unless(is_int($seed), 404, 'This space is a real one: measure it with your own tape.');

        return new Practice($planned->space->sheet, $seed, $plan->job->format);
    }

    /** @return array{Plan, SpacePlan} */
    private function planned(Space $space): array
    {
        $plan = $this->answer->plan($space->job);
        $planned = $plan->space($space->id);
        assert($planned !== null);

        return [$plan, $planned];
    }

    private function fileName(SpacePlan $planned): string
    {
        return (str($planned->space->name)->slug()->value() ?: 'space').'-readings';
    }
}
