<?php

declare(strict_types=1);

namespace App\Prices;

use App\Jobs\AskPrices;
use App\Models\Job;
use Illuminate\Support\Facades\Cache;
use Incastro\Buy\Item;
use Incastro\Buy\Need;
use Incastro\Buy\Quote;

/**
 * Prices that shops named, as they are remembered. Nobody ever waits for them: the list is made with those that are known, and what
 * is not known is asked for behind it.
 *
 * @phpstan-type Kept array{packs: list<array{int, int}>, on: string, at: int}
 */
final class Prices
{
    /** Hours for which a price counts as of today; days for which an older one is better than none. */
    private const FRESH = 24;

    private const KEPT = 60;

    /** Minutes for which a service that failed is left alone. */
    private const PAUSE = 10;

    private const CURRENCIES = ['€' => 'EUR', '$' => 'USD', '£' => 'GBP'];

    /** Who is asked: the service that was set up, or the stand-in for the demo's own jobs. Nobody else gets prices that are made up. */
    private static function source(Job $job): ?PriceSource
    {
        $url = (string) config('incastro.prices');

        return match (true) {
            self::currency($job) === null => null,
            $url !== '' => new PriceService($url),
            $job->home->user->email === config('incastro.demo_email') => new MadeUpPrices(),
            default => null,
        };
    }

    /**
     * Those that are known, and whether others are being asked for.
     *
     * @param  list<Need>  $needs
     * @return array{quotes: array<string, Quote>, asking: bool, note: string}
     */
    public static function known(Job $job, array $needs): array
    {
        $source = self::source($job);
        if ($source === null) {
            return ['quotes' => [], 'asking' => false, 'note' => ''];
        }
        $quotes = $stale = [];
        $items = self::items($needs);
        foreach (self::kept($job, $items) as $key => $known) {
            if (($known['packs'] ?? []) !== []) {
                $quotes[$key] = new Quote($known['packs'], $known['on']);
            }
            if (self::isStale($known)) {
                $stale[] = $items[$key];
            }
        }
        $isPaused = Cache::has(self::pause());
        if ($stale !== [] && ! $isPaused) {
            AskPrices::dispatch($job->id);
        }
        $madeUp = $source instanceof MadeUpPrices ? 'Prices that nobody typed are made up, for the demonstration.' : '';
        $oldest = $quotes === [] ? null : min(array_map(fn (Quote $quote) => $quote->on, $quotes));

        return ['quotes' => $quotes, 'asking' => $stale !== [] && ! $isPaused, 'note' => $isPaused && $stale !== [] ? 'No prices today'.($oldest === null ? '.' : '; using those of '.date('j F', (int) strtotime($oldest)).'.') : $madeUp];
    }

    /**
     * Asks for those that are not of today.
     *
     * @param  list<Need>  $needs
     */
    public static function ask(Job $job, array $needs): void
    {
        $items = self::items($needs);
        $items = array_values(array_intersect_key($items, array_filter(self::kept($job, $items), self::isStale(...))));
        $source = self::source($job);
        if ($items === [] || $source === null) {
            return;
        }
        try {
            $quotes = $source->quote($items, (string) self::currency($job));
        } catch (NoPrices $none) {
            Cache::put(self::pause(), $none->getMessage(), max(60 * self::PAUSE, min(86_400, $none->retryAfter ?? 0)));

            return;
        }
        foreach ($items as $item) {
            $quote = $quotes[$item->key()] ?? null;
            Cache::put(self::place($job, $item), ['packs' => $quote->packs ?? [], 'on' => $quote->on ?? '', 'at' => now()->getTimestamp()], now()->addDays(self::KEPT));
        }
    }

    /**
     * What is remembered of each item, by its key; null of what nobody asked for yet.
     *
     * @param  array<string, Item>  $items
     * @return array<string, Kept|null>
     */
    private static function kept(Job $job, array $items): array
    {
        $kept = Cache::many(array_map(fn (Item $item) => self::place($job, $item), array_values($items)));

        return array_map(fn (Item $item) => $kept[self::place($job, $item)] ?? null, $items);
    }

    /** @param Kept|null $known */
    private static function isStale(?array $known): bool
    {
        return $known === null || $known['at'] < now()->subHours(self::FRESH)->getTimestamp();
    }

    /**
     * @param  list<Need>  $needs
     * @return array<string, Item> of what has no typed price, by its key
     */
    private static function items(array $needs): array
    {
        $items = [];
        foreach ($needs as $need) {
            if ($need->item !== null && ! $need->isPriced()) {
                $items[$need->item->key()] = $need->item;
            }
        }

        return $items;
    }

    private static function currency(Job $job): ?string
    {
        return self::CURRENCIES[$job->choices['currency']] ?? null;
    }

    private static function place(Job $job, Item $item): string
    {
        return 'price:'.sha1((string) config('incastro.prices')).':'.self::currency($job).':'.$item->key();
    }

    private static function pause(): string
    {
        return 'prices-pause:'.sha1((string) config('incastro.prices'));
    }
}
