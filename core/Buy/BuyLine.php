<?php

declare(strict_types=1);

namespace Incastro\Buy;

/** A need with what is there already, and the packs that cover the rest. */
final readonly class BuyLine
{
    public int $toBuy;

    public Cover $cover;

    /** @param int $atHand base units, as is what was bought */
    public function __construct(public Need $need, public int $atHand, public int $bought)
    {
        $this->toBuy = max(0, $need->use + $need->spare - $atHand - $bought);
        $this->cover = Cover::of($this->toBuy, $need->packs);
    }

    /** All that it takes at the price of the list, whatever is bought by now; null where a price is missing. */
    public function price(): ?int
    {
        return Cover::of(max(0, $this->need->use + $this->need->spare - $this->atHand), $this->need->packs)->price;
    }

    public function isDone(): bool
    {
        return $this->toBuy === 0;
    }
}
