<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Fit\Marks;
use Incastro\Planning\Job;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;
use Incastro\Planning\TakenPlace;
use Incastro\Survey\SpaceSurvey;
use Incastro\Survey\TakenAt;

/**
 * With the fourth format a take keeps the place at which it was taken, a layout the marks on its wood, and a pipe says whether
 * it is hot. An older job gets the places and the marks that it has on the day it is brought up to date. The same class serves
 * files, stored spaces, and what an undo puts back.
 */
final class Format4
{
    /**
     * @param  array<string, mixed>  $job  of format 3
     * @return array<string, mixed>
     */
    public static function job(array $job): array
    {
        $job = Format5::materials($job);
        $job['spaces'] = array_map(fn (array $space) => self::space($space), $job['spaces']);
        $before = self::asBefore(JobReader::read($job));
        foreach ($job['spaces'] as $s => $space) {
            $job['spaces'][$s]['takes'] = self::placed($space['takes'], $before, $space['id']);
        }
        // Marks were counted anew with every plan, further rows of a member among them.
        $marks = new Marks([], true);
        $plan = (new Planner())->plan(JobReader::read($job), $marks);
        foreach ($plan->spaces as $s => $space) {
            $job['spaces'][$s]['layout']['marks'] = $space->marks($marks->given());
        }

        return $job;
    }

    /**
     * @param  array<string, mixed>  $space  of format 3, or its choices
     * @return array<string, mixed>
     */
    public static function space(array $space): array
    {
        $space['things'] = array_map(self::thing(...), $space['things']);
        $space['layout'] = self::layout($space['layout']);

        return $space;
    }

    /**
     * Planning with it, which gives places and marks, asks for the newest form of what stands in it.
     *
     * @param  array<string, mixed>  $layout
     * @return array<string, mixed>
     */
    public static function layout(array $layout): array
    {
        return Format5::layout($layout) + ['marks' => []];
    }

    /**
     * @param  array<string, mixed>  $thing
     * @return array<string, mixed>
     */
    public static function thing(array $thing): array
    {
        return $thing + ['hot' => false];
    }

    /**
     * A recorded edit, or the one that takes it back.
     *
     * @param  array{path: string, value: mixed}  $edit
     * @return array{path: string, value: mixed}
     */
    public static function edit(array $edit): array
    {
        $isEntry = preg_match('~^things\.[^.]+$~', $edit['path']) === 1;
        if (is_array($edit['value']) && ($edit['path'] === 'layout' || $isEntry)) {
            $edit['value'] = $isEntry ? self::thing($edit['value']) : self::layout($edit['value']);
        }

        return $edit;
    }

    /** A job whose sheets ask at the places of that time. */
    public static function asBefore(Job $job): Job
    {
        return $job->with(array_map(fn ($space) => $space->asking($space->sheet->asBefore()), $job->spaces));
    }

    /**
     * Takes with the places at which their slots lie, as far as they are slots of the space.
     *
     * @param  list<array<string, mixed>>  $takes
     * @return list<array<string, mixed>>
     */
    public static function placed(array $takes, Job $before, string $spaceId): array
    {
        $space = $before->space($spaceId);
        $slots = array_column((new SpaceSurvey($space->sheet, $space->takes, [], $before->format))->slots(), null, 'id');

        return array_map(fn (array $take) => $take + (isset($slots[$take['slot']]) ? ['place' => TakenPlace::write(TakenAt::of($slots[$take['slot']]))] : []), $takes);
    }
}
