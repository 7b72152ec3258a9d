<?php

declare(strict_types=1);

namespace App\Prices;

use Incastro\Buy\Item;
use Incastro\Buy\Quote;

/** Somebody who names prices: an outside service, or the stand-in that ships with the application (docs/prices.md). */
interface PriceSource
{
    /**
     * @param  list<Item>  $items
     * @param  string  $currency  ISO 4217
     * @return array<string, Quote|null> by the keys of the items; null of what it does not know
     *
     * @throws NoPrices where it gives no answer that can be believed
     */
    public function quote(array $items, string $currency): array;
}
