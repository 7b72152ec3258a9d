<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Home;
use App\Models\Job;
use App\Planning\JobAnswer;
use App\Planning\JobDocument;
use App\Planning\JobSketch;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Incastro\Drawing\ScreenWriter;
use Incastro\Drawing\WayDrawing;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Planner;
use Incastro\Planning\StageMemory;
use Incastro\Planning\WayChoices;
use Incastro\Rules\Edit;
use Incastro\Rules\HouseRules;

/** Homes, and the jobs in them with a small elevation of each. */
final class HomeController extends Controller
{
    public function index(Request $request, JobAnswer $answer, StageMemory $memory): JsonResponse
    {
        $homes = $this->person($request)->homes()->with('jobs.spaces.facts')->get();

        return response()->json($homes->map(fn (Home $home) => [
            'id' => $home->id,
            'name' => $home->name,
            'ways_in' => $home->ways_in,
            'ways_drawn' => (object) $this->drawnWays($home),
            'unit' => $this->format($home)->unit->value,
            'jobs' => $home->jobs->map(function (Job $job) use ($answer, $memory): array {
                $hash = hash('sha256', $job->id.json_encode(JobDocument::of($job)).JobSketch::VERSION.Planner::VERSION);

                return $memory->remember('sketch', $hash, fn () => JobSketch::of($job->id, $answer->plan($job)))->toArray();
            })->all(),
        ])->all());
    }

    public function store(Request $request): JsonResponse
    {
        $home = $this->person($request)->homes()->create($this->named($request));

        return response()->json(['id' => $home->id, 'name' => $home->name, 'ways_in' => [], 'ways_drawn' => (object) [], 'unit' => $this->format($home)->unit->value, 'jobs' => []], 201);
    }

    public function update(Request $request, Home $home): JsonResponse
    {
        $home->update($this->named($request));

        return response()->json(['id' => $home->id, 'name' => $home->name]);
    }

    /** Adds, changes or takes out a way in; lengths as typed, in the unit of the home's newest job. */
    public function waysIn(Request $request, Home $home): JsonResponse
    {
        $data = $request->validate(['path' => ['required', 'string', 'max:120'], 'value' => ['present']]);
        $edit = new Edit('ways_in.'.$data['path'], $data['value']);

        // Two windows that add to one list add one after the other.
        return response()->json(DB::transaction(function () use ($home, $edit): array {
            $locked = Home::query()->lockForUpdate()->findOrFail($home->id);
            [$document] = WayChoices::entries($this->format($locked))->apply(['ways_in' => $locked->ways_in], $edit);
            $locked->update(['ways_in' => $document['ways_in']]);

            return $locked->ways_in;
        }, attempts: 3));
    }

    /** @return array<string, mixed> each way in with the largest box that passes, by its id */
    private function drawnWays(Home $home): array
    {
        $format = $this->format($home);
        $draw = fn (array $way) => ScreenWriter::write((new WayDrawing(WayChoices::read($way), new HouseRules($format->unit), $format))->draw());

        return array_combine(array_column($home->ways_in, 'id'), array_map($draw, $home->ways_in));
    }

    /** A home reads lengths as its newest job does. */
    private function format(Home $home): LengthFormat
    {
        return LengthFormat::of($home->jobs()->latest()->first()->choices['measure'] ?? 'mm/1');
    }

    public function destroy(Home $home): Response
    {
        $home->delete();

        return response()->noContent();
    }

    /** @return array<string, mixed> */
    private function named(Request $request): array
    {
        return $request->validate(['name' => ['required', 'string', 'max:80']]);
    }
}
