<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Planning\SpacePlan;
use Incastro\Survey\Survey;

/** What came of one made-up room: refused where no way out solved what clashes. */
final readonly class RoomResult
{
    public function __construct(
        public int $seed,
        public TrueRoom $room,
        public Person $person,
        public Survey $survey,
        public SpacePlan $plan,
        public Judge $judge,
        public ShelfJudge $shelves,
        public ?PieceJudge $pieces = null,
        public bool $isRefused = false,
    ) {
    }

    public function fits(): bool
    {
        return $this->jams() === [];
    }

    /** @return list<string> what did not go in */
    public function jams(): array
    {
        return [...$this->judge->jams, ...$this->shelves->jams, ...$this->pieces->jams ?? []];
    }

    /**
     * Slips made, named, missed, and readings named that were right.
     *
     * @return array{made: int, named: int, missed: int, false: int}
     */
    public function slips(): array
    {
        $named = 0;
        $bySlot = [];
        foreach ($this->person->takes as $take) {
            $isSlip = isset($this->person->slipped[$take->id]);
            $bySlot[$take->slot] = ($bySlot[$take->slot] ?? false) || $isSlip;
            $named += $isSlip && (isset($this->person->named[$take->slot]) || in_array($take->id, $this->survey->struck, true)) ? 1 : 0;
        }
        $made = count($this->person->slipped);
        $false = count(array_filter(array_keys($this->person->named), fn (string $slot) => ! $bySlot[$slot]));

        return ['made' => $made, 'named' => $named, 'missed' => $made - $named, 'false' => $false];
    }
}
