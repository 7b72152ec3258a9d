<?php

declare(strict_types=1);

// Fitting day: tasks of every example from its plan, the schedule of sixty tasks with what would help, and what a page of it weighs. Best of 7.

use Incastro\Exchange\FittingWriter;
use Incastro\Exchange\JobFile;
use Incastro\Install\FittingDay;
use Incastro\Install\FittingTask;
use Incastro\Install\FittingWishes;
use Incastro\Install\Need;
use Incastro\Install\Progress;
use Incastro\Install\Session;
use Incastro\Install\TaskKind;
use Incastro\Install\Zone;
use Incastro\Planning\Fitting;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;

require __DIR__.'/../../vendor/autoload.php';

$first = 1_804_320_000;
$sessions = array_map(fn (int $i) => new Session("s$i", $first + $i * 604_800, $first + $i * 604_800 + 14_400, 2), range(0, 19));
$best = function (Closure $work): float {
    $best = INF;
    for ($i = 0; $i < 7; $i++) {
        $began = hrtime(true);
        $work();
        $best = min($best, (hrtime(true) - $began) / 1e6);
    }

    return $best;
};

$slowest = $largest = $most = 0.0;
foreach ([...(glob(__DIR__.'/../../examples/*.json') ?: []), ...(glob(__DIR__.'/../../database/demo/*.json') ?: [])] as $file) {
    $plan = (new Planner())->plan(JobReader::read(JobFile::read($file, (string) file_get_contents($file))['job']), saysNotStated: false);
    $make = fn () => new Fitting($plan, new FittingWishes($sessions), new Progress($first));
    $slowest = max($slowest, $best($make));
    $page = (string) json_encode((new FittingWriter($make(), Zone::named('UTC') ?? throw new LogicException('There is always UTC.')))->write());
    $largest = max($largest, strlen($page) / 1024);
    $most = max($most, count($make()->day->precedence->tasks));
}
$tasks = [];
for ($i = 0; $i < 60; $i++) {
    $needs = $i === 0 ? [] : [new Need(FittingTask::id(TaskKind::Unit, 't'.intdiv($i, 2)))];
    $tasks[] = new FittingTask(TaskKind::Unit, "t$i", "Task $i", 10.0 + $i % 40, 1 + (int) ($i % 9 === 0), array_values(array_filter($needs, fn (Need $need) => $need->task !== "unit:t$i")));
}
$day = $best(fn () => (new FittingDay($tasks, new FittingWishes($sessions), new Progress($first)))->helps(fn () => 0));
printf("Fitting day: %.1f ms for the slowest example (up to %d tasks), its page %.0f kB at most; 60 tasks with what would help %.1f ms (goal 50)\n", $slowest, $most, $largest, $day);
