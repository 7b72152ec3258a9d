<?php

declare(strict_types=1);

namespace Tests\Core;

use Incastro\Measure\LengthFormat;
use Incastro\Planning\Job;
use Incastro\Planning\JobChoices;
use Incastro\Planning\JobReader;
use Incastro\Planning\Layout\LayoutReader;
use Incastro\Planning\Planner;
use Incastro\Planning\Space;
use Incastro\Planning\SpaceChoices;
use Incastro\Planning\SpacePlan;
use Incastro\Planning\ThingChoices;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Survey;
use Incastro\Trial\HiddenRoom;
use Tests\Core\Survey\TestSpace;

/** A space of any kind, crooked by a seed and surveyed by a perfect tape, into which layouts are put. */
final readonly class TestKind
{
    public Survey $survey;

    private Job $job;

    /** @return array<string, array{SpaceKind}> every kind of space by its name, for a test of each */
    public static function all(): array
    {
        return array_combine(array_map(fn (SpaceKind $kind) => $kind->value, SpaceKind::cases()), array_map(fn (SpaceKind $kind) => [$kind], SpaceKind::cases()));
    }

    /** @param array<string, mixed> $changes of the job's choices */
    public function __construct(public SpaceKind $kind, int $seed = 21, string $measure = 'mm/1', array $changes = [])
    {
        $hidden = new HiddenRoom(SpaceShape::of($kind), $seed);
        $this->survey = (new TestSpace($hidden->shape))->read($hidden->truth(...))->survey();
        $space = ['id' => 'space', 'takes' => [], 'texture' => 'plane'] + SpaceChoices::defaults('Space', LengthFormat::of($measure), $kind);
        $this->job = JobReader::read(array_replace(JobChoices::defaults('Test', $measure), $changes) + ['ways_in' => [], 'spaces' => [$space]]);
    }

    /**
     * @param  array<string, mixed>  $layout
     * @param  list<array<string, mixed>>  $things
     */
    public function space(array $layout, array $things = []): Space
    {
        $space = $this->job->spaces[0];

        return $space->choosing(LayoutReader::read($layout, $this->job->rules), array_map(ThingChoices::read(...), $things), ['layout' => $layout, 'things' => $things] + $space->choices);
    }

    /**
     * @param  array<string, mixed>  $layout
     * @param  list<array<string, mixed>>  $things
     */
    public function plan(array $layout, array $things = []): SpacePlan
    {
        return (new Planner())->furnished($this->job, $this->space($layout, $things), $this->survey);
    }
}
