<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** What a plan of sheets is for. */
enum Objective: string
{
    /** The least money, and at that the fewest settings of the fence. */
    case Money = 'money';

    /** The fewest sheets, whatever their kind, and of those the least money. */
    case Sheets = 'sheets';

    /** As money, and looked for ten times as long for fewer settings. */
    case Settings = 'settings';

    /** A sheet weighs more than any sum of prices. */
    private const WEIGHT = 1e7;

    /**
     * The stock as it is weighed.
     *
     * @param  list<Stock>  $stock
     * @return list<Stock>
     */
    public function weighed(array $stock): array
    {
        return $this === self::Sheets ? array_map(fn (Stock $one) => $one->at($one->price + ($one->price > 0.0 ? self::WEIGHT : 0.0)), $stock) : $stock;
    }

    /** A price without the weight of its sheets. */
    public function price(float $weighed): float
    {
        return $this === self::Sheets ? round(fmod($weighed, self::WEIGHT), 2) : $weighed;
    }

    /** Steps towards fewer settings, in times of those towards less money. */
    public function effort(): int
    {
        return $this === self::Settings ? 10 : 1;
    }
}
