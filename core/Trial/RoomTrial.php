<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Measure\LengthFormat;
use Incastro\Planning\Job;
use Incastro\Planning\JobChoices;
use Incastro\Planning\JobReader;
use Incastro\Planning\Layout\LayoutReader;
use Incastro\Planning\Planner;
use Incastro\Planning\Recipes\StartingLayouts;
use Incastro\Planning\Space;
use Incastro\Planning\SpaceChoices;
use Incastro\Planning\SpacePlan;
use Incastro\Planning\ThingChoices;
use Incastro\Rules\Finding;
use Incastro\Rules\Rule;
use Incastro\Rules\Severity;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Survey;

/**
 * One made-up room from measuring to fitting: a person measures it, the ordinary planner plans what its household wants, the
 * person takes a way out of what clashes, and what was planned is put into the true room, piece by piece. A bare room has
 * nothing on its walls and takes the usual layout of its kind, and shelves from wall to wall where the kind has them.
 */
final readonly class RoomTrial
{
    /** Ways out that a person takes before giving a layout up. */
    private const WAYS_OUT = 3;

    private LengthFormat $format;

    private SpaceShape $shape;

    /** @var array<string, mixed>|null shelves from wall to wall, where the kind has such a layout */
    private ?array $shelves;

    /** @param float $optional share of the optional readings that are taken */
    public function __construct(private SpaceKind $kind, private float $slips, private bool $isBare = false, private Grade $grade = Grade::Plane, private float $optional = 0.0)
    {
        $this->format = LengthFormat::millimetres();
        $this->shape = SpaceShape::of($kind);
        $this->shelves = (new StartingLayouts($this->shape, 'trial', $this->format))->named('wall-to-wall');
    }

    public function run(int $seed): RoomResult
    {
        $usual = $this->job(['layout' => (new StartingLayouts($this->shape, 'trial', $this->format))->usual()] + SpaceChoices::defaults('Trial', $this->format, $this->kind), false);
        // Where the sheet takes the plan of an average room of the kind.
        $room = new TrueRoom($this->shape, $seed, $usual->spaces[0]->sheet->places()->planHeight(), $this->grade);
        $person = new Person($room, new Dice($seed + 1_000_003), $this->format, $this->slips, $this->optional);
        $survey = $person->measure();
        // Shelves ask for no offsets: they are planned by what the starting sheet gave.
        $shelves = new ShelfJudge($room, $usual->materials->carcass->thickness->toDouble());
        foreach ($this->shelves === null ? [] : $this->plan($usual, $person, $survey, ['layout' => $this->shelves] + $usual->spaces[0]->choices)->layout->runs ?? [] as $run) {
            $shelves->run($run);
        }
        $household = $this->isBare ? null : new Household($room, new Dice($seed + 3_000_017));
        $job = $household === null ? $usual : $this->job($usual->spaces[0]->choices, $household->skirtingStays);
        // The layouts are looked at in the room as measured, before one goes round it for what is on its walls.
        $suits = fn (array $choices): bool => self::clash($this->plan($job, $person, $survey, $choices)) === null;
        $choices = $household?->choices($this->format, $job->materials->carcass->thickness, $suits) ?? $usual->spaces[0]->choices;
        $tries = $this->isBare ? 0 : self::WAYS_OUT;
        $plan = $this->settled($job, $person, $survey, $choices, $tries);
        if ($plan->layout !== null) {
            $survey = $person->takeOffsets($plan->layout, $survey);
            $plan = $this->settled($job, $person, $survey, $choices, $tries);
        }
        $judge = new Judge($room, new Dice($seed + 2_000_003), $household !== null, $household !== null && $household->skirtingStays);
        foreach ($plan->layout->runs ?? [] as $run) {
            $judge->run($run, $job->materials->frame->thickness->toDouble(), $job->rules->mm(Rule::PlinthHeight));
        }
        if (($plan->layout->runs ?? []) === []) {
            $judge->jams[] = 'no room could be made of the readings';
        }
        $pieces = $household === null ? null : $this->pieces($room, $household, $choices, $plan, $judge);

        $isGivenUp = $plan->pieces() === [];

        return new RoomResult($seed, $room, $person, $survey, $plan, $judge, $shelves, $pieces, $household !== null && ($isGivenUp || self::clash($plan) !== null));
    }

    /** @param array<string, mixed> $choices */
    private function job(array $choices, bool $skirtingStays): Job
    {
        return JobReader::read(['skirting_stays' => $skirtingStays] + JobChoices::defaults('Trial', 'mm/1') + ['ways_in' => [], 'spaces' => [['id' => 'trial', 'takes' => []] + $choices]]);
    }

    /**
     * Planned, and where that clashes planned again with the first way out that was checked, as often as the person has
     * patience for.
     *
     * @param  array<string, mixed>  $choices
     */
    private function settled(Job $job, Person $person, Survey $survey, array &$choices, int &$tries): SpacePlan
    {
        $plan = $this->plan($job, $person, $survey, $choices);
        while ($tries > 0 && ($clash = self::clash($plan)) !== null && $clash->waysOut !== []) {
            $tries--;
            [$choices] = SpaceChoices::apply($choices, $clash->waysOut[0]->edit, $this->format, $job->materials->carcass->thickness);
            $plan = $this->plan($job, $person, $survey, $choices);
        }

        return $plan;
    }

    /** The first clash with a way out, or else the first. */
    private static function clash(SpacePlan $plan): ?Finding
    {
        $clashes = array_values(array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
        $solved = array_values(array_filter($clashes, fn (Finding $clash) => $clash->waysOut !== []));

        return $solved[0] ?? $clashes[0] ?? null;
    }

    /** @param array<string, mixed> $choices */
    private function plan(Job $job, Person $person, Survey $survey, array $choices): SpacePlan
    {
        $things = array_values(array_map(ThingChoices::read(...), $choices['things']));

        return (new Planner())->furnished($job, new Space('trial', 'Trial', $person->sheet(), $person->takes, LayoutReader::read($choices['layout'], $job->rules), $things, [], $choices), $survey);
    }

    /** @param array<string, mixed> $choices */
    private function pieces(TrueRoom $room, Household $household, array $choices, SpacePlan $plan, Judge $judge): PieceJudge
    {
        $left = array_column(array_filter($choices['things'], fn (array $thing) => $thing['rule'] !== 'removed'), 'id');
        $pieces = new PieceJudge($room, array_values(array_filter($household->things, fn (TrueThing $thing) => in_array($thing->id, $left, true))), $household->skirtingStays);
        foreach ($plan->layout->runs ?? [] as $r => $run) {
            if (isset($judge->stands[$run->run->id])) {
                $pieces->run($run, $plan->assemblies[$r], ...$judge->stands[$run->run->id]);
            }
        }

        return $pieces;
    }
}
