<?php

declare(strict_types=1);

namespace App\Planning;

use App\Editing\History;
use App\Jobs\ImproveSheets;
use App\Models\Job;
use App\Models\Space;
use App\Models\User;
use Illuminate\Validation\ValidationException;
use Incastro\Exchange\PlanWriter;
use Incastro\Measure\Length;
use Incastro\Planning\JobReader;
use Incastro\Planning\Plan;
use Incastro\Planning\Planner;
use Incastro\Planning\SpacePlan;
use Incastro\Planning\StageMemory;
use Incastro\Rules\Rule;

/** What every change of a job is answered with: verdict, tape, choices, and the open station. */
final readonly class JobAnswer
{
    public const STATIONS = ['measure', 'fit', 'pieces', 'sheets', 'saw', 'install', 'log'];

    public function __construct(private Planner $planner, private History $history, private StageMemory $memory)
    {
    }

    /**
     * @param  bool  $withNotes  whether also what is a note alone is reckoned, where that takes a second plan
     * @param  bool  $isThorough  whether sheets are planned as well as can be
     */
    public function plan(Job $job, bool $withNotes = false, bool $isThorough = false): Plan
    {
        return $this->planner->plan(JobReader::read(JobDocument::of($job)), saysNotStated: $withNotes, isThorough: $isThorough);
    }

    /** @return array<string, mixed> */
    public function of(Job $job, User $user, ?string $station, ?string $spaceId, ?string $knownRelease = null): array
    {
        $plan = $this->plan($job, $station === 'fit', $station === 'sheets');
        if ($station === 'sheets') {
            $this->sketchAnew($job, $plan);
        }
        $writer = new PlanWriter($plan);
        $fitting = FittingStation::of($job, $plan);
        $space = $plan->space($spaceId ?? '') ?? $plan->spaces[0] ?? null;

        return [
            'job' => [
                'id' => $job->id, 'home_id' => $job->home_id, 'version' => $job->version, 'name' => $plan->job->name,
                'unit' => $plan->job->format->unit->value, 'choices' => $job->choices, 'rules' => $this->rules($plan),
                'spaces' => $job->spaces->map(fn (Space $space) => ['id' => $space->id, 'version' => $space->version, 'choices' => $space->choices])->all(),
            ],
            'space' => $space?->space->id,
            'verdict' => self::counting($job, $fitting, $writer->verdict()),
            'tape' => $writer->tape() + ['saw' => Cutting::fact($job), 'install' => $fitting->fact(), 'log' => $job->noted['log'] ?? 'nothing written'],
            'history' => $this->history->labels($job, $user),
            'station' => $station === null || $space === null ? null : $this->station($job, $plan, $writer, $fitting, $station, $space, $knownRelease),
        ];
    }

    /**
     * From the release on the verdict of what fits says how far the cutting has come, and from the first step on how far the fitting.
     *
     * @param  array{state: string, sentence: string}  $verdict
     * @return array{state: string, sentence: string}
     */
    private static function counting(Job $job, FittingStation $fitting, array $verdict): array
    {
        $said = $fitting->sentence() ?: ($job->cuts_in_all > 0 ? ucfirst(Cutting::fact($job)).'.' : '');

        return $verdict['state'] === 'fits' && $said !== '' ? ['sentence' => $verdict['sentence'].' '.$said] + $verdict : $verdict;
    }

    /** The list of jobs drew a draft of the sheets: what is better since then, it shows too. */
    private function sketchAnew(Job $job, Plan $plan): void
    {
        $hash = JobSketch::hash($job);
        $known = $this->memory->find('sketch', $hash);
        if (! $known instanceof JobSketch) {
            return;
        }
        $sketch = JobSketch::of($job->id, $plan);
        if (! $known->hasSheetsOf($sketch)) {
            $this->memory->keep('sketch', $hash, $sketch);
        }
    }

    /** Has a better plan of the sheets looked for while somebody looks at this one, unless that was done. */
    private function improving(Job $job, Plan $plan): bool
    {
        if (! config('incastro.improves') || $plan->job->sheets->seconds === 0 || ! $this->planner->sheets->isOpen($plan)) {
            return false;
        }
        ImproveSheets::dispatch($job->id, $this->planner->sheets->hash($plan));

        return true;
    }

    /**
     * By what the plan of the sheets is known, and the plan that stood there before a better one was found.
     *
     * @return array{hash: string, first: array{price: float, settings: int, now: int}|null} settings of the saw
     */
    private function kept(Plan $plan): array
    {
        $first = $this->planner->sheets->first($plan);

        return ['hash' => $this->planner->sheets->hash($plan), 'first' => $first === null ? null : ['price' => round($first->plan->price, 2), 'settings' => $first->settings, 'now' => $first->settingsNow]];
    }

    /** @return array<string, mixed> */
    private function station(Job $job, Plan $plan, PlanWriter $writer, FittingStation $fitting, string $station, SpacePlan $space, ?string $knownRelease): array
    {
        return ['name' => $station] + match ($station) {
            'measure' => $writer->measure($space),
            'fit' => $writer->fit($space),
            'pieces' => $writer->pieces(),
            'sheets' => $writer->sheets() + ['improving' => $this->improving($job, $plan), 'kept' => $this->kept($plan)] + ['to_buy' => Shopping::station($job, $plan)],
            'saw' => Cutting::station($job, $plan, $knownRelease),
            'install' => $fitting->station(),
            'log' => LogStation::of($job, $plan, $fitting)->station(),
            default => throw ValidationException::withMessages(['station' => sprintf('“%s” is not a station.', $station)]),
        };
    }

    /** @return list<array<string, mixed>> every rule with its value and whether the job changed it */
    private function rules(Plan $plan): array
    {
        $write = fn (Length $length) => ['nm' => $length->nanometres(), 'text' => $plan->job->format->write($length)];

        return array_values(array_map(fn (Rule $rule) => [
            'name' => $rule->value, 'label' => $rule->label(), 'reason' => $rule->reason(), 'group' => ['value' => $rule->group()->value, 'label' => $rule->group()->label()],
            'value' => $write($plan->job->rules->get($rule)),
            'default' => $write($rule->default($plan->job->format->unit)),
        ], Rule::cases()));
    }
}
