<?php

declare(strict_types=1);

namespace App\Prices;

use Incastro\Buy\Item;
use Incastro\Buy\Quote;

/** The stand-in for a price service: made-up prices for a demonstration, always the same. */
final class MadeUpPrices implements PriceSource
{
    /** Packs and their prices: base units, minor units of money. */
    private const PACKS = [
        'pocket-screw' => [[100, 650], [200, 1150], [500, 2400]], 'screw' => [[100, 480], [200, 850]], 'strong-screw' => [[50, 520], [100, 940]], 'structural-screw' => [[10, 620], [50, 2450]],
        'brad' => [[1000, 790]], 'shelf-pin' => [[20, 310], [50, 690]], 'hinge' => [[1, 345], [10, 2990]], 'bumper' => [[20, 240]], 'felt' => [[20, 290]], 'bar-pull' => [[1, 690]], 'knob' => [[1, 420]], 'cup-pull' => [[1, 750]],
        'slides' => [[1, 1490]], 'heavy-slides' => [[1, 3950]], 'under-slides' => [[1, 2890]], 'rail' => [[1, 990]], 'rail-socket' => [[2, 360]], 'rail-support' => [[1, 280]], 'piano-hinge' => [[1, 1150]], 'lid-stay' => [[1, 640]],
        'gas-stay' => [[2, 1380]], 'flap-stay' => [[2, 1590]], 'magnet' => [[1, 190]], 'castor' => [[4, 1790]], 'grommet' => [[1, 380]], 'butt-hinge' => [[2, 540]], 'push-latch' => [[1, 490]], 'angle-bracket' => [[4, 320]], 'connector' => [[10, 450]],
        'banding' => [[10_000, 690], [50_000, 2790]], 'glue' => [[250, 490], [750, 990]], 'caulk' => [[300, 420]], 'primer' => [[750, 1190], [1000, 1490], [2500, 2990]], 'paint' => [[750, 1450], [1000, 1795], [2500, 3690], [5000, 6580]], 'varnish' => [[750, 1650], [2500, 4490]],
    ];

    /**
     * @param  list<Item>  $items
     * @return array<string, Quote|null>
     */
    public function quote(array $items, string $currency): array
    {
        $quotes = [];
        foreach ($items as $item) {
            $packs = self::PACKS[$item->kind] ?? null;
            $quotes[$item->key()] = $packs === null ? null : new Quote($packs, now()->toDateString());
        }

        return $quotes;
    }
}
