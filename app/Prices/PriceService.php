<?php

declare(strict_types=1);

namespace App\Prices;

use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;
use Incastro\Buy\Item;
use Incastro\Buy\Quote;

/** A price service outside, asked over HTTP as docs/prices.md has it. Nothing that it says is believed unchecked. */
final readonly class PriceService implements PriceSource
{
    private const PATIENCE = 2;

    private const MOST_BYTES = 1_000_000;

    /** No pack holds more base units, and none costs more minor units. */
    private const MOST = 1_000_000_000;

    private const MOST_PACKS = 20;

    public function __construct(private string $url)
    {
    }

    /**
     * @param  list<Item>  $items
     * @return array<string, Quote|null>
     */
    public function quote(array $items, string $currency): array
    {
        $refs = [];
        foreach ($items as $i => $item) {
            $refs["a$i"] = $item;
        }
        $answer = $this->asked(['currency' => $currency, 'items' => array_map(fn (string $ref, Item $item) => ['ref' => $ref, 'kind' => $item->kind] + $item->details, array_keys($refs), array_values($refs))]);
        if (($answer['currency'] ?? null) !== $currency) {
            throw new NoPrices('it answered in another currency');
        }
        $quotes = array_fill_keys(array_map(fn (Item $item) => $item->key(), $items), null);
        foreach (is_array($answer['quotes'] ?? null) ? $answer['quotes'] : throw new NoPrices('its answer has no quotes') as $quote) {
            $item = $refs[is_array($quote) && is_string($quote['ref'] ?? null) ? $quote['ref'] : ''] ?? null;
            if ($item !== null) {
                $quotes[$item->key()] = self::read((array) $quote);
            }
        }

        return $quotes;
    }

    /**
     * @param  array<string, mixed>  $question
     * @return array<string, mixed>
     */
    private function asked(array $question): array
    {
        try {
            $response = Http::timeout(self::PATIENCE)->connectTimeout(self::PATIENCE)->acceptJson()->withOptions(['allow_redirects' => false, 'stream' => true])->post("$this->url/quotes", $question);
            if (! $response->ok()) {
                throw new NoPrices("it answered {$response->status()}", self::retryAfter($response));
            }
            $body = $response->toPsrResponse()->getBody();
            $text = '';
            // Read in pieces, so that an endless answer ends here.
            $until = microtime(true) + self::PATIENCE;
            while (! $body->eof() && strlen($text) <= self::MOST_BYTES && microtime(true) < $until) {
                $text .= $body->read(65_536);
            }
        } catch (ConnectionException|\RuntimeException $failed) {
            throw $failed instanceof NoPrices ? $failed : new NoPrices('it cannot be reached');
        }
        $answer = strlen($text) > self::MOST_BYTES || ! $body->eof() ? null : json_decode($text, true, 8);

        return is_array($answer) ? $answer : throw new NoPrices('its answer cannot be read');
    }

    private static function retryAfter(Response $response): ?int
    {
        $seconds = $response->header('Retry-After');

        return ctype_digit($seconds) ? (int) $seconds : null;
    }

    /**
     * A quote whose packs are all right, or nothing.
     *
     * @param  array<string, mixed>  $quote
     */
    private static function read(array $quote): ?Quote
    {
        $packs = [];
        $given = is_array($quote['packs'] ?? null) ? array_slice($quote['packs'], 0, self::MOST_PACKS) : [];
        foreach ($given as $pack) {
            [$count, $minor] = is_array($pack) ? [$pack['count'] ?? null, $pack['minor'] ?? null] : [null, null];
            if (! is_int($count) || ! is_int($minor) || $count < 1 || $minor < 0 || max($count, $minor) > self::MOST) {
                return null;
            }
            $packs[] = [$count, $minor];
        }

        return $packs === [] ? null : new Quote($packs, now()->toDateString());
    }
}
