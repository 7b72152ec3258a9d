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

    /** Whether the person was asked to take something again that was right. */
    public function isAskedForNothing(): bool
    {
        $wrong = $this->wrongSlots();

        return array_filter(array_keys($this->person->named), fn (string $slot) => ! isset($wrong[$slot])) !== [];
    }

    /** Whether a reading was struck that was right. */
    public function strikesHonest(): bool
    {
        return array_filter($this->survey->struck, fn (string $take) => ! isset($this->person->slipped[$take])) !== [];
    }

    /** @return array<string, true> slots with a take that slipped */
    private function wrongSlots(): array
    {
        $wrong = [];
        foreach ($this->person->takes as $take) {
            if (isset($this->person->slipped[$take->id])) {
                $wrong[$take->slot] = true;
            }
        }

        return $wrong;
    }

    /**
     * Slips made, named, missed, and readings named that were right.
     *
     * @return array{made: int, named: int, missed: int, false: int}
     */
    public function slips(): array
    {
        $named = 0;
        foreach ($this->person->takes as $take) {
            $named += isset($this->person->slipped[$take->id]) && (isset($this->person->named[$take->slot]) || in_array($take->id, $this->survey->struck, true)) ? 1 : 0;
        }
        $made = count($this->person->slipped);
        $false = count(array_diff_key($this->person->named, $this->wrongSlots()));

        return ['made' => $made, 'named' => $named, 'missed' => $made - $named, 'false' => $false];
    }
}
