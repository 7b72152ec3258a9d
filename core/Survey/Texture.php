<?php

declare(strict_types=1);

namespace Incastro\Survey;

/**
 * How even a wall is apart from its lean and bow, as a person sees it under a long level laid on it in several places. It is
 * part of every reading's doubt: a tape, a level and a gauge are exact to what they touch, and touch plaster.
 */
enum Texture: string
{
    case Plane = 'plane';
    case Smooth = 'smooth';
    case Ordinary = 'ordinary';
    case Old = 'old';

    /** @return list<self> those that a wall of a house may have */
    public static function offered(): array
    {
        return [self::Smooth, self::Ordinary, self::Old];
    }

    /** σ of one place of the surface off the wall's own plane, mm. */
    public function sigma(): float
    {
        return match ($this) {
            self::Plane => 0.0,
            self::Smooth => 0.8,
            self::Ordinary => 1.2,
            self::Old => 2.0,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Plane => 'Plane, as if machined',
            self::Smooth => 'Smooth board',
            self::Ordinary => 'Ordinary plaster',
            self::Old => 'Old plaster, wavy',
        };
    }

    /** What is seen under a level that says so. */
    public function gap(): string
    {
        return match ($this) {
            self::Plane => 'Nothing at all.',
            self::Smooth => 'No light, or hardly any.',
            self::Ordinary => 'Gaps of 1 to 2 mm, or 1/16 in.',
            self::Old => 'Gaps of 3 mm, or 1/8 in, and more.',
        };
    }
}
