<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Cut\Stock;
use Incastro\Planning\Plan;
use Incastro\Units\Hardware;

/** What to buy for a plan, with its price: sheets and boards of each kind, and hardware in the packs that it is sold in. */
final readonly class ShoppingList
{
    /** Of what is dropped, bent and overtightened a tenth more is bought. */
    private const SPARE = 0.1;

    public function __construct(private Plan $plan)
    {
    }

    /**
     * What is bought by the piece, whatever it is used for. What the job names no article for, or no price, has none.
     *
     * @return list<array{what: string, quantity: int, packs: ?int, pack: ?int, total: ?float}>
     */
    public function hardware(): array
    {
        $needs = [];
        foreach ($this->plan->spaces as $space) {
            foreach ($space->hardware() as $item) {
                $needs[$item->name][] = $item;
            }
        }

        return array_map(function (array $items): array {
            $quantity = array_sum(array_map(fn (Hardware $item) => $item->quantity, $items));
            $article = $this->plan->job->materials->article($items[0]->kind, $items[0]->length, $items[0]->load);
            $spare = $items[0]->kind->isLost() ? (int) ceil($quantity * self::SPARE) : 0;
            $packs = $article === null ? null : (int) ceil(($quantity + $spare) / $article->pack);

            return ['what' => $items[0]->name, 'quantity' => $quantity, 'packs' => $packs, 'pack' => $article?->pack, 'total' => $article?->price === null ? null : round($packs * $article->price, 2)];
        }, array_values($needs));
    }

    /** @return array{price: float, unknown: int} of all hardware that has a price, and how many of its lines have none */
    public function hardwarePrice(): array
    {
        $totals = array_column($this->hardware(), 'total');

        return ['price' => round(array_sum($totals), 2), 'unknown' => count(array_filter($totals, is_null(...)))];
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
