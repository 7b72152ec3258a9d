<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editing\FactBook;
use App\Editing\History;
use App\Models\Fact;
use App\Models\Job;
use App\Models\Space;
use App\Planning\FittingEdits;
use App\Planning\JobAnswer;
use App\Planning\NewSpace;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Incastro\Rules\Edit;

/** Everything that changes a job. The answer carries the verdict, the tape and the station that is open. */
final class EditController extends Controller
{
    private const MOST_SPACES = 40;

    public function __construct(private readonly JobAnswer $answer, private readonly History $history)
    {
    }

    public function edit(Request $request, Job $job, FittingEdits $fitting): JsonResponse
    {
        $data = $request->validate([
            'target' => ['required', 'uuid'],
            'version' => ['required', 'integer', 'max:2147483647'],
            'path' => ['required', 'string', 'max:120'],
            'value' => ['present'],
        ]);
        $edit = new Edit($data['path'], $data['value']);
        $fitting->refuse($job, $edit);
        $this->history->edit($job, $this->person($request), $data['target'], (int) $data['version'], $edit);

        return $this->answered($request, $job);
    }

    public function undo(Request $request, Job $job): JsonResponse
    {
        $this->history->undo($job, $this->person($request));

        return $this->answered($request, $job);
    }

    public function redo(Request $request, Job $job): JsonResponse
    {
        $this->history->redo($job, $this->person($request));

        return $this->answered($request, $job);
    }

    /** What was done to the job, and by whom. */
    public function history(Job $job): JsonResponse
    {
        return response()->json($this->history->told($job));
    }

    public function addSpace(Request $request, Job $job): JsonResponse
    {
        $data = $request->validate(['name' => self::nameRules(), ...NewSpace::rules()]);
        abort_if($job->spaces()->count() >= self::MOST_SPACES, 422, sprintf('A job has at most %d spaces. Begin another job.', self::MOST_SPACES));
        $space = $this->history->addSpace($job, $this->person($request), NewSpace::choices($data['name'], $job->choices['measure'], $data));

        return response()->json(['id' => $space->id], 201);
    }

    /** Takes a space out; undo brings it back. */
    public function takeOutSpace(Request $request, Space $space): JsonResponse
    {
        $this->history->takeOut($space->job, $this->person($request), $space->id);

        return $this->answered($request, $space->job);
    }

    public function facts(Request $request, Space $space, FactBook $book): JsonResponse
    {
        $data = $request->validate([
            'facts' => ['required', 'array', 'min:1', 'max:200'],
            'facts.*.id' => ['required', 'uuid'],
            'facts.*.device' => ['required', 'uuid'],
            'facts.*.sequence' => ['required', 'integer', 'min:0'],
            'facts.*.kind' => ['required', Rule::in([Fact::TAKE, Fact::WITHDRAWAL])],
            'facts.*.taken_at' => ['bail', 'required', 'string', 'max:40', 'date'],
            'facts.*.slot' => ['nullable', 'string', 'max:80'],
            'facts.*.text' => ['nullable', 'string', 'max:200'],
            'facts.*.end' => ['nullable', 'string', 'max:20'],
            'facts.*.place' => ['nullable', 'array'],
            'facts.*.withdraws' => ['nullable', 'required_if:facts.*.kind,'.Fact::WITHDRAWAL, 'uuid'],
        ]);
        $book->add($space, $this->person($request), $data['facts']);

        return $this->answered($request, $space->job);
    }

    private function answered(Request $request, Job $job): JsonResponse
    {
        $open = $request->validate(['station' => ['sometimes', 'nullable', Rule::in(JobAnswer::STATIONS)], 'space' => ['sometimes', 'nullable', 'uuid']]);

        return response()->json($this->answer->of($job, $this->person($request), $open['station'] ?? null, $open['space'] ?? null));
    }
}
