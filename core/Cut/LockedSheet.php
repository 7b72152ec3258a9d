<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** A sheet whose layout somebody wants to keep: what lies where on it, by the names of the pieces. */
final readonly class LockedSheet
{
    /**
     * @param  string  $stock  name of what is in stock
     * @param  list<array{string, Rectangle, bool}>  $pieces  name, place, and whether its length lies along the sheet's width
     * @param  list<Rectangle>  $offcuts
     */
    public function __construct(public string $material, public string $stock, public array $pieces, public array $offcuts)
    {
    }

    /**
     * The sheet as it was laid out, while each of its pieces is still to be cut to the same size.
     *
     * @param  list<CutPiece>  $pieces  one by one
     * @param  list<Stock>  $stock
     * @return array{PlannedSheet, list<CutPiece>, list<Stock>}|null the sheet, the pieces that are left and the stock that is left
     */
    public function taken(array $pieces, array $stock, SawSetup $saw): ?array
    {
        $from = $this->from($stock, $saw);
        if ($from === null) {
            return null;
        }
        $placed = [];
        foreach ($this->pieces as [$name, $at, $turned]) {
            $found = null;
            foreach ($pieces as $i => $piece) {
                if ($piece->name === $name && $stock[$from]->suits($piece) && in_array([$at->alongX, $at->alongY, $turned], SheetPlanner::ways($piece), true)) {
                    $found = $i;
                    break;
                }
            }
            if ($found === null) {
                return null;
            }
            $placed[] = new PlacedPiece($pieces[$found], $at, $turned);
            unset($pieces[$found]);
        }
        $left = [...$stock];
        $left[$from] = $stock[$from]->less();

        return [new PlannedSheet($stock[$from], $placed, $this->offcuts), array_values($pieces), array_values($left)];
    }

    /**
     * The number of the stock that it is, where one is left and everything lies inside its trimmed edges.
     *
     * @param  list<Stock>  $stock
     */
    private function from(array $stock, SawSetup $saw): ?int
    {
        foreach ($stock as $i => $one) {
            if ($one->material === $this->material && $one->name === $this->stock && $one->quantity !== 0) {
                $on = $saw->on($one);
                foreach ($this->pieces as [, $at]) {
                    if ($at->x < $on->trimStart->nanometres() || $at->y < $on->trimLow->nanometres()
                        || $at->x + $at->alongX > $one->length->minus($on->trimEnd)->nanometres() || $at->y + $at->alongY > $one->width->minus($on->trimHigh)->nanometres()) {
                        return null;
                    }
                }

                return $i;
            }
        }

        return null;
    }
}
