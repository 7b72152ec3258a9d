<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Measure\LengthFormat;

/** Distances that are easily found on a tape. */
final class Handy
{
    private const INCHES = [0.0625, 0.125, 0.25, 0.5, 1.0, 2.0, 3.0, 4.0, 6.0, 12.0, 24.0, 48.0];

    /** The handy distance nearest to this: 1, 2 or 5 with noughts in mm; parts and whole of a foot in inches; mm. */
    public static function near(float $mm, LengthFormat $format): float
    {
        $handy = $format->unit->isMetric()
            ? array_merge(...array_map(fn (int $power) => [10.0 ** $power, 2 * 10.0 ** $power, 5 * 10.0 ** $power], range(0, 3)))
            : array_map(fn (float $inches) => 25.4 * $inches, self::INCHES);

        return array_reduce($handy, fn (float $best, float $one): float => abs($one - $mm) < abs($best - $mm) ? $one : $best, $handy[0]);
    }
}
