<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Buy\BuyLine;
use Incastro\Buy\Item;
use Incastro\Buy\Need;
use Incastro\Buy\Pack;
use Incastro\Buy\Quote;
use Incastro\Buy\Shop;
use Incastro\Measure\Length;
use Incastro\Rules\Materials\Article;
use Incastro\Units\Hardware;

/** All that a job needs from shops, less what is at hand and what is bought: sheets, boards, hardware, and what is bought by measure. */
final class ToBuy
{
    /** Of what is dropped, bent and overtightened at least so many more are bought. */
    private const LOST_AT_LEAST = 5;

    /** @var list<Need>|null */
    private ?array $all = null;

    /**
     * @param  array<string, int>  $atHand  base units by the needs' keys
     * @param  array<string, int>  $bought  the same
     * @param  array<string, Quote>  $quotes  by the keys of the items that shops were asked for
     */
    public function __construct(private readonly Plan $plan, private readonly array $atHand = [], private readonly array $bought = [], private readonly array $quotes = [])
    {
    }

    /**
     * The same with what is there already, and the prices that shops named.
     *
     * @param  array<string, int>  $atHand
     * @param  array<string, int>  $bought
     * @param  array<string, Quote>  $quotes
     */
    public function given(array $atHand, array $bought, array $quotes): self
    {
        $same = new self($this->plan, $atHand, $bought, $quotes);
        $same->all = $this->all();

        return $same;
    }

    /** @return list<Need> by shop, without what shops say of prices; gathered once */
    private function all(): array
    {
        if ($this->all === null) {
            $needs = [...$this->timber(), ...$this->hardware(), ...(new Supplies($this->plan))->needs()];
            $order = array_flip(array_map(fn (Shop $shop) => $shop->value, Shop::cases()));
            usort($needs, fn (Need $a, Need $b) => $order[$a->shop->value] <=> $order[$b->shop->value]);
            $this->all = $needs;
        }

        return $this->all;
    }

    /** @return list<Need> by shop, in the order in which they are needed; typed prices go before those of a shop */
    public function needs(): array
    {
        return array_map(fn (Need $need) => $need->quoted($this->quotes[$need->item?->key() ?? ''] ?? null), $this->all());
    }

    /** @return list<BuyLine> without what somebody left out */
    public function lines(): array
    {
        $needs = array_values(array_filter($this->needs(), fn (Need $need) => ! isset($this->plan->job->buying->struck[$need->key])));

        return array_map(fn (Need $need) => new BuyLine($need, $this->atHand[$need->key] ?? 0, $this->bought[$need->key] ?? 0), $needs);
    }

    /** @return list<array{key: string, what: string, why: string}> what somebody left out of the list */
    public function struck(): array
    {
        $struck = $this->plan->job->buying->struck;

        return array_values(array_map(fn (Need $need) => ['key' => $need->key, 'what' => trim("$need->what $need->size"), 'why' => $struck[$need->key]], array_filter($this->needs(), fn (Need $need) => isset($struck[$need->key]))));
    }

    /**
     * What all of it costs, in minor units, and of how many lines no price is known.
     *
     * @param  list<BuyLine>  $lines
     * @return array{minor: int, unknown: int}
     */
    public static function price(array $lines): array
    {
        $prices = array_map(fn (BuyLine $line) => $line->price(), $lines);

        return ['minor' => array_sum(array_filter($prices)), 'unknown' => count(array_filter($prices, is_null(...)))];
    }

    /** @return list<Need> sheets and boards, each stock on its own */
    public function timber(): array
    {
        $needs = [];
        $format = $this->plan->job->format;
        $add = function (string $key, string $what, string $size, float $price, float $kg, Length $long) use (&$needs): void {
            $known = $needs[$key] ?? null;
            $needs[$key] = new Need($key, Shop::Timber, $what, $size, ($known->use ?? 0) + 1, 0, [new Pack(1, (int) round(100 * $price), 'piece')], strval(...), [], $kg, long: $long);
        };
        foreach ($this->plan->complete->sheets->sheets as $sheet) {
            $stock = $sheet->stock;
            if (! $stock->isSawn) {
                $material = $this->plan->job->materials->find($stock->material);
                $kg = $stock->length->toDouble() * $stock->width->toDouble() * $stock->thickness->toDouble() * 1e-9 * ($material->density ?? 680.0);
                $add(self::key('sheet', $stock->material, $stock->name, $stock->length), sprintf('%s, %s', $material->name ?? $stock->material, $stock->name), $format->writeSize($stock->length, $stock->width), $stock->price, $kg, $stock->length);
            }
        }
        foreach ($this->plan->complete->boards->boards as $board) {
            $stock = $board->stock;
            $kg = $stock->length->toDouble() * $stock->material->width->toDouble() * $stock->material->thickness->toDouble() * 1e-9 * $stock->material->density;
            $add(self::key('board', $stock->material->id, $stock->name, $stock->length), "{$stock->material->name}, $stock->name", $format->writeSize($stock->length, $stock->material->width), $stock->price, $kg, $stock->length);
        }

        return array_values($needs);
    }

    /** Stocks of one size may differ in their price: the name tells them apart. */
    public static function key(string $kind, string $material, string $name, Length $length): string
    {
        return implode(':', [$kind, $material, $name, $length->nanometres()]);
    }

    /**
     * The key of a sheet as the choices keep it.
     *
     * @param  array<string, mixed>  $stock
     */
    public static function sheetKey(array $stock): string
    {
        return self::key('sheet', $stock['material'], $stock['name'], Length::ofNanometres($stock['length']['nm']));
    }

    /** @return list<Need> */
    private function hardware(): array
    {
        $byName = [];
        foreach ($this->plan->spaces as $space) {
            foreach ($space->hardware() as $item) {
                $byName[$item->name][] = $item;
            }
        }

        return array_values(array_map(function (array $items): Need {
            [$first, $use] = [$items[0], array_sum(array_map(fn (Hardware $item) => $item->quantity, $items))];
            $serving = $this->plan->job->materials->serving($first->kind, $first->length, $first->load);
            // What has no price is bought only where nothing has one.
            $articles = array_filter($serving, fn (Article $article) => $article->price !== null) ?: $serving;
            $packs = array_values(array_map(fn (Article $article) => new Pack($article->pack, $article->price === null ? null : (int) round(100 * $article->price), $article->pack === 1 ? 'piece' : "pack of $article->pack"), $articles));
            $spare = $first->kind->isLost() ? max(self::LOST_AT_LEAST, (int) ceil($use * $this->plan->job->buying->lost)) : 0;

            return new Need("hardware:$first->name", Shop::Ironmonger, ucfirst($first->name), '', $use, $spare, $packs === [] ? [new Pack(1, null, 'piece')] : $packs, strval(...), array_values(array_unique(array_map(fn (Hardware $item) => $item->use, $items))), item: self::item($first));
        }, $byName));
    }

    private static function item(Hardware $one): Item
    {
        return new Item($one->kind->value, array_filter(['length_nm' => $one->length?->nanometres(), 'load_g' => $one->load === null ? null : (int) round(1000 * $one->load)], fn (?int $detail) => $detail !== null));
    }
}
