<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Rules\Finding;

/**
 * What the readings of a space come to: its slots, the takes in them, the room as found, and what they say.
 *
 * `room` is null while the readings do not determine one. `missing` are the required slots without a reading.
 */
final readonly class Survey
{
    /**
     * @param  list<Slot>  $slots
     * @param  array<string, Reading>  $readings  by slot
     * @param  list<Slot>  $missing
     * @param  list<Finding>  $findings
     */
    public function __construct(
        public array $slots,
        public array $readings,
        public ?Room $room,
        public array $missing,
        public bool $planIsChecked,
        public array $findings,
    ) {
    }

    /** Whether a person may rely on the room: nothing required is missing, its plan cannot skew, and nothing disagrees. */
    public function isSure(): bool
    {
        return $this->room !== null && $this->missing === [] && $this->planIsChecked && ! $this->disagrees();
    }

    public function disagrees(): bool
    {
        foreach ($this->findings as $finding) {
            if (in_array($finding->code, ['takes-differ', 'width-against-plumb', 'reading-against-rest', 'plan-cannot-close'], true)) {
                return true;
            }
        }

        return false;
    }

    /** How many readings are still needed. */
    public function toGo(): int
    {
        return count($this->missing) + ($this->planIsChecked ? 0 : 1);
    }
}
