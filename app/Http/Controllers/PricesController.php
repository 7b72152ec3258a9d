<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Prices\MadeUpPrices;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Incastro\Buy\Item;

/** The stand-in for a price service over HTTP, as docs/prices.md has it: for trying out what asks one. Its prices are made up. */
final class PricesController extends Controller
{
    private const MOST_ITEMS = 500;

    public function quotes(Request $request, MadeUpPrices $prices): JsonResponse
    {
        abort_unless((bool) config('incastro.demo'), 404);
        $items = [];
        $given = $request->json('items');
        foreach (is_array($given) ? array_slice($given, 0, self::MOST_ITEMS) : [] as $i => $item) {
            $ref = is_array($item) ? $item['ref'] ?? null : null;
            $kind = is_array($item) ? $item['kind'] ?? null : null;
            if (! is_string($ref) || ! is_string($kind)) {
                return response()->json(['error' => 'item', 'ref' => is_string($ref) ? $ref : null, 'sentence' => sprintf('Item %d has no ref or no kind: both are text.', (int) $i + 1)], 400);
            }
            $items[$ref] = new Item($kind);
        }
        $quotes = $prices->quote(array_values($items), (string) $request->json('currency'));
        $known = array_filter($items, fn (Item $item) => $quotes[$item->key()] !== null);

        return response()->json([
            'quoted_at' => now()->toIso8601ZuluString(), 'currency' => $request->json('currency'),
            'quotes' => array_map(fn (string $ref, Item $item) => ['ref' => $ref, 'unit' => $item->unit(), 'valid_until' => null, 'packs' => array_map(fn (array $pack) => ['count' => $pack[0], 'minor' => $pack[1]], $quotes[$item->key()]->packs ?? [])], array_map(strval(...), array_keys($known)), array_values($known)),
            'unknown' => array_map(strval(...), array_keys(array_diff_key($items, $known))),
        ]);
    }
}
