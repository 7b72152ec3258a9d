<?php

declare(strict_types=1);

namespace Incastro\Strength;

/** Bolts between modules that come apart: shear in N through 15 mm of plywood or more (handbook, "Strength"). */
final class Bolts
{
    public const M6 = 600.0;

    public const M8 = 1000.0;

    /** In one of two columns of bolts on each side of a joint, N: the moment over their distance, mm. */
    public static function inColumn(float $moment, float $apart): float
    {
        return $moment / $apart;
    }
}
