<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Measure\Angle;
use Incastro\Measure\Length;

/**
 * One number off a tape, a level or a gauge, as it was taken. `end` says where the gap is or which end is lower,
 * `place` where it was taken; null: where its slot asks for it.
 */
final readonly class Take
{
    public function __construct(
        public string $id,
        public string $slot,
        public Length|Angle $value,
        public ?string $end = null,
        public string $typed = '',
        public string $takenAt = '',
        public ?TakenAt $place = null,
    ) {
    }

    /** Millimetres, or degrees of an angle; negative when the take names the slot's second end. */
    public function signed(Slot $slot): float
    {
        $value = $this->value instanceof Angle ? $this->value->toDegrees() : $this->value->toDouble();

        return $slot->ends !== [] && $this->end === $slot->ends[1] ? -$value : $value;
    }
}
