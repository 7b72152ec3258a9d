<?php

declare(strict_types=1);

// Core time of large layouts, and of the check of everything put together alone: 12 bays of 4 tiers in an alcove with 20 things
// on its walls, most pieces cut around one; and 16 bays with nothing on the walls. The median of 30 runs after 5.

use Incastro\Check\Assembled;
use Incastro\Fit\FittedRun;
use Incastro\Fit\LayoutFitter;
use Incastro\Fit\Marks;
use Incastro\Fit\Terms;
use Incastro\Planning\Job;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;
use Incastro\Survey\SpaceSurvey;
use Incastro\Units\RunBuilder;

require __DIR__.'/../../vendor/autoload.php';

/** @var \Closure(int, int): array $large */
$large = require __DIR__.'/large.php';

/** @param \Closure(): float $timed milliseconds of one run */
$sorted = function (Closure $timed): array {
    $times = array_map(fn () => $timed(), range(1, 35));
    $times = array_slice($times, 5);
    sort($times);

    return $times;
};

$core = function (array $document) use ($sorted): array {
    return $sorted(function () use ($document): float {
        $start = hrtime(true);
        $job = JobReader::read($document);
        (new Planner())->space($job, $job->spaces[0]);

        return (hrtime(true) - $start) / 1e6;
    });
};

/** @return array{list<float>, int} and of how many pieces */
$assembled = function (Job $job) use ($sorted): array {
    $space = $job->spaces[0];
    $survey = (new SpaceSurvey($space->sheet, $space->takes, $space->things, $job->format))->solve();
    $terms = new Terms($survey->room->with($space->things), $job->rules, $job->materials, $job->format);
    $layout = (new LayoutFitter($terms))->fit($space->layout, new Marks());
    $pieces = 0;

    return [$sorted(function () use ($layout, $terms, $space, &$pieces): float {
        // Built anew each time: solids are made when they are first looked at.
        $assemblies = array_map(fn (FittedRun $run) => (new RunBuilder($terms, $space->layout->openings))->build($run, new Marks()), $layout->runs);
        $pieces = count($assemblies[0]->placed);
        $start = hrtime(true);
        (new Assembled($layout, $assemblies, $terms, $space->layout->openings))->findings();

        return (hrtime(true) - $start) / 1e6;
    }), &$pieces];
};

$units = [[16, 0, false, '64 units, nothing on the walls, core', 250], [12, 20, false, '12 bays × 4 tiers, 20 things, core', 120], [12, 0, true, '12 × 4, drawers and doors, core', 600]];
foreach ($units as [$count, $things, $isClosed, $what, $goal]) {
    $times = $core($large($count, $things, $isClosed));
    printf("%-38s median %6.1f ms, slowest %6.1f ms   (goal: under %d ms)\n", $what, $times[15], end($times), $goal);
}
foreach ([[16, 0, '(goal: under 15 ms for 400)'], [12, 20, 'most of them cut around things']] as [$count, $things, $goal]) {
    [$times, $pieces] = $assembled(JobReader::read($large($count, $things)));
    printf("%-38s median %6.1f ms, slowest %6.1f ms   %s\n", "$pieces pieces put together", $times[15], end($times), $goal);
}
