<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Buy\Need;
use Incastro\Cut\Stock;
use Incastro\Planning\Plan;
use Incastro\Planning\ToBuy;

/** The sheets and boards of a plan, with their prices. */
final readonly class ShoppingList
{
    public function __construct(private Plan $plan)
    {
    }

    /** @return list<array{what: string, size: string, quantity: int, each: float, total: float}> */
    public function lines(): array
    {
        return array_map(function (Need $need): array {
            $each = (float) ($need->packs[0]->price ?? 0) / 100;

            return ['what' => $need->what, 'size' => $need->size, 'quantity' => $need->use, 'each' => $each, 'total' => round($need->use * $each, 2)];
        }, (new ToBuy($this->plan))->timber());
    }

    public function materialName(Stock $stock): string
    {
        return $this->plan->job->materials->find($stock->material)->name ?? $stock->material;
    }
}
