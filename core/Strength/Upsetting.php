<?php

declare(strict_types=1);

namespace Incastro\Strength;

/**
 * What an anchor at the top of a tall box is pulled by when its largest drawer or door is open and somebody leans on it: (1.5·M_o − M_r)/h, with
 * the moments about the front of what stands on the floor (handbook, "Strength"; guidance).
 */
final readonly class Upsetting
{
    /** A child that hangs on what is open, kg. */
    private const CHILD = 27.0;

    /** Safety against falling over. */
    private const SAFE = 1.5;

    /** One screw in a stud is pulled by no more, N. */
    public const A_SCREW = 350.0;

    private const FEWEST = 2;

    /**
     * Force at its anchors, N; 0 where it stands without.
     *
     * @param  float  $own  its mass, kg, and how far its middle lies behind the line that it turns over, mm
     * @param  float  $open  mass of what is open, kg, how far its middle lies before that line, and its front; mm
     */
    public static function force(float $own, float $behind, float $open, float $before, float $front, float $height): float
    {
        $over = self::SAFE * ($open * $before + self::CHILD * $front);

        return max(0.0, Loads::newtons($over - $own * $behind)) / max(1.0, $height);
    }

    /** Screws through its top nailer. */
    public static function screws(float $force): int
    {
        return max(self::FEWEST, (int) ceil($force / self::A_SCREW - 1e-9));
    }
}
