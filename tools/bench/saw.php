<?php

declare(strict_types=1);

// How often the saw is set: made-up cupboards on full and half sheets, the fence settings of their plans at the least money, and the
// settings of the saw against the different sizes. Argument: lists (36).

use Incastro\Cut\CutPiece;
use Incastro\Cut\SheetPlanner;
use Incastro\Cut\Stock;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Saw\GuidedSaw;
use Incastro\Saw\SawPlanner;
use Incastro\Saw\Tools;
use Tests\Core\Saw\Cupboards;

require __DIR__.'/../../vendor/autoload.php';

$lists = (int) ($argv[1] ?? 36);
$format = LengthFormat::millimetres('0.1');
$mm = Length::ofMillimetres(...);
$stock = [new Stock('full', null, $mm(2440), $mm(1220), $mm(18), 'ply', 60.0), new Stock('half', null, $mm(1220), $mm(1220), $mm(18), 'ply', 34.0)];
$planner = new SheetPlanner(Cupboards::saw(), $format);
// One tool, so that nothing but the trees asks for a setting twice.
$saw = new SawPlanner(Cupboards::saw(), new Tools(null, new GuidedSaw(2_200_000, [2_700_000_000], 150_000_000, 0, 0, 55_000_000), null), $format, fn () => 680.0);

$sum = ['price' => [], 'settings' => []];
$ratios = $looked = [];
$set = [0, 0];
$proven = $different = 0;
for ($seed = 1; $seed <= $lists; $seed++) {
    $pieces = Cupboards::pieces($seed, 61);
    $different += count(array_unique([...array_map(fn (CutPiece $piece) => 'x'.$piece->length->nanometres(), $pieces), ...array_map(fn (CutPiece $piece) => 'y'.$piece->width->nanometres(), $pieces)]));
    foreach ([0, 300, 1000] as $steps) {
        $plan = $planner->plan($pieces, $stock, $steps);
        $sum['price'][$steps] = ($sum['price'][$steps] ?? 0) + $plan->price;
        $sum['settings'][$steps] = ($sum['settings'][$steps] ?? 0) + $plan->settings;
        if ($steps === 300) {
            $sawn = $saw->steps($plan->sheets);
            $ratios[] = $sawn->settings / $sawn->distinct;
            $proven += (int) $sawn->isProven;
            // As the queued search does it: of plans at the least price the one for which the saw is set least.
            [$least, $ratio] = [[$plan->price, $sawn->settings], $sawn->settings / $sawn->distinct];
            for ($other = 2; $other <= 12; $other++) {
                $plan = $planner->plan($pieces, $stock, $steps, $other);
                $tried = $saw->steps($plan->sheets);
                if ([$plan->price, $tried->settings] < $least) {
                    [$least, $ratio] = [[$plan->price, $tried->settings], $tried->settings / $tried->distinct];
                }
            }
            $looked[] = $ratio;
            $set[0] += $sawn->settings;
            $set[1] += $least[1];
        }
    }
}
[$first, $some, $many] = array_values($sum['settings']);
printf("fence settings of %d cupboards           first plan %d, after 300 steps %d (%.0f %% fewer), after 1000 %d (%.0f %% fewer), different sizes %d; price %.0f, %.0f, %.0f   (goal: 22 %%, 25 %%)\n", $lists, $first, $some, 100 - 100 * $some / $first, $many, 100 - 100 * $many / $first, $different, ...array_values($sum['price']));
printf("settings of the saw, one tool           %.3f of the different sizes on average, %d of %d proven fewest for their trees; the best of 12 plans %.3f (%d settings in all became %d)   (goal: 1.08)\n", array_sum($ratios) / count($ratios), $proven, $lists, array_sum($looked) / count($looked), ...$set);

$pieces = [];
for ($seed = 1; count($pieces) < 500; $seed++) {
    array_push($pieces, ...Cupboards::pieces($seed, 60));
}
$began = microtime(true);
$plan = $planner->plan(array_slice($pieces, 0, 500), $stock, 0);
$planned = microtime(true);
$sawn = $saw->steps($plan->sheets, 2);
printf("500 pieces                              first plan with its bound %.1f s, %d sheets; steps of the saw %.1f s, %d cuts; %.0f MB   (goals: 5 s, 1.5 s, 128 MB)\n", $planned - $began, count($plan->sheets), microtime(true) - $planned, count($sawn->cuts()), memory_get_peak_usage() / 1e6);
