<?php

declare(strict_types=1);

namespace Incastro\Strength;

/**
 * Screws in the studs of a wall: what each carries across itself and is pulled by, N, through 18 mm or more and 25 mm into a stud; how
 * many studs a length surely meets that nobody looked for (handbook, "Strength").
 */
final class Studs
{
    /** From stud to stud where nobody looked for them, mm. */
    public const APART = 400.0;

    /** By diameter in mm: shear and pull, N. */
    private const SCREWS = [5 => [500.0, 350.0], 6 => [700.0, 500.0], 8 => [1200.0, 700.0]];

    public static function shear(int $diameter): float
    {
        return self::SCREWS[$diameter][0];
    }

    public static function pull(int $diameter): float
    {
        return self::SCREWS[$diameter][1];
    }

    /** V = q·s + P: of a spread load between two studs and a person beside one, N. */
    public static function atOne(float $spread, float $spacing, float $force = Loads::PERSON * Loads::G): float
    {
        return $spread * $spacing + $force;
    }

    /** Screws in each stud, no fewer than two. */
    public static function screws(float $force, int $diameter): int
    {
        return max(2, (int) ceil($force / self::shear($diameter) - 1e-9));
    }

    /** How many screws a strip so high holds over each other, 25 apart and 20 from its edges; mm. */
    public static function rows(float $high): int
    {
        return match (true) {
            $high >= 89.0 => 3,
            $high >= 60.0 => 2,
            default => 1,
        };
    }

    /** How many studs a length surely meets, both in mm, without anybody knowing where they stand. */
    public static function surely(float $length, float $spacing): int
    {
        return (int) floor($length / $spacing + 1e-9);
    }

    /** Share of what screws carry across themselves and are pulled by that a hung weight takes: no more than 1. */
    public static function hung(float $force, float $pulled, int $atHead, int $all, int $diameter): float
    {
        return $force / ($all * self::shear($diameter)) + $pulled / ($atHead * self::pull($diameter));
    }
}
