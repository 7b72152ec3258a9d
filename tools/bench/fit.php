<?php

declare(strict_types=1);

// Core time of a large layout: 12 bays of 4 tiers in an alcove with 20 things on its walls; and of the check of everything put
// together alone. The median of 30 runs after 5.

use Incastro\Check\Assembled;
use Incastro\Exchange\JobFile;
use Incastro\Fit\FittedRun;
use Incastro\Fit\LayoutFitter;
use Incastro\Fit\Marks;
use Incastro\Fit\Terms;
use Incastro\Planning\JobReader;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Planner;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Units\RunBuilder;

require __DIR__.'/../../vendor/autoload.php';

$file = __DIR__.'/../../database/demo/map-wall.json';
$document = JobFile::read($file, (string) file_get_contents($file))['job'];
$mm = fn (float $length) => ['nm' => (int) ($length * 1e6), 'typed' => ''];
$bays = [];
for ($b = 0; $b < 12; $b++) {
    $tiers = [];
    for ($t = 0; $t < 4; $t++) {
        $tiers[] = Doc::tier("t-$b-$t", ['joined' => $t !== 2, 'holds' => Recipe::box(0, $t % 2)]);
    }
    $bays[] = Doc::bay("b-$b", $tiers, ['joined' => $b % 3 === 1]);
}
$document['spaces'][0]['layout'] = ['runs' => [Doc::run('run', 0, $bays, ['depth' => $mm(400)])], 'members' => [Doc::member('plinth', 'plinth', array_column($bays, 'id'))]] + Doc::none();
$thing = $document['spaces'][0]['things'][2];
$document['spaces'][0]['things'] = [];
for ($i = 0; $i < 20; $i++) {
    $kind = ['socket', 'pipe', 'stud', 'valve'][$i % 4];
    $document['spaces'][0]['things'][] = ['id' => "thing-$i", 'kind' => $kind, 'name' => "Thing $i", 'along' => $mm(90 + 150 * $i), 'up' => $mm(200 + 90 * ($i % 7)), 'width' => $mm(40), 'height' => $mm(60), 'stands_out' => $mm(30), 'rule' => $kind === 'stud' ? 'may-be-covered' : 'reachable', 'direction' => $kind === 'pipe' ? 'out' : null] + $thing;
    $document['spaces'][0]['layout']['openings'][] = "thing-$i";
}
$job = JobReader::read($document);
$survey = (new Incastro\Survey\SpaceSurvey($job->spaces[0]->sheet, $job->spaces[0]->takes, $job->spaces[0]->things, $job->format))->solve();
$whole = $assembled = [];
$terms = new Terms($survey->room->with($job->spaces[0]->things), $job->rules, $job->materials, $job->format);
$layout = (new LayoutFitter($terms))->fit($job->spaces[0]->layout, new Marks());
for ($i = 0; $i < 35; $i++) {
    $start = hrtime(true);
    $plan = (new Planner())->space(JobReader::read($document), $job->spaces[0]);
    $whole[] = (hrtime(true) - $start) / 1e6;
    // Built anew each time: solids are made when they are first looked at.
    $assemblies = array_map(fn (FittedRun $run) => (new RunBuilder($terms, $job->spaces[0]->layout->openings))->build($run, new Marks()), $layout->runs);
    $start = hrtime(true);
    (new Assembled($layout, $assemblies, $terms, $job->spaces[0]->layout->openings))->findings();
    $assembled[] = (hrtime(true) - $start) / 1e6;
}
[$whole, $assembled] = array_map(function (array $times): array {
    $times = array_slice($times, 5);
    sort($times);

    return $times;
}, [$whole, $assembled]);
printf("12 bays × 4 tiers, 20 things, core   median %6.1f ms, slowest %6.1f ms   (goal: under 120 ms; %d pieces, %d clashes)\n", $whole[15], end($whole), count($plan->pieces()), count(array_filter($plan->findings, fn ($finding) => $finding->severity->value === 'clash')));
printf("its %d pieces put together              median %6.1f ms, slowest %6.1f ms   (goal: under 15 ms for 400)\n", count($plan->pieces()), $assembled[15], end($assembled));
