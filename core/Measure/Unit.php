<?php

declare(strict_types=1);

namespace Incastro\Measure;

/** A unit that a person may type, with its exact size in nanometres. */
enum Unit: string
{
    case Millimetre = 'mm';
    case Centimetre = 'cm';
    case Metre = 'm';
    case Inch = 'in';
    case Foot = 'ft';

    private const WORDS = [
        'mm' => self::Millimetre, 'millimetre' => self::Millimetre, 'millimetres' => self::Millimetre,
        'millimeter' => self::Millimetre, 'millimeters' => self::Millimetre,
        'cm' => self::Centimetre, 'centimetre' => self::Centimetre, 'centimetres' => self::Centimetre,
        'centimeter' => self::Centimetre, 'centimeters' => self::Centimetre,
        'm' => self::Metre, 'metre' => self::Metre, 'metres' => self::Metre,
        'meter' => self::Metre, 'meters' => self::Metre,
        'in' => self::Inch, 'inch' => self::Inch, 'inches' => self::Inch, '"' => self::Inch,
        'ft' => self::Foot, 'foot' => self::Foot, 'feet' => self::Foot, "'" => self::Foot,
    ];

    /** The unit that a word or mark stands for, or null. Case does not matter. */
    public static function ofWord(string $word): ?self
    {
        return self::WORDS[mb_strtolower($word)] ?? null;
    }

    public function nanometres(): int
    {
        return match ($this) {
            self::Millimetre => 1_000_000,
            self::Centimetre => 10_000_000,
            self::Metre => 1_000_000_000,
            self::Inch => 25_400_000,
            self::Foot => 304_800_000,
        };
    }

    public function isMetric(): bool
    {
        return match ($this) {
            self::Millimetre, self::Centimetre, self::Metre => true,
            self::Inch, self::Foot => false,
        };
    }

    /** Whether "5' 3 in" is one length: the next unit is smaller and of the same system. */
    public function mayBeFollowedBy(self $next): bool
    {
        return $this->isMetric() === $next->isMetric() && $this->nanometres() > $next->nanometres();
    }
}
