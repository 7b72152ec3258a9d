<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editing\History;
use App\Models\EditRecord;
use App\Models\Home;
use App\Models\Job;
use App\Models\Space;
use App\Planning\JobAnswer;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\JobChoices;
use Incastro\Planning\SpaceChoices;
use Incastro\Survey\Space\SpaceKind;

/** Jobs: begun with their first space, opened at a station, deleted. */
final class JobController extends Controller
{
    public function __construct(private readonly JobAnswer $answer)
    {
    }

    public function store(Request $request, Home $home): JsonResponse
    {
        $data = $request->validate([
            'name' => ['required', 'string', 'max:80'],
            'measure' => ['required', Rule::in(LengthFormat::names())],
            'space' => ['required', 'string', 'max:80'],
            ...$this->spaceRules(),
        ]);
        $job = DB::transaction(function () use ($home, $data): Job {
            $job = $home->jobs()->create(['choices' => JobChoices::defaults(trim($data['name']), $data['measure'])]);
            $job->spaces()->create(['choices' => $this->choices($data['space'], $data['measure'], $data)]);

            return $job;
        });

        return response()->json(['id' => $job->id], 201);
    }

    public function show(Request $request, Job $job): JsonResponse
    {
        $data = $request->validate(['station' => ['sometimes', Rule::in(JobAnswer::STATIONS)], 'space' => ['sometimes', 'uuid']]);

        return response()->json($this->answer->of($job, $this->person($request), $data['station'] ?? null, $data['space'] ?? null));
    }

    public function destroy(Job $job, History $history): Response
    {
        DB::transaction(fn () => $history->lock($job)->delete(), attempts: History::ATTEMPTS);

        return response()->noContent();
    }

    public function addSpace(Request $request, Job $job): JsonResponse
    {
        $data = $request->validate(['name' => ['required', 'string', 'max:80'], ...$this->spaceRules()]);
        $space = $job->spaces()->create([
            'choices' => $this->choices($data['name'], $job->choices['measure'], $data),
            'position' => 1 + (int) $job->spaces()->max('position'),
        ]);

        return response()->json(['id' => $space->id], 201);
    }

    public function removeSpace(Space $space, History $history): Response
    {
        DB::transaction(function () use ($space, $history): void {
            $history->lock($space->job);
            // What was changed in it can be undone no more; what was changed before it still can.
            EditRecord::query()->where(['job_id' => $space->job_id, 'target' => $space->id])->delete();
            $space->delete();
        }, attempts: History::ATTEMPTS);

        return response()->noContent();
    }

    /** @return array<string, mixed> */
    private function spaceRules(): array
    {
        return ['kind' => ['sometimes', Rule::enum(SpaceKind::class)], 'practice' => ['sometimes', 'boolean']];
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array<string, mixed>
     */
    private function choices(string $name, string $measure, array $data): array
    {
        $kind = SpaceKind::from($data['kind'] ?? SpaceKind::Alcove->value);
        $choices = SpaceChoices::defaults(trim($name), LengthFormat::of($measure), $kind);

        return ['practice' => ($data['practice'] ?? false) ? random_int(1, 1_000_000) : null] + $choices;
    }
}
