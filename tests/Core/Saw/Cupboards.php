<?php

declare(strict_types=1);

namespace Tests\Core\Saw;

use Incastro\Cut\CutPiece;
use Incastro\Cut\SawSetup;
use Incastro\Cut\SheetPlan;
use Incastro\Cut\SheetPlanner;
use Incastro\Cut\Stock;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Grain;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Made-up cupboards: boxes with repeated widths, their shelves, nailers and plinths, on full and half sheets. */
final class Cupboards
{
    public static function saw(float $kerf = 3.2, float $trim = 6.0): SawSetup
    {
        return SawSetup::allEdges(self::mm($kerf), self::mm($trim));
    }

    public static function plan(int $seed, int $most = 60, ?int $steps = null): SheetPlan
    {
        return (new SheetPlanner(self::saw(), LengthFormat::millimetres('0.1')))->plan(self::pieces($seed, $most), self::stock(), $steps);
    }

    /** @return list<CutPiece> at most so many */
    public static function pieces(int $seed, int $most = 60): array
    {
        $chance = new Randomizer(new Xoshiro256StarStar($seed));
        $pieces = [];
        $count = 0;
        // A run of boxes is as deep throughout, and has two heights and a few widths.
        $depth = 5 * $chance->getInt(56, 118);
        $heights = [10 * $chance->getInt(60, 130), 10 * $chance->getInt(130, 220)];
        $widths = array_map(fn () => 3 * $chance->getInt(100, 290), range(1, 3));
        for ($box = 1; $count < $most; $box++) {
            $height = $heights[$chance->getInt(0, 1)];
            $width = $widths[$chance->getInt(0, 2)];
            $shelves = $chance->getInt(1, 5);
            foreach ([['side', $height, $depth, 2], ['board', $width, $depth, 2], ['shelf', $width - 3, $depth - 20, $shelves], ['nailer', $width, 90, 2], ['rail', $width + 36, 70, 1]] as [$name, $length, $across, $many]) {
                for ($n = 1; $n <= $many && $count < $most; $n++, $count++) {
                    $pieces[] = new CutPiece("B$box-$name-$n", 1, self::mm($length), self::mm($across), self::mm(18), 'ply', Grain::Length);
                }
            }
            if ($chance->getInt(0, 3) === 0) {
                break;
            }
        }

        return $pieces;
    }

    /** @return list<Stock> */
    private static function stock(): array
    {
        return [new Stock('full', null, self::mm(2440), self::mm(1220), self::mm(18), 'ply', 60.0), new Stock('half', null, self::mm(1220), self::mm(1220), self::mm(18), 'ply', 34.0)];
    }

    private static function mm(float $mm): Length
    {
        return Length::ofDouble($mm);
    }
}
