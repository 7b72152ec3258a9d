<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Cut\Stock;
use Incastro\Planning\Plan;

/** The sheets and boards of a plan, with their prices. */
final readonly class ShoppingList
{
    public function __construct(private Plan $plan)
    {
    }

    /** @return list<array{what: string, size: string, quantity: int, each: float, total: float}> */
    public function lines(): array
    {
        $lines = [];
        $format = $this->plan->job->format;
        $add = function (string $key, string $what, string $size, float $price) use (&$lines): void {
            $lines[$key] ??= ['what' => $what, 'size' => $size, 'quantity' => 0, 'each' => $price, 'total' => 0.0];
            $lines[$key]['quantity']++;
            $lines[$key]['total'] = round($lines[$key]['total'] + $price, 2);
        };
        foreach ($this->plan->complete->sheets->sheets as $sheet) {
            $stock = $sheet->stock;
            if ($stock->isSawn) {
                continue;
            }
            $add($stock->material.$stock->name, $this->materialName($stock).', '.$stock->name, $format->writeSize($stock->length, $stock->width), $stock->price);
        }
        foreach ($this->plan->complete->boards->boards as $board) {
            $stock = $board->stock;
            $add($stock->material->id.$stock->name, $stock->material->name.', '.$stock->name, $format->writeSize($stock->length, $stock->material->width), $stock->price);
        }

        return array_values($lines);
    }

    public function materialName(Stock $stock): string
    {
        return $this->plan->job->materials->find($stock->material)->name ?? $stock->material;
    }
}
