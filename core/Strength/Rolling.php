<?php

declare(strict_types=1);

namespace Incastro\Strength;

/** What rolls or slides with what is in it: castors and slides, by the kilograms that they are sold for. */
final class Rolling
{
    /** Pairs of slides in stock, kg. */
    public const SLIDES = [25.0, 45.0, 68.0];

    /** So much of its inner volume is filled. */
    private const FILLED = 0.85;

    private const SPARE = 1.25;

    /** What fills a volume in mm³ at so many kg a litre. */
    public static function contents(float $volume, float $aLitre): float
    {
        return $volume / 1e6 * self::FILLED * $aLitre;
    }

    /** On one of n castors, kg: one of them never stands. */
    public static function aCastor(float $kilograms, int $castors): float
    {
        return $kilograms / ($castors - 1);
    }

    /** What a pair of slides is rated for, kg. */
    public static function slides(float $kilograms): ?float
    {
        foreach (self::SLIDES as $rated) {
            if ($rated >= self::SPARE * $kilograms) {
                return $rated;
            }
        }

        return null;
    }
}
