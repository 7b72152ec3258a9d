<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** All that is cut for a job: from sheets, and from boards by length. */
final readonly class CutPlan
{
    public function __construct(public SheetPlan $sheets, public BoardPlan $boards)
    {
    }

    public function price(): float
    {
        return $this->sheets->price + $this->boards->price();
    }

    /** @return list<Unplaced> */
    public function unplaced(): array
    {
        return [...$this->sheets->unplaced, ...$this->boards->unplaced];
    }

    /** Whether pieces are left over that more of the same stock would take. */
    public function isShort(): bool
    {
        return array_filter($this->unplaced(), fn (Unplaced $unplaced) => $unplaced->isShort) !== [];
    }
}
