<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Slot;

/**
 * A simulated person with tools: reads what is true with the tool's uncertainty, to the working fraction, and slips now and
 * then the way people do.
 */
final class Tape
{
    private const INCH = 25.4;

    private bool $slipped = false;

    public function __construct(private readonly Dice $dice, private readonly LengthFormat $format, private readonly float $slips = 0.0)
    {
    }

    /** A reading in mm or degrees of what is true, signed as the slot's first end. */
    public function read(Slot $slot, float $truth): float
    {
        $value = $truth + $this->dice->normal($slot->tool->sigma($slot->span ?? abs($truth)));
        $this->slipped = $this->dice->chance($this->slips);
        if ($this->slipped) {
            $value += $this->slip($slot, $value);
        }
        $step = match (true) {
            $slot->kind->isAngle() => 0.1,
            // A rule is read finer than a tape.
            $slot->kind === ReadingKind::Plumb || $slot->kind === ReadingKind::Fall || $slot->kind === ReadingKind::Offset => $this->format->unit === Unit::Inch ? self::INCH / 32 : 0.5,
            default => $this->format->step->toDouble(),
        };
        $rounded = $step * round($value / $step);

        return $slot->kind->takesEnd() ? $rounded : max($slot->kind->mayBeZero() ? 0.0 : $step, $rounded);
    }

    /** Whether the last reading went wrong. */
    public function hasSlipped(): bool
    {
        return $this->slipped;
    }

    private function slip(Slot $slot, float $value): float
    {
        $sign = $this->dice->pick([-1, 1]);

        return match (true) {
            $slot->kind->takesEnd() => -2 * $value,
            $slot->kind->isAngle() => $sign * $this->dice->between(2.0, 6.0),
            in_array($slot->kind, [ReadingKind::Skirting, ReadingKind::Offset, ReadingKind::Rise], true) => 10.0,
            default => $sign * $this->dice->pick([self::INCH, self::INCH, 10.0, 100.0, 50.0, 30.0]),
        };
    }
}
