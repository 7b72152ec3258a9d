<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editing\History;
use App\Models\Home;
use App\Models\Job;
use App\Planning\HomeLessons;
use App\Planning\JobAnswer;
use App\Planning\NewSpace;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\JobChoices;

/** Jobs: begun with their first space, opened at a station, taken out and put back. */
final class JobController extends Controller
{
    private const MOST_IN_A_HOME = 200;

    public function store(Request $request, Home $home): JsonResponse
    {
        $data = $request->validate([
            'name' => self::nameRules(),
            'measure' => ['required', Rule::in(LengthFormat::names())],
            'space' => self::nameRules(),
            ...NewSpace::rules(),
        ]);
        self::refuseMore($home);
        $job = DB::transaction(function () use ($home, $data): Job {
            $job = $home->jobs()->create(['choices' => HomeLessons::applied($home, JobChoices::defaults(trim($data['name']), $data['measure']))]);
            $job->spaces()->create(['choices' => NewSpace::choices($data['space'], $data['measure'], $data)]);

            return $job;
        });

        return response()->json(['id' => $job->id], 201);
    }

    public function show(Request $request, Job $job, JobAnswer $answer): JsonResponse
    {
        $data = $request->validate(['station' => ['sometimes', Rule::in(JobAnswer::STATIONS)], 'space' => ['sometimes', 'uuid']]);

        return response()->json($answer->of($job, $this->person($request), $data['station'] ?? null, $data['space'] ?? null));
    }

    /** Takes a job out: it can be put back for some weeks, then it goes for good. */
    public function takeOut(Job $job, History $history): Response
    {
        $history->changing($job, fn () => $job->delete());

        return response()->noContent();
    }

    public function putBack(Job $job): Response
    {
        $job->restore();

        return response()->noContent();
    }

    public static function refuseMore(Home $home): void
    {
        abort_if($home->jobs()->count() >= self::MOST_IN_A_HOME, 422, sprintf('A home has at most %d jobs. Export and take out those that are done.', self::MOST_IN_A_HOME));
    }
}
