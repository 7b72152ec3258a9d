<?php

declare(strict_types=1);

// Solving the largest plan, 24 corners with 80 readings, and a whole closet: the median of 20 runs after 2 that warm up.

use Incastro\Measure\LengthFormat;
use Incastro\Survey\Plan\PlanKind;
use Incastro\Survey\Plan\PlanReading;
use Incastro\Survey\Plan\PlanSurvey;
use Incastro\Survey\Reading;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\SpaceSurvey;
use Incastro\Survey\Take;
use Incastro\Survey\Tool;
use Incastro\Trial\Dice;
use Incastro\Trial\HiddenRoom;
use Incastro\Trial\Tape;

require __DIR__.'/../../vendor/autoload.php';

$dice = new Dice(24);
$corners = [];
for ($i = 0; $i < 24; $i++) {
    $radius = $dice->between(2500.0, 3500.0);
    $corners[] = [$radius * cos(2 * M_PI * $i / 24), $radius * sin(2 * M_PI * $i / 24)];
}
$readings = [];
foreach ([1, 2, 5, 9] as $step) {
    for ($i = 0; $i < 24 && count($readings) < 80; $i++) {
        $to = ($i + $step) % 24;
        $value = hypot($corners[$i][0] - $corners[$to][0], $corners[$i][1] - $corners[$to][1]);
        $value += $dice->normal(Tool::Tape->sigma($value));
        $readings[] = new PlanReading("r$i-$to", $step === 1 ? PlanKind::Side : PlanKind::Diagonal, $i, $to, null, $value, sprintf('%.0f', $value), Tool::Tape);
    }
}
// One slip, so that the search for suspects is timed too.
$readings[40] = new PlanReading($readings[40]->id, $readings[40]->kind, $readings[40]->from, $readings[40]->to, null, $readings[40]->value + 25.4, '', Tool::Tape);
$names = array_map(fn (int $i) => SpaceShape::name($i), range(0, 23));

$hidden = new HiddenRoom(SpaceShape::of(SpaceKind::Closet), 5);
$sheet = new Sheet($hidden->shape, SheetChoices::defaults(Incastro\Measure\Unit::Millimetre));
$tape = new Tape(new Dice(6), LengthFormat::millimetres());
$takes = $known = [];
foreach ($sheet->slots() as $slot) {
    $value = $tape->read($slot, $hidden->truth($sheet->knowing($known), $slot));
    $take = new Take($slot->id, $slot->id, $slot->kind->isAngle() ? Incastro\Measure\Angle::ofDegrees($value) : Incastro\Measure\Length::ofDouble(abs($value)), $slot->ends === [] ? null : $slot->ends[$value < 0 ? 1 : 0]);
    $takes[] = $take;
    $known[$slot->id] = new Reading($slot, [$take]);
}

$timed = function (Closure $work): array {
    $times = [];
    for ($i = 0; $i < 22; $i++) {
        $start = hrtime(true);
        $work();
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    $times = array_slice($times, 2);
    sort($times);

    return [$times[10], end($times)];
};
[$median, $slowest] = $timed(fn () => (new PlanSurvey($names, $readings, false))->solve());
printf("survey of 24 corners, 80 readings     median %6.1f ms, slowest %6.1f ms   (goal: under 100 ms)\n", $median, $slowest);
printf("memory at its peak                    %6.1f MB                          (goal: under 32 MB)\n", memory_get_peak_usage(true) / 1e6);
[$median, $slowest] = $timed(fn () => (new SpaceSurvey($sheet, $takes, [], LengthFormat::millimetres()))->solve());
printf("survey of a closet, 37 readings       median %6.1f ms, slowest %6.1f ms\n", $median, $slowest);
