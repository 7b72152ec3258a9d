<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Buy\BuyLine;
use Incastro\Buy\Shop;
use Incastro\Drawing\PdfWriter;
use Incastro\Measure\Unit;
use Incastro\Planning\Plan;
use Incastro\Planning\ToBuy;

/** The list for the shops: as JSON for the screen, as CSV (RFC 4180) and on paper. */
final readonly class ToBuyWriter
{
    private const HEAD = ['trip', 'needed_by', 'shop', 'what', 'size', 'use', 'spare', 'at_hand', 'bought', 'to_buy', 'packs', 'price', 'currency'];

    /** @param list<BuyLine> $lines */
    public function __construct(private Plan $plan, private array $lines)
    {
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        return [
            'currency' => $this->plan->job->currency,
            'total' => ToBuy::price($this->lines),
            'trips' => array_map(fn (array $lines) => [
                'shop' => $lines[0]->need->shop->label(), 'needed_by' => $lines[0]->need->shop->neededBy(),
                'kg' => round(array_sum(array_map(fn (BuyLine $line) => $line->need->kg * $line->toBuy, $lines)), 1),
                'lines' => array_map($this->line(...), $lines),
            ], $this->byShop()),
        ];
    }

    public function csv(): string
    {
        $rows = [self::HEAD];
        foreach ($this->byShop() as $trip => $lines) {
            foreach ($lines as $line) {
                $need = $line->need;
                $rows[] = [(string) ($trip + 1), $need->shop->neededBy(), $need->shop->label(), $need->what, $need->size, ($need->write)($need->use), ($need->write)($need->spare), ($need->write)($line->atHand), ($need->write)($line->bought), ($need->write)($line->toBuy), $line->cover->words(), $line->cover->price === null ? '' : sprintf('%.2f', $line->cover->price / 100), $this->plan->job->currency];
            }
        }

        return CsvRows::write($rows);
    }

    public function pdf(): string
    {
        $name = $this->plan->job->name;
        $pdf = new PdfWriter("$name: to buy", $name, $this->plan->job->format->unit === Unit::Inch);
        $pdf->page("$name: to buy");
        $this->tables($pdf);
        $total = ToBuy::price($this->lines);
        $pdf->paragraph(sprintf('In all %s%s %.2f.', $total['unknown'] > 0 ? 'at least ' : '', $this->plan->job->currency, $total['minor'] / 100), 11);

        return $pdf->output();
    }

    /** A table for each shop, on paper that has other things too. */
    public function tables(PdfWriter $pdf): void
    {
        foreach ($this->byShop() as $lines) {
            $shop = $lines[0]->need->shop;
            $rows = array_map(fn (BuyLine $line) => [$line->isDone() ? 'x' : '', ($line->need->write)($line->toBuy), trim($line->need->what.' '.$line->need->size), $line->cover->words(), $this->money($line->cover->price)], $lines);
            $pdf->table(sprintf('%s, before %s', $shop->label(), $shop->neededBy()), ['', 'To buy', $shop->label(), 'Packs', 'Price'], [8, 22, 80, 46, 24], $rows);
        }
    }

    /** @return list<non-empty-list<BuyLine>> */
    private function byShop(): array
    {
        $byShop = [];
        foreach ($this->lines as $line) {
            $byShop[$line->need->shop->value][] = $line;
        }

        return array_values(array_filter(array_map(fn (Shop $shop) => $byShop[$shop->value] ?? [], Shop::cases())));
    }

    /** @return array<string, mixed> */
    private function line(BuyLine $line): array
    {
        $need = $line->need;

        return [
            'key' => $need->key, 'what' => $need->what, 'size' => $need->size, 'use' => ($need->write)($need->use), 'spare' => $need->spare === 0 ? '' : ($need->write)($need->spare),
            'at_hand' => $line->atHand, 'bought' => $line->bought, 'to_buy' => ($need->write)($line->toBuy), 'amount' => $line->cover->units, 'done' => $line->isDone(), 'packs' => $line->cover->words(),
            'price' => $line->cover->price, 'note' => $line->cover->note, 'for' => $need->for, 'counted' => ! str_contains(($need->write)(1), ' '),
        ];
    }

    private function money(?int $minor): string
    {
        return $minor === null ? '?' : sprintf('%s %.2f', $this->plan->job->currency, $minor / 100);
    }
}
