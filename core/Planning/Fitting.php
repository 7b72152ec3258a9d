<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Fit\Terms;
use Incastro\Install\FittingDay;
use Incastro\Install\FittingTask;
use Incastro\Install\FittingWishes;
use Incastro\Install\Progress;
use Incastro\Install\SpaceTasks;
use Incastro\Install\WallStuds;

/** Fitting day of a whole job: the tasks of all its spaces, by its wishes, as far as it has come. */
final class Fitting
{
    public readonly FittingDay $day;

    /** @var array<string, list<FittingTask>> by space */
    public readonly array $tasks;

    /**
     * @param  array<string, list<array{u: float, hit: bool}>>  $found  studs and probes on fitting day, by space and wall ("SPACE/0"); mm
     * @param  array<string, array<string, float>>  $levels  the floor under the level line, mm, by the task of a plinth and the place
     */
    public function __construct(public readonly Plan $plan, public readonly FittingWishes $wishes, Progress $progress, private readonly array $found = [], array $levels = [])
    {
        $tasks = [];
        foreach ($plan->spaces as $space) {
            $tasks[$space->space->id] = $space->layout === null || $space->survey->room === null ? [] : (new SpaceTasks($space->space->id, $this->terms($space), $space->layout, $space->assemblies, $space->carried, $this->studs($space), $wishes, $levels))->all();
        }
        $this->tasks = $tasks;
        $this->day = new FittingDay(array_merge([], ...array_values($tasks)), $wishes, $progress);
    }

    /** @throws \LogicException where its room is not known */
    public function terms(SpacePlan $space): Terms
    {
        $room = $space->survey->room ?? throw new \LogicException('Tasks follow from a room.');

        return new Terms($room->with($space->space->things), $this->plan->job->rules, $this->plan->job->materials, $this->plan->job->format, $space->space->walls);
    }

    /** @return array<int, WallStuds> by wall: those that were noted with the things of the room, and those of fitting day */
    public function studs(SpacePlan $space): array
    {
        $room = $space->survey->room?->with($space->space->things);
        if ($room === null) {
            return [];
        }
        $studs = [];
        foreach ($room->shape->walls() as $wall) {
            $frame = $room->frame($wall);
            $noted = $this->found["{$space->space->id}/$wall"] ?? [];
            $us = fn (bool $isHit): array => array_column(array_filter($noted, fn (array $one) => $one['hit'] === $isHit), 'u');
            $studs[$wall] = WallStuds::of([...WallStuds::amongThings($room, $frame), ...$us(true)], $us(false), $frame->length());
        }

        return $studs;
    }
}
