<?php

declare(strict_types=1);

namespace Incastro\Buy;

/** How somebody wants to shop: how much more than is needed, what they leave out, and in how many trips. */
final readonly class BuyWishes
{
    /**
     * @param  float  $lost  share that is bought on top of what is dropped, bent and overtightened
     * @param  float  $over  share on top of what is bought by measure: cut off, spilt, left in the tin
     * @param  array<string, string>  $struck  why something is left out, by its key
     * @param  bool  $inOneTrip  all of it before the first cut
     */
    public function __construct(public float $lost = 0.1, public float $over = 0.1, public array $struck = [], public bool $inOneTrip = false)
    {
    }
}
