<?php

declare(strict_types=1);

namespace App\Editing;

use App\Models\Job;
use App\Models\Space;
use Incastro\Planning\Layout\LayoutMarks;

/** Gives every box and member of a job its mark once, and keeps it in the layout of its space. */
final class MarkBook
{
    public static function settle(Job $job): void
    {
        $spaces = array_values($job->spaces->all());
        $settled = LayoutMarks::settled(array_map(fn (Space $space) => $space->choices['layout'], $spaces));
        foreach ($spaces as $s => $space) {
            if ($settled[$s]['marks'] != $space->choices['layout']['marks']) {
                $space->choices = ['layout' => $settled[$s]] + $space->choices;
                $space->save();
            }
        }
    }
}
