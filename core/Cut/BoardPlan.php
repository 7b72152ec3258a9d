<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** Boards to buy by length, and what is cut from each. */
final readonly class BoardPlan
{
    /**
     * @param  list<PlannedBoard>  $boards
     * @param  list<Unplaced>  $unplaced
     * @param  float  $boundPrice  what no plan costs less than
     */
    public function __construct(public array $boards, public array $unplaced, public float $boundPrice = 0.0)
    {
    }

    /** @return list<non-empty-list<PlannedBoard>> */
    public function byMaterial(): array
    {
        $byMaterial = [];
        foreach ($this->boards as $board) {
            $byMaterial[$board->stock->material->id][] = $board;
        }

        return array_values($byMaterial);
    }

    public function price(): float
    {
        return round(array_sum(array_map(fn (PlannedBoard $board) => $board->stock->price, $this->boards)), 2);
    }
}
