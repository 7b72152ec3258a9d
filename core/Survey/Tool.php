<?php

declare(strict_types=1);

namespace Incastro\Survey;

/** What a reading was taken with, and how good it is (1 σ; handbook, "How good a reading is"). */
enum Tool: string
{
    case Tape = 'tape';
    case Inside = 'inside';
    case Laser = 'laser';
    case Rule = 'rule';
    case Gauge = 'gauge';
    case Level600 = 'level600';
    case Level1200 = 'level1200';

    /**
     * σ of one take in mm; of a gauge in degrees.
     *
     * @param  float  $span  the distance measured, or the level's own span, in mm
     */
    public function sigma(float $span): float
    {
        $metres = $span / 1000;

        return match ($this) {
            self::Tape => hypot(1.0, 0.3 * $metres),
            self::Inside => hypot(2.0, 0.3 * $metres),
            self::Laser => 1.0,
            self::Rule => 0.3,
            self::Gauge => 0.1,
            self::Level600 => hypot(0.5, 0.5 * $metres),
            self::Level1200 => hypot(0.5, 0.3 * $metres),
        };
    }

    /** The level that has this span: a short one says less. */
    public static function levelOf(float $span): self
    {
        return $span < 1000 ? self::Level600 : self::Level1200;
    }

    public function isLevel(): bool
    {
        return $this === self::Level600 || $this === self::Level1200;
    }

    public function label(): string
    {
        return match ($this) {
            self::Tape => 'tape',
            self::Inside => 'tape bent into the corner',
            self::Laser => 'laser meter',
            self::Rule => 'rule',
            self::Gauge => 'angle gauge',
            self::Level600 => 'short level',
            self::Level1200 => 'long level',
        };
    }
}
