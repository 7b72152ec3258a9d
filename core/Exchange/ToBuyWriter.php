<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Buy\BuyLine;
use Incastro\Buy\Shop;
use Incastro\Drawing\PdfWriter;
use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Planning\Plan;
use Incastro\Planning\ToBuy;

/** The list for the shops: as JSON for the screen, as CSV (RFC 4180) and on paper. */
final readonly class ToBuyWriter
{
    private const HEAD = ['trip', 'needed_by', 'shop', 'what', 'size', 'use', 'spare', 'at_hand', 'bought', 'to_buy', 'unit', 'pack', 'packs', 'price_each', 'price', 'currency', 'priced_on', 'where'];

    /** @var list<BuyLine> */
    private array $lines;

    /** @param array{Length, Length}|null $rideHome  the longest and the widest part that goes home with whoever shops; null: any */
    public function __construct(private Plan $plan, private ToBuy $list, private ?array $rideHome = null)
    {
        $this->lines = $list->lines();
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        return [
            'currency' => $this->plan->job->currency,
            'total' => ToBuy::price($this->lines),
            'in_one_trip' => $this->plan->job->buying->inOneTrip,
            'spare' => ['lost' => (int) round(100 * $this->plan->job->buying->lost), 'over' => (int) round(100 * $this->plan->job->buying->over)],
            'struck' => $this->list->struck(),
            'trips' => array_map(fn (array $lines) => [
                'shop' => $this->shop($lines), 'needed_by' => $lines[0]->need->shop->neededBy(),
                'kg' => round(array_sum(array_map(fn (BuyLine $line) => $line->need->kg * $line->toBuy, $lines)), 1),
                'load' => $this->load($lines),
                'lines' => array_map($this->line(...), $lines),
            ], $this->trips()),
        ];
    }

    public function csv(): string
    {
        $rows = [self::HEAD];
        foreach ($this->trips() as $trip => $lines) {
            foreach ($lines as $line) {
                $need = $line->need;
                $each = fn (\Closure $of): string => implode(' + ', array_map($of, $line->cover->packs));
                $rows[] = [
                    (string) ($trip + 1), $lines[0]->need->shop->neededBy(), $need->shop->label(), $need->what, $need->size, (string) $need->use, (string) $need->spare, (string) $line->atHand, (string) $line->bought, (string) $line->toBuy, $need->unit(),
                    $each(fn (array $pack) => (string) $pack[1]->units), $each(fn (array $pack) => (string) $pack[0]), $each(fn (array $pack) => $pack[1]->price === null ? '' : sprintf('%.2f', $pack[1]->price / 100)),
                    $line->cover->price === null ? '' : sprintf('%.2f', $line->cover->price / 100), $this->plan->job->currency, $need->pricedOn ?? '', implode('; ', $need->for),
                ];
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
        foreach ($this->trips() as $lines) {
            $shop = $lines[0]->need->shop;
            $rows = array_map(fn (BuyLine $line) => [$line->isDone() ? 'x' : '', ($line->need->write)($line->toBuy), trim($line->need->what.' '.$line->need->size), $line->cover->words(), $this->money($line->cover->price)], $lines);
            $load = $this->load($lines);
            $pdf->table(sprintf('%s, before %s%s', $this->shop($lines), $shop->neededBy(), $load === '' ? '' : " · $load"), ['', 'To buy', 'What', 'Packs', 'Price'], [8, 22, 80, 46, 24], $rows);
        }
    }

    /** @return list<non-empty-list<BuyLine>> a trip for each shop, or one for all of them */
    private function trips(): array
    {
        if ($this->plan->job->buying->inOneTrip) {
            return $this->lines === [] ? [] : [$this->lines];
        }
        $byShop = [];
        foreach ($this->lines as $line) {
            $byShop[$line->need->shop->value][] = $line;
        }

        return array_values(array_filter(array_map(fn (Shop $shop) => $byShop[$shop->value] ?? [], Shop::cases())));
    }

    /** @param non-empty-list<BuyLine> $lines */
    private function shop(array $lines): string
    {
        return implode(', ', array_values(array_unique(array_map(fn (BuyLine $line) => $line->need->shop->label(), $lines))));
    }

    /**
     * What there is to carry, and whether it goes home as it is.
     *
     * @param  non-empty-list<BuyLine>  $lines
     */
    private function load(array $lines): string
    {
        $kg = array_sum(array_map(fn (BuyLine $line) => $line->need->kg * $line->toBuy, $lines));
        $long = null;
        foreach ($lines as $line) {
            if ($line->toBuy > 0 && $line->need->long !== null && ($long === null || $line->need->long->isGreaterThan($long))) {
                $long = $line->need->long;
            }
        }
        if ($long === null) {
            return '';
        }
        $format = $this->plan->job->format;
        $is = sprintf('%.0f kg, %s at the longest', $kg, $format->write($long));

        return $this->rideHome !== null && $long->isGreaterThan($this->rideHome[0]) ? sprintf('%s; your ride takes %s: have it delivered, or cut there', $is, $format->write($this->rideHome[0])) : $is;
    }

    /** @return array<string, mixed> */
    private function line(BuyLine $line): array
    {
        $need = $line->need;

        return [
            'key' => $need->key, 'what' => $need->what, 'size' => $need->size, 'use' => ($need->write)($need->use), 'spare' => $need->spare === 0 ? '' : ($need->write)($need->spare),
            'at_hand' => $line->atHand, 'bought' => $line->bought, 'to_buy' => ($need->write)($line->toBuy), 'amount' => $line->cover->units, 'done' => $line->isDone(), 'packs' => $line->cover->words(),
            'price' => $line->cover->price, 'priced_on' => $need->pricedOn, 'note' => $line->cover->note, 'for' => $need->for, 'counted' => ! str_contains(($need->write)(1), ' '),
        ];
    }

    /**
     * What each line has all in all, for whoever says what was paid for it, or how much of it was left.
     *
     * @return list<array{key: string, what: string, listed: ?int, use: int, spare: int, had: int}>
     */
    public function whole(): array
    {
        return array_map(fn (BuyLine $line): array => [
            'key' => $line->need->key, 'what' => trim($line->need->what.' '.$line->need->size), 'listed' => $line->price(), 'use' => $line->need->use, 'spare' => $line->need->spare,
            'had' => $line->atHand + $line->bought + $line->cover->units,
        ], $this->lines);
    }

    /** What the whole list costs as far as prices are known, minor units; null where nothing is needed. */
    public function total(): ?int
    {
        return $this->list->needs() === [] ? null : ToBuy::price($this->lines)['minor'];
    }

    private function money(?int $minor): string
    {
        return $minor === null ? '?' : sprintf('%s %.2f', $this->plan->job->currency, $minor / 100);
    }
}
