<?php

declare(strict_types=1);

namespace Incastro\Cut;

/**
 * What no plan can beat, by area alone. Pieces on a sheet are a kerf apart, so each with a kerf added to both its sizes
 * still lies beside the others in a sheet with a kerf added: Σ (l + k)(w + k) ≤ n · (L + k)(W + k).
 */
final readonly class AreaBound
{
    private function __construct(public int $sheets, public float $price)
    {
    }

    /**
     * @param  list<CutPiece>  $pieces
     * @param  non-empty-list<Stock>  $kinds
     */
    public static function of(array $pieces, array $kinds, SawSetup $saw): self
    {
        $kerf = $saw->kerf->toDouble();
        $need = array_sum(array_map(fn (CutPiece $piece) => $piece->quantity * ($piece->length->toDouble() + $kerf) * ($piece->width->toDouble() + $kerf), $pieces));
        $areas = array_map(fn (Stock $kind) => max(1.0, ($saw->usableLength($kind)->toDouble() + $kerf) * ($saw->usableWidth($kind)->toDouble() + $kerf)), $kinds);
        $sheets = (int) ceil($need / max($areas) - 1e-9);
        $prices = array_map(fn (Stock $kind) => $kind->price, $kinds);
        $rates = array_map(fn (float $price, float $area) => $price / $area, $prices, $areas);
        // With one kind of sheet the price is that of whole sheets; with several, the cheapest mm² bounds it.
        $price = count($kinds) === 1 ? $sheets * $prices[0] : max($need * min($rates), min($prices));

        return new self($sheets, $price);
    }
}
