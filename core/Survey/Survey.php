<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Rules\Finding;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Space\Sheet;

/**
 * What the readings of a space come to: its slots, the takes in them, the room as found, and what they say.
 *
 * `room` is null while the readings do not determine one; `draft` is then the usual plan as the readings so far bend it,
 * for drawing alone. `missing` are the required slots without a reading; `struck` the takes that the others prove wrong.
 */
final readonly class Survey
{
    /**
     * @param  list<Slot>  $slots
     * @param  array<string, Reading>  $readings  by slot
     * @param  list<Slot>  $missing
     * @param  list<string>  $struck
     * @param  list<Finding>  $findings
     * @param  list<string>  $slips  that explain readings which the others prove wrong
     */
    public function __construct(
        public Sheet $sheet,
        public array $slots,
        public array $readings,
        public ?Room $room,
        public ?Room $draft,
        public array $missing,
        public bool $planIsChecked,
        public array $struck,
        public array $findings,
        public array $slips = [],
    ) {
    }

    /** @return list<Take> all that count of a slot, wherever they were taken */
    public function takesOf(string $slot): array
    {
        $takes = [];
        foreach ($this->readings as $reading) {
            if ($reading->slot->id === $slot) {
                array_push($takes, ...$reading->takes);
            }
        }
        usort($takes, fn (Take $a, Take $b) => $a->takenAt <=> $b->takenAt);

        return $takes;
    }

    /** Whether a person may rely on the room: nothing required is missing, its plan cannot skew, and nothing disagrees. */
    public function isSure(): bool
    {
        return $this->room !== null && $this->missing === [] && $this->planIsChecked && ! $this->disagrees();
    }

    public function disagrees(): bool
    {
        foreach ($this->findings as $finding) {
            if ($finding->code->isDisagreement()) {
                return true;
            }
        }

        return false;
    }

    /** How many readings are still needed. */
    public function toGo(): int
    {
        return count($this->missing) + ($this->asksForDiagonal() ? 1 : 0);
    }

    /** Whether a diagonal or a corner is needed that the sheet leaves to the person's choice. */
    public function asksForDiagonal(): bool
    {
        $ofPlan = [ReadingKind::Diagonal, ReadingKind::Side, ReadingKind::Corner, ReadingKind::ThreeFourFive];

        return ! $this->planIsChecked && array_filter($this->missing, fn (Slot $slot) => in_array($slot->kind, $ofPlan, true)) === [];
    }
}
