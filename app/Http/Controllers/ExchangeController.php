<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exchange\JobPorter;
use App\Models\Home;
use App\Models\Job;
use App\Models\Space;
use App\Planning\Cutting;
use App\Planning\JobAnswer;
use App\Planning\Shopping;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Incastro\Drawing\DxfWriter;
use Incastro\Drawing\FileKind;
use Incastro\Drawing\RunDrawing;
use Incastro\Drawing\SheetDrawing;
use Incastro\Drawing\SolidDrawing;
use Incastro\Drawing\SvgWriter;
use Incastro\Exchange\CutSheetPdf;

/** Jobs as files, out and in, and the paper for the saw. */
final class ExchangeController extends Controller
{
    public function export(Job $job, JobPorter $porter): JsonResponse
    {
        return response()->json($porter->export($job), 200, [
            'Content-Disposition' => 'attachment; filename="'.$this->fileName($job, 'json').'"',
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    public function import(Request $request, Home $home, JobPorter $porter): JsonResponse
    {
        ['file' => $file] = $request->validate(['file' => ['required', 'file', 'max:4096']], ['file.max' => 'The file is larger than 4 MB, which no job file is.']);
        JobController::refuseMore($home);
        $job = $porter->import($home, $this->person($request), (string) $file->get());

        return response()->json(['id' => $job->id], 201);
    }

    public function cutSheet(Job $job, JobAnswer $answer): Response
    {
        $plan = $answer->plan($job, isThorough: true);
        [$cutting, $release] = Cutting::onPaper($job, $plan);

        return response((new CutSheetPdf($plan, $cutting, $release))->write(), 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => 'attachment; filename="'.$this->fileName($job, 'pdf').'"',
        ]);
    }

    /** The list for the shops, as a table or on paper. */
    public function toBuy(Job $job, string $format, JobAnswer $answer): Response
    {
        $list = Shopping::of($job, $answer->plan($job, isThorough: true));

        return response($format === 'pdf' ? $list->pdf() : $list->csv(), 200, [
            'Content-Type' => $format === 'pdf' ? 'application/pdf' : 'text/csv; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="to-buy-'.$this->fileName($job, $format).'"',
        ]);
    }

    /** One sheet with its pieces, as a drawing. */
    public function sheet(Job $job, int $number, string $format, JobAnswer $answer): Response
    {
        $kind = $format === 'dxf' ? FileKind::Dxf : FileKind::Svg;
        $plan = $answer->plan($job, isThorough: true);
        $sheet = $plan->cut->sheets->sheets[$number - 1] ?? null;
        if ($sheet === null) {
            abort(404, 'There is no such sheet in the plan any more.');
        }
        $drawing = (new SheetDrawing($plan->job->saw(), $plan->job->format))->of($sheet, $number);

        return $this->drawn($kind, "sheet-$number", $kind === FileKind::Dxf ? DxfWriter::write($drawing) : (new SvgWriter(10.0))->write($drawing));
    }

    /** A run seen from the front, at 1:10. */
    public function elevation(Request $request, Space $space, JobAnswer $answer): Response
    {
        $plan = $answer->plan($space->job);
        $fitted = $plan->space($space->id);
        $room = $fitted?->survey->room;
        $r = $request->integer('run');
        $run = $fitted->layout->runs[$r] ?? null;
        if ($fitted === null || $room === null || $run === null) {
            abort(404, 'Nothing is fitted here yet.');
        }
        $drawing = match ($request->string('view')->value()) {
            'solid', 'apart' => (new SolidDrawing($run, $fitted->assemblies[$r]))->draw($request->string('view')->value() === 'apart'),
            default => (new RunDrawing($run, $fitted->assemblies[$r], $room, $plan->job->format, $fitted->beside($r)))->elevation(),
        };

        return $this->drawn(FileKind::Svg, $space->job->choices['name'], (new SvgWriter(10.0))->write($drawing));
    }

    private function fileName(Job $job, string $extension): string
    {
        return (str($job->choices['name'])->slug()->value() ?: 'job').'.'.$extension;
    }
}
