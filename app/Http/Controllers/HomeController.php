<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Home;
use App\Models\Job;
use App\Planning\JobAnswer;
use App\Planning\JobSketch;
use App\Planning\Shelf;
use App\Planning\StillDrawing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Incastro\Drawing\ScreenWriter;
use Incastro\Drawing\WayDrawing;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\SawChoices;
use Incastro\Planning\StageMemory;
use Incastro\Planning\WayChoices;
use Incastro\Rules\Edit;
use Incastro\Rules\HouseRules;

/** Homes, and the jobs in them with a small elevation of each. */
final class HomeController extends Controller
{
    private const MOST = 50;

    private const MOST_AT_HAND = 1000;

    /** Seconds for which a list of jobs is drawn before it is answered. */
    private const DRAWING = 1.0;

    public function index(Request $request, JobAnswer $answer, StageMemory $memory): JsonResponse
    {
        $until = microtime(true) + self::DRAWING;
        $homes = $this->person($request)->homes()->with('jobs.spaces.facts')->get();

        return response()->json($homes->map(fn (Home $home) => [
            'id' => $home->id,
            'name' => $home->name,
            'ways_in' => $home->ways_in,
            'ways_drawn' => (object) $this->drawnWays($home),
            'unit' => $this->format($home)->unit->value,
            'saws' => $this->saws($home),
            'offcuts' => Shelf::told($home, $this->format($home)),
            'jobs' => $home->jobs->map(fn (Job $job) => $this->sketched($job->setRelation('home', $home), $answer, $memory, $until))->all(),
            'taken_out' => $home->jobs()->onlyTrashed()->get()->map(fn (Job $job) => [
                'id' => $job->id, 'name' => $job->choices['name'],
                'until' => $job->deleted_at?->addDays(config('incastro.put_back_days'))->toIso8601ZuluString(),
            ])->all(),
        ])->all());
    }

    /** Jobs of others that the person helps with. */
    public function helping(Request $request, JobAnswer $answer, StageMemory $memory): JsonResponse
    {
        $until = microtime(true) + self::DRAWING;
        $jobs = $this->person($request)->helpsWith()->with('spaces.facts', 'home.user')->get();

        return response()->json($jobs->map(fn (Job $job) => ['owner' => $job->home->user->name] + $this->sketched($job, $answer, $memory, $until))->all());
    }

    /** @return array<string, mixed> */
    private function sketched(Job $job, JobAnswer $answer, StageMemory $memory, float $until): array
    {
        $sketch = function () use ($job, $answer, $until): JobSketch {
            // A long list comes in parts: those that nobody looked at since they were changed are drawn at the next asking.
            if (microtime(true) > $until) {
                throw new StillDrawing();
            }

            return JobSketch::of($job->id, $answer->plan($job));
        };
        try {
            return $memory->remember('sketch', JobSketch::hash($job), $sketch)->toArray();
        } catch (StillDrawing) {
            return JobSketch::awaited($job->id, $job->choices['name'])->toArray();
        }
    }

    public function store(Request $request): JsonResponse
    {
        $person = $this->person($request);
        abort_if($person->homes()->count() >= self::MOST, 422, sprintf('You have %d homes, which is as many as there can be.', self::MOST));
        $home = $person->homes()->create($this->named($request));

        return response()->json(['id' => $home->id, 'name' => $home->name, 'ways_in' => [], 'ways_drawn' => (object) [], 'unit' => $this->format($home)->unit->value, 'saws' => $this->saws($home), 'offcuts' => [], 'jobs' => [], 'taken_out' => []], 201);
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

        return response()->json(Home::changing($home->id, function (Home $locked) use ($edit): array {
            [$document] = WayChoices::entries($this->format($locked))->apply(['ways_in' => $locked->ways_in], $edit);
            $locked->update(['ways_in' => $document['ways_in']]);

            return $locked->ways_in;
        }));
    }

    /** Changes a figure of a saw, or says that one is owned or not. */
    public function sawsOwned(Request $request, Home $home): JsonResponse
    {
        $data = $request->validate(['path' => ['required', 'string', 'max:60'], 'value' => ['present']]);
        $edit = new Edit($data['path'], $data['value']);

        return response()->json(Home::changing($home->id, function (Home $locked) use ($edit): array {
            $locked->update(['saws' => SawChoices::apply($this->saws($locked), $edit, $this->format($locked))]);

            return $this->saws($locked);
        }));
    }

    /** Says how much of something is at hand, in base units; nothing takes it off the list. */
    public function atHand(Request $request, Home $home): Response
    {
        $data = $request->validate(['item' => ['required', 'string', 'max:120'], 'amount' => ['required', 'integer', 'min:0', 'max:1000000']], ['amount.*' => 'At hand: type a whole number from 0 to 1000000.']);
        Home::changing($home->id, function (Home $locked) use ($data): void {
            $atHand = array_filter([$data['item'] => (int) $data['amount']] + $locked->at_hand);
            abort_if(count($atHand) > self::MOST_AT_HAND, 422, sprintf('There are %d things at hand, which is the most.', self::MOST_AT_HAND));
            $locked->update(['at_hand' => $atHand]);
        });

        return response()->noContent();
    }

    /** @return array<string, mixed> */
    private function saws(Home $home): array
    {
        return $home->sawsIn($this->format($home)->unit);
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
        return LengthFormat::of($home->jobs()->reorder()->latest()->first()->choices['measure'] ?? 'mm/1');
    }

    public function destroy(Home $home): Response
    {
        $home->delete();

        return response()->noContent();
    }

    /** @return array<string, mixed> */
    private function named(Request $request): array
    {
        return $request->validate(['name' => self::nameRules()]);
    }
}
