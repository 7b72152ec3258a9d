<?php

declare(strict_types=1);

// Core time of the demo's plan, without the framework: the median of 50 runs after 5 that warm up.

use Incastro\Exchange\JobFile;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;

require __DIR__.'/../../vendor/autoload.php';

$file = __DIR__.'/../../tests/examples/landing-alcove-without-doors.json';
$document = JobFile::read($file, (string) file_get_contents($file))['job'];
$times = [];
for ($i = 0; $i < 55; $i++) {
    $start = hrtime(true);
    (new Planner())->plan(JobReader::read($document));
    $times[] = (hrtime(true) - $start) / 1e6;
}
$times = array_slice($times, 5);
sort($times);
printf("job:plan of the demo, core time      median %6.1f ms, slowest %6.1f ms   (goal: under 60 ms)\n", $times[25], end($times));
