<?php

declare(strict_types=1);

namespace Incastro\Survey\Space;

use Incastro\Survey\Slot;

/**
 * Any plan: every side, the diagonals that a tape can reach as far as they are needed to check each other, outside corners
 * by gauge, heights at the corners, and the walls plumbed.
 */
final readonly class AnySheet
{
    /** Readings more than unknowns that a plan should have. */
    private const TO_SPARE = 5;

    /** How many walls are plumbed, so that the sheet stays short. */
    private const PLUMBED = 6;

    public function __construct(private SheetPlaces $places, private SlotMaker $make)
    {
    }

    /** @return list<Slot> */
    public function slots(): array
    {
        $shape = $this->places->shape;
        $slots = $this->heights();
        foreach (array_keys($shape->edges) as $edge) {
            $slots[] = $this->make->side($edge);
        }
        foreach ($this->diagonals() as [$from, $to]) {
            $slots[] = $this->make->diagonal($from, $to);
        }
        $onlyTriangle = $shape->corners() === 3;
        for ($corner = 0; $corner < $shape->corners(); $corner++) {
            $isOutside = in_array($corner, $shape->outside, true);
            if ($isOutside || ($onlyTriangle && $corner === 1)) {
                $slots[] = $this->make->corner($corner, required: true);
            }
        }
        foreach (array_slice($shape->walls(), 0, self::PLUMBED) as $wall) {
            foreach (['low', 'high'] as $row) {
                $slots[] = $this->make->plumb($wall, $row);
            }
        }

        return [...$slots, ...$this->make->falls(min($this->places->length(0), $this->places->round(1200.0))), ...$this->make->skirting()];
    }

    /** @return list<Slot> */
    private function heights(): array
    {
        $shape = $this->places->shape;
        $width = $this->places->length(0);
        $depth = $this->places->depth();
        $slots = [];
        foreach ($shape->ceiling->planes() as $plane => $name) {
            [$from, $to] = count($shape->ceiling->planes()) === 1 ? [$this->places->round(100.0), $depth - $this->places->round(100.0)] : ($plane === 0 ? [0.0, $depth / 3] : [2 * $depth / 3, $depth - $this->places->round(100.0)]);
            foreach ([['left', 'back', $this->places->round(100.0), $from], ['right', 'back', $width - $this->places->round(100.0), $from], ['right', 'front', $width - $this->places->round(100.0), $to], ['left', 'front', $this->places->round(100.0), $to]] as [$side, $row, $along, $out]) {
                $slots[] = $this->make->height("height-$plane-$side-$row", ucfirst(sprintf('height, %s, %s %s', $name, $side, $row)), new Spot(0, $along, max(0.0, $out)), $plane);
            }
        }

        return $slots;
    }

    /**
     * Short ones first, each corner with its next but one, then those from the first two corners, until enough check.
     *
     * @return list<array{int, int}>
     */
    private function diagonals(): array
    {
        $shape = $this->places->shape;
        $count = $shape->corners();
        $needed = 2 * $count - 3 - $count + self::TO_SPARE - count($shape->outside);
        $found = [];
        $offer = function (int $from, int $to) use (&$found, $shape, $needed): void {
            $pair = [min($from, $to), max($from, $to)];
            if (count($found) < $needed && $from !== $to && ! $shape->isNeighbour($from, $to) && ! in_array($pair, $found, true) && $shape->sees($from, $to)) {
                $found[] = $pair;
            }
        };
        for ($i = 0; $i < $count; $i++) {
            $offer($i, ($i + 2) % $count);
        }
        for ($from = 0; $from < $count; $from++) {
            for ($to = 0; $to < $count; $to++) {
                $offer($from, $to);
            }
        }

        return $found;
    }
}
