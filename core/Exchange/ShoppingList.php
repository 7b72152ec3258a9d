<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Cut\Stock;
use Incastro\Planning\Plan;

/** What to buy for a plan: sheets of each kind, with their price. */
final readonly class ShoppingList
{
    public function __construct(private Plan $plan)
    {
    }

    /** @return list<array{what: string, size: string, quantity: int, each: float, total: float}> */
    public function lines(): array
    {
        $lines = [];
        foreach ($this->plan->complete->sheets as $sheet) {
            $stock = $sheet->stock;
            $key = $stock->material.$stock->name;
            $lines[$key] ??= [
                'what' => $this->materialName($stock).', '.$stock->name,
                'size' => $this->plan->job->format->writeSize($stock->length, $stock->width),
                'quantity' => 0, 'each' => $stock->price, 'total' => 0.0,
            ];
            $lines[$key]['quantity']++;
            $lines[$key]['total'] = round($lines[$key]['total'] + $stock->price, 2);
        }

        return array_values($lines);
    }

    public function materialName(Stock $stock): string
    {
        return $this->plan->job->materials->find($stock->material)->name ?? $stock->material;
    }
}
