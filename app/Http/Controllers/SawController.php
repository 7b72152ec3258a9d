<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editing\JobFactBook;
use App\Models\Home;
use App\Models\Job;
use App\Models\JobFact;
use App\Models\Label;
use App\Models\Release;
use App\Planning\AsCutAnswers;
use App\Planning\Cutting;
use App\Planning\JobAnswer;
use App\Planning\Shelf;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use Incastro\Exchange\CuttingCsv;
use Incastro\Exchange\LabelGrid;
use Incastro\Exchange\LabelsPdf;
use Incastro\Exchange\YardSheetPdf;
use Incastro\Install\FittingFacts;
use Incastro\Log\LogFacts;
use Incastro\Measure\LengthFormat;
use Incastro\Saw\Ticks;

/** Releasing a job for cutting, and what happens to it outside its plan: at the saw, in the shop, on fitting day. Both are answered as every change of a job is. */
final class SawController extends Controller
{
    private const WHY_SPOILED = ['wrong side of the line', 'guide slipped', 'split', 'upside down', 'wrong mark', 'other'];

    public function __construct(private readonly JobAnswer $answer)
    {
    }

    public function release(Request $request, Job $job, Cutting $cutting): JsonResponse
    {
        $data = $request->validate(['anyway' => ['sometimes', 'boolean']]);
        $cutting->release($job, $this->person($request), (bool) ($data['anyway'] ?? false));

        return response()->json($this->answer->of($job, $this->person($request), 'saw', null), 201);
    }

    public function facts(Request $request, Job $job, JobFactBook $book): JsonResponse
    {
        $data = $request->validate([
            'facts' => ['required', 'array', 'min:1', 'max:500'],
            'facts.*.id' => ['required', 'uuid'],
            'facts.*.device' => ['required', 'uuid'],
            'facts.*.sequence' => ['required', 'integer', 'min:0'],
            'facts.*.kind' => ['required', Rule::in([...Ticks::AT_THE_SAW, Ticks::BOUGHT, Ticks::WITHDRAWAL, ...FittingFacts::KINDS, ...LogFacts::KINDS])],
            'facts.*.release' => ['nullable', 'uuid'],
            'facts.*.amount' => ['nullable', 'integer', 'min:1', 'max:1000000'],
            'facts.*.at' => ['bail', 'required', 'string', 'max:40', 'date'],
            'facts.*.part' => ['nullable', 'string', 'max:160'],
            'facts.*.body' => ['nullable', 'array', 'max:20'],
            'sent_at' => ['sometimes', 'string', 'max:40', 'date'],
            'facts.*.dimension' => ['nullable', Rule::in(['length', 'width', 'thickness', 'rest'])],
            'facts.*.text' => ['nullable', 'string', 'max:200'],
            'facts.*.why' => ['nullable', Rule::in(self::WHY_SPOILED)],
            'facts.*.remains' => ['nullable', 'array', 'max:3'],
            'facts.*.remains.*.along' => ['required', 'string', 'max:80'],
            'facts.*.remains.*.across' => ['required', 'string', 'max:80'],
            'facts.*.withdraws' => ['nullable', 'array', 'max:100'],
            'facts.*.withdraws.*' => ['uuid'],
            'station' => ['sometimes', 'nullable', Rule::in(JobAnswer::STATIONS)],
            'space' => ['sometimes', 'nullable', 'uuid'],
        ]);
        $book->add($job, $this->person($request), $data['facts'], isset($data['sent_at']) ? Carbon::parse($data['sent_at']) : null);

        // Whoever ticks has the release already: it is not sent with every cut.
        return response()->json($this->answer->of($job, $this->person($request), $data['station'] ?? null, $data['space'] ?? null, $data['facts'][0]['release'] ?? null));
    }

    /** Labels of the pieces of the newest release. */
    public function labels(Request $request, Job $job): Response
    {
        $data = $request->validate(['grid' => ['required', Rule::enum(LabelGrid::class)], 'first' => ['sometimes', 'integer', 'min:1', 'max:30']], ['first.*' => 'The first free label: type a whole number from 1 to 30.']);
        $release = Release::newest($job) ?? abort(404, 'Nothing is released yet: labels are for what is cut.');
        $pdf = (new LabelsPdf($release->cutting['pieces'], $job->choices['name'], (string) config('app.url'), LabelGrid::from($data['grid']), (int) ($data['first'] ?? 1)))->write();

        return response($pdf, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'attachment; filename="labels.pdf"']);
    }

    /** What the yard is asked to cut for the newest release. */
    public function yard(Job $job): Response
    {
        $release = Release::newest($job) ?? abort(404, 'Nothing is released yet.');
        abort_unless(YardSheetPdf::isNeeded($release->cutting), 404, 'The yard cuts nothing of this release: say in the workshop that it does, and release again.');
        $pdf = (new YardSheetPdf($release->cutting, LengthFormat::of($job->choices['measure'])))->write($job->choices['name']);

        return response($pdf, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'attachment; filename="yard.pdf"']);
    }

    /** Pieces or cuts of the newest release, as a table. */
    public function table(Job $job, string $table): Response
    {
        $release = Release::newest($job) ?? abort(404, 'Nothing is released yet.');

        return response($table === 'pieces' ? CuttingCsv::pieces($release->cutting) : CuttingCsv::cuts($release->cutting), 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"$table.csv\""]);
    }

    /** The piece that a label is on. */
    public function label(Label $label): JsonResponse
    {
        return response()->json(['job' => $label->job_id, 'mark' => $label->mark]);
    }

    /** What can be done with a piece that was cut to another size. */
    public function asCut(Job $job, string $part, AsCutAnswers $answers): JsonResponse
    {
        $release = Release::newest($job) ?? abort(404, 'Nothing is released yet.');

        return response()->json(['answers' => $answers->of($job, $release, $part)]);
    }

    /** Puts what remains of a part on the home's shelf. */
    public function keepOffcut(Request $request, Job $job): JsonResponse
    {
        $data = $request->validate(['part' => ['required', 'string', 'max:60'], 'place' => ['sometimes', 'nullable', 'string', 'max:80']]);
        $release = Release::newest($job) ?? abort(404, 'Nothing is released yet.');
        $rest = array_column(Cutting::lying($release, JobFact::ofJob($job->id))->rests(), null, 'id')[$data['part']] ?? abort(404, 'This part does not lie about: it is not cut yet, or is cut further.');
        $job->loadMissing('home');
        $code = Shelf::keep($job, $rest, trim($data['place'] ?? ''));

        return response()->json(['code' => $code], 201);
    }

    /** Takes an offcut off the shelf: it was used, or is not there. */
    public function takeOffcut(Home $home, string $offcut): Response
    {
        Shelf::take($home, $offcut);

        return response()->noContent();
    }
}
