<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Rules\HouseRules;

/**
 * What lies under a place that stands over the floor: of shims of the house's sizes the greatest stack that goes in, of as few as do,
 * and a tapered pair that is driven in for the rest; under more a solid board, and under much more the part is ripped to its height.
 */
final readonly class ShimPack
{
    /** Thicknesses of shims, mm and inches. */
    private const SIZES = ['mm' => [5.0, 3.0, 2.0, 1.0], 'in' => [1 / 4, 1 / 8, 1 / 16, 1 / 32]];

    /** Less than this needs none; and a rest of less no taper. */
    private const NONE = [0.5, 1 / 64];

    private const REST = [0.2, 1 / 128];

    /** From here on a solid board lies under it, and from there on it is ripped to its own height. */
    private const SOLID = [15.0, 5 / 8];

    private const RIPPED = [40.0, 1.5];

    private const INCH = 25.4;

    /** What the pack under an end of a bearer is called among what is decided; the bearer by its mark. */
    public static function name(string $bearer, string $end): string
    {
        return sprintf('Under %s, %s', str_replace('-bearer-', ', bearer ', $bearer), $end);
    }

    /** @param float $gap from what stands to the floor under it, mm */
    public static function under(float $gap, HouseRules $rules): ?Working
    {
        $is = fn (array $size): float => $rules->either(...$size)->toDouble();
        if ($gap < $is(self::NONE)) {
            return null;
        }
        if ($gap > $is(self::SOLID)) {
            return Working::start($gap > $is(self::RIPPED) ? 'ripped higher by as much as the floor is lower' : 'a solid board, as thick as the floor is lower', Length::ofDouble($gap));
        }
        $isInch = $rules->unit === Unit::Inch;
        $working = null;
        $left = $gap;
        foreach (self::SIZES[$isInch ? 'in' : 'mm'] as $size) {
            $size *= $isInch ? self::INCH : 1.0;
            for (; $left >= $size - 1e-6; $left -= $size) {
                $working = $working?->plus('shim', Length::ofDouble($size)) ?? Working::start('shim', Length::ofDouble($size));
            }
        }
        $rest = Length::ofDouble($left);

        return $left <= $is(self::REST) && $working !== null ? $working : ($working?->plus('a tapered pair', $rest) ?? Working::start('a tapered pair', $rest));
    }
}
