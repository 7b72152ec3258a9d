<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\AngleReader;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Unreadable;
use Incastro\Survey\Slot;

/** Reads a take as typed for a slot: its value in the stored form, and at which end the gap is or which end is lower. */
final readonly class TakeReader
{
    /** Most that a wall leans or a floor falls before it is a slip of the pen, mm. */
    private const MOST_LEAN = 150_000_000;

    public function __construct(private LengthFormat $format)
    {
    }

    /**
     * @return array{value: array<string, int|string>, end: ?string}
     *
     * @throws Unreadable
     */
    public function read(Slot $slot, string $typed, ?string $end): array
    {
        if ($slot->kind->isAngle()) {
            $angle = (new AngleReader())->read($typed);

            return ['value' => ['microdegrees' => $angle->microdegrees(), 'typed' => trim($typed)], 'end' => null];
        }
        $length = (new LengthReader($this->format->unit))->read($typed);
        if ($slot->kind->takesEnd()) {
            if ($length->nanometres() > self::MOST_LEAN) {
                throw new Unreadable(sprintf('“%s” was understood as %s. A lean or a fall is at most %s: type the gap alone.', trim($typed), $this->format->write($length), $this->format->unit === Unit::Inch ? '6 in' : '150 mm'));
            }
            if (! $length->isZero() && ! in_array($end, $slot->ends, true)) {
                throw new Unreadable(sprintf('%s was understood, but not at which end. Say %s.', $this->format->write($length), implode(' or ', $slot->ends)));
            }
        } elseif (! $slot->kind->mayBeZero() && ! $length->isPositive()) {
            throw new Unreadable(sprintf('“%s” was understood as nothing. Type a length such as %s.', trim($typed), $this->format->unit->isMetric() ? '803' : '31 5/8'));
        }

        return ['value' => ['nm' => $length->nanometres(), 'typed' => trim($typed)], 'end' => $slot->kind->takesEnd() ? ($end ?? $slot->ends[0]) : null];
    }
}
