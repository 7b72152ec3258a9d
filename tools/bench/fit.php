<?php

declare(strict_types=1);

// Core time of large layouts, and of the check of everything put together alone: 12 bays of 4 tiers in an alcove with 20 things
// on its walls, most pieces cut around one; and 16 bays with nothing on the walls. The median of 30 runs after 5.

use Incastro\Check\Assembled;
use Incastro\Exchange\JobFile;
use Incastro\Fit\FittedRun;
use Incastro\Fit\LayoutFitter;
use Incastro\Fit\Marks;
use Incastro\Fit\Terms;
use Incastro\Planning\Job;
use Incastro\Planning\JobReader;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Planner;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Survey\SpaceSurvey;
use Incastro\Units\RunBuilder;

require __DIR__.'/../../vendor/autoload.php';

$file = __DIR__.'/../../database/demo/map-wall.json';
$demo = JobFile::read($file, (string) file_get_contents($file))['job'];
$mm = fn (float $length) => ['nm' => (int) ($length * 1e6), 'typed' => ''];

$large = function (int $count, int $things) use ($demo, $mm): array {
    $bays = [];
    for ($b = 0; $b < $count; $b++) {
        $tiers = [];
        for ($t = 0; $t < 4; $t++) {
            $tiers[] = Doc::tier("t-$b-$t", ['joined' => $t !== 2, 'holds' => Recipe::box(0, $t % 2)]);
        }
        $bays[] = Doc::bay("b-$b", $tiers, ['joined' => $b % 3 === 1]);
    }
    $space = &$demo['spaces'][0];
    $space['layout'] = ['runs' => [Doc::run('run', 0, $bays, ['depth' => $mm(400)])], 'members' => [Doc::member('plinth', 'plinth', array_column($bays, 'id'))]] + Doc::none();
    $thing = $space['things'][2];
    $space['things'] = [];
    for ($i = 0; $i < $things; $i++) {
        $kind = ['socket', 'pipe', 'stud', 'valve'][$i % 4];
        $space['things'][] = ['id' => "thing-$i", 'kind' => $kind, 'name' => "Thing $i", 'along' => $mm(90 + 150 * $i), 'up' => $mm(200 + 90 * ($i % 7)), 'width' => $mm(40), 'height' => $mm(60), 'stands_out' => $mm(30), 'rule' => $kind === 'stud' ? 'may-be-covered' : 'reachable', 'direction' => $kind === 'pipe' ? 'out' : null] + $thing;
        $space['layout']['openings'][] = "thing-$i";
    }

    return $demo;
};

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

$units = [[16, 0, '64 units, nothing on the walls, core', 250], [12, 20, '12 bays × 4 tiers, 20 things, core', 120]];
foreach ($units as [$count, $things, $what, $goal]) {
    $times = $core($large($count, $things));
    printf("%-38s median %6.1f ms, slowest %6.1f ms   (goal: under %d ms)\n", $what, $times[15], end($times), $goal);
}
foreach ([[16, 0, '(goal: under 15 ms for 400)'], [12, 20, 'most of them cut around things']] as [$count, $things, $goal]) {
    [$times, $pieces] = $assembled(JobReader::read($large($count, $things)));
    printf("%-38s median %6.1f ms, slowest %6.1f ms   %s\n", "$pieces pieces put together", $times[15], end($times), $goal);
}
