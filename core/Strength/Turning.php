<?php

declare(strict_types=1);

namespace Incastro\Strength;

/** What turns on hinges or about its foot: lids, doors, what tips over, guards that are pushed. Moments in N·mm but for stays, which are sold by N·m. */
final class Turning
{
    /** A stay is rated by a fifth more than the lid asks. */
    private const STAYS = 1.2;

    /** What a screw of an anchor is pulled by, N. */
    private const ANCHOR = 350.0;

    /** Of a level lid about its hinges, N·m: m·g·d/2, its depth in mm. */
    public static function lid(float $kilograms, float $deep): float
    {
        return Loads::newtons($kilograms) * $deep / 2 / 1000;
    }

    /** What its stays are rated for together at least, N·m. */
    public static function stays(float $kilograms, float $deep): float
    {
        return self::STAYS * self::lid($kilograms, $deep);
    }

    /** What pulls on its top hinge, N: m·g·(b/2) over the distance of the outer two. */
    public static function hingePull(float $kilograms, float $wide, float $apart): float
    {
        return Loads::newtons($kilograms) * $wide / 2 / $apart;
    }

    /**
     * What makes a piece of furniture fall on its face: one drawer that is out and a child at its front, about the front of what stands
     * on the floor. All mm and kg, from the wall.
     */
    public static function falls(float $drawer, float $middle, float $front, float $pivot): float
    {
        return Loads::newtons($drawer) * ($middle - $pivot) + Loads::newtons(Loads::CHILD) * ($front - $pivot);
    }

    /** What keeps it standing, empty. */
    public static function stands(float $kilograms, float $pivot, float $middle): float
    {
        return Loads::newtons($kilograms) * ($pivot - $middle);
    }

    /** What an anchor holds so high up, N: half as much again as what falls, less what stands. */
    public static function anchor(float $falls, float $stands, float $high): float
    {
        return max(0.0, (1.5 * $falls - $stands) / $high);
    }

    public static function anchorScrews(float $force): int
    {
        return max(2, (int) ceil($force / self::ANCHOR));
    }
}
