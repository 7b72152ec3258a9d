<?php

declare(strict_types=1);

namespace Incastro\Strength;

/** What people put on furniture: forces in N, masses in kg, lengths in mm (handbook, "Strength, as guidance"). */
final class Loads
{
    /** N on a kilogram. */
    public const G = 9.81;

    /** One person on a seat, a lid, a step, kg; sitting on so much of it, or standing on one foot, mm. */
    public const SEAT = 150.0;

    public const SITS_ON = 300.0;

    public const STANDS_ON = 100.0;

    /** One person kneeling on a bed or leaning on a worktop, kg; on so much of it, mm. */
    public const PERSON = 100.0;

    /** All that lies on a bed, kg. */
    public const BED = 250.0;

    /** On a metre of a desk, kg. */
    public const DESK = 30.0;

    /** On a metre of a shelf over a bed, kg. */
    public const ROOF = 15.0;

    /** A push against the top of a guard, N. */
    public const PUSH = 500.0;

    /** A child on an open drawer or door, kg. */
    public const CHILD = 27.0;

    public static function newtons(float $kilograms): float
    {
        return $kilograms * self::G;
    }

    /** kg on a metre, as N/mm. */
    public static function aMillimetre(float $kilogramsAMetre): float
    {
        return $kilogramsAMetre * self::G / 1000;
    }
}
