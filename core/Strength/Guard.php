<?php

declare(strict_types=1);

namespace Incastro\Strength;

/** A guard that is pushed outwards at its top with 500 N: rails across their thickness, posts to the middle of the beam they are bolted to. Sizes in mm, N/mm². */
final class Guard
{
    /** What wood under a washer bears, N/mm². */
    public const UNDER_WASHER = 3.0;

    /** Of a rail between two posts. */
    public static function railStress(float $span, float $high, float $thick): float
    {
        return Beam::momentPatch(Loads::PUSH, 0.0, $span) / ($high * $thick ** 2 / 6);
    }

    public static function longestField(float $high, float $thick, float $bending): float
    {
        return 4 * $bending * $high * $thick ** 2 / 6 / Loads::PUSH;
    }

    /** Of a post so far over the middle of its beam, its outward side so deep. */
    public static function postStress(float $over, float $wide, float $outward): float
    {
        return Loads::PUSH * $over / ($wide * $outward ** 2 / 6);
    }

    /** What pulls on the upper of two bolts so far apart, N. */
    public static function boltPull(float $over, float $apart): float
    {
        return Loads::PUSH * $over / $apart;
    }

    /** Under the washer of a bolt, N/mm². */
    public static function washerStress(float $pull, float $washer, float $hole): float
    {
        return $pull / (M_PI / 4 * ($washer ** 2 - $hole ** 2));
    }
}
