<?php

declare(strict_types=1);

// How few sheets the planner needs: made-up lists of the ten classes on which planners are compared, each with as many seconds of CPU
// as are given, against what is proven that no plan can beat. Arguments: lists a class and size (10), seconds (0.3).

use Incastro\Cut\CutPiece;
use Incastro\Cut\SawSetup;
use Incastro\Cut\SheetPlanner;
use Incastro\Cut\Stock;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Grain;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Symfony\Component\Process\Process;

require __DIR__.'/../../vendor/autoload.php';

/** @return list<array{int, int}> sizes of a list of a class; classes 1 to 6 are uniform, 7 to 10 mix long, high, large and small */
function sizes(int $class, int $count, Randomizer $chance): array
{
    $uniform = [1 => [1, 10], [1, 10], [1, 35], [1, 35], [1, 100], [1, 100]];
    $shapes = [[[67, 100], [1, 50]], [[1, 50], [67, 100]], [[50, 100], [50, 100]], [[1, 50], [1, 50]]];
    $sizes = [];
    for ($i = 0; $i < $count; $i++) {
        if ($class <= 6) {
            $sizes[] = [$chance->getInt(...$uniform[$class]), $chance->getInt(...$uniform[$class])];
            continue;
        }
        $main = $class - 7;
        $others = array_values(array_diff([0, 1, 2, 3], [$main]));
        $draw = $chance->getInt(1, 10);
        $shape = $shapes[$draw <= 7 ? $main : $others[$draw - 8]];
        $sizes[] = [$chance->getInt(...$shape[0]), $chance->getInt(...$shape[1])];
    }

    return $sizes;
}

function cpu(): float
{
    $used = getrusage();

    return $used['ru_utime.tv_sec'] + $used['ru_utime.tv_usec'] / 1e6;
}

[$each, $seconds] = [(int) ($argv[1] ?? 10), (float) ($argv[2] ?? 0.3)];
$width = [1 => 10, 30, 40, 100, 100, 300, 100, 100, 100, 100];
$saw = SawSetup::allEdges(Length::zero(), Length::zero());
$mm = Length::ofMillimetres(...);
$all = ['sheets' => 0, 'bound' => 0, 'first' => 0];
$longest = 0.0;
$lists = [];
foreach ($width as $class => $w) {
    $sum = ['sheets' => 0, 'bound' => 0, 'first' => 0];
    foreach ([20, 40, 60, 80, 100] as $count) {
        for ($i = 0; $i < $each; $i++) {
            $sizes = sizes($class, $count, new Randomizer(new Xoshiro256StarStar(1000 * $class + $count + 100_000 * $i)));
            $lists[] = ['width' => $w, 'pieces' => $sizes];
            $pieces = array_map(fn (array $size) => new CutPiece('p', 1, $mm($size[0]), $mm($size[1]), $mm(1), 'm', Grain::Length), $sizes);
            $stock = [new Stock('s', null, $mm($w), $mm($w), $mm(1), 'm', 1.0)];
            $planner = new SheetPlanner($saw, LengthFormat::millimetres());
            $began = cpu();
            $first = $planner->plan($pieces, $stock, 0);
            $longest = max($longest, cpu() - $began);
            $ends = cpu() + $seconds;
            $plan = $planner->plan($pieces, $stock, PHP_INT_MAX, 1, fn () => cpu() > $ends, false);
            $sum['sheets'] += count($plan->sheets);
            $sum['bound'] += $plan->boundSheets;
            $sum['first'] += count($first->sheets);
        }
    }
    printf("class %2d: %4d sheets, first %4d, bound %4d, ratio %.4f\n", $class, $sum['sheets'], $sum['first'], $sum['bound'], $sum['sheets'] / $sum['bound']);
    foreach ($sum as $what => $n) {
        $all[$what] += $n;
    }
}
printf("density in %.1f s of CPU               %.4f of the bound, first plan %.4f, slowest first plan with its bound %.0f ms   (goal: 1.03 in 0.3 s, 1.02 in 2 s)\n", $seconds, $all['sheets'] / $all['bound'], $all['first'] / $all['bound'], 1000 * $longest);

// A packer that need not cut through: it has it easier, and must not do better in all.
$packer = new Process(['node', __DIR__.'/packer.mjs'], input: json_encode($lists, JSON_THROW_ON_ERROR), timeout: 300);
$packer->run();
$other = $packer->isSuccessful() ? array_sum((array) json_decode($packer->getOutput(), true)) : null;
printf("sheets of the same lists               %d; %s   (goal: never more)\n", $all['sheets'], $other === null ? 'the other packer is not installed' : "$other with a packer that need not cut right through");
