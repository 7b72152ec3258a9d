<?php

declare(strict_types=1);

namespace Incastro\Cut;

/**
 * The least money and the fewest sheets for a short list, by trying everything: for every set of its pieces the smallest blocks that
 * hold them (of each width the least height, over all ways of parting the set in two and both directions of the cut), and then the
 * cheapest way of sharing all pieces out over sheets. Numbers at hand are left aside: what is found is what nothing goes under.
 */
final class SmallProof
{
    /** Sets of pieces, and pairs of blocks, that are looked at; beyond them nothing is proven. */
    private const MOST_SETS = 20_000;

    private const MOST_PAIRS = 5_000_000;

    /** @var array<int, int> weight of one piece of each type in the number of a set */
    private array $weights = [];

    /** @var array<int, array<int, int>> the least height by width of the blocks that hold a set */
    private array $fronts = [];

    /** @var array<int, float> area of each set with its cuts */
    private array $areas = [0.0];

    private int $pairs = 0;

    private readonly int $sets;

    private function __construct(private readonly Lay $lay)
    {
        $sets = 1;
        foreach ($lay->types as $type) {
            $this->weights[] = $sets;
            $sets *= count($type->pieces) + 1;
            if ($sets > self::MOST_SETS) {
                break;
            }
        }
        $this->sets = $sets;
    }

    /** What no plan goes under; null where the list is too long to try everything. */
    public static function of(Lay $lay): ?SheetBound
    {
        $proof = new self($lay);
        if ($proof->sets > self::MOST_SETS || $proof->sets < 2 || ! $proof->build()) {
            return null;
        }
        $price = $proof->least(fn (SheetKind $kind): float => $kind->stock->price);
        $sheets = $proof->least(fn (SheetKind $kind): float => 1.0);
        $many = array_sum(array_map(fn (PieceType $type) => count($type->pieces), $lay->types));

        return $price === INF ? null : SheetBound::tried((int) $sheets, $price, sprintf('every way of laying %s was tried', $many === 1 ? 'this piece' : "these $many pieces"));
    }

    /** Builds the blocks of every set; false where it takes too long. */
    private function build(): bool
    {
        $largest = max(0.0, ...array_map(fn (SheetKind $kind) => (float) ($kind->x + $this->lay->kerf) * ($kind->y + $this->lay->kerf), $this->lay->kinds));
        $this->fronts[0] = [];
        for ($set = 1; $set < $this->sets; $set++) {
            $this->areas[$set] = $this->area($set);
            $single = array_search($set, $this->weights, true);
            if ($single !== false) {
                $this->fronts[$set] = $this->ways($this->lay->types[$single]);
            } elseif ($this->areas[$set] > $largest) {
                $this->fronts[$set] = [];
            } else {
                $this->fronts[$set] = $this->joined($set);
            }
            if ($this->pairs > self::MOST_PAIRS) {
                return false;
            }
        }

        return true;
    }

    /** @return array<int, int> */
    private function joined(int $set): array
    {
        $kerf = $this->lay->kerf;
        $front = [];
        foreach ($this->subsets($set) as $part) {
            $rest = $set - $part;
            if ($part === 0 || $part > $rest) {
                continue;
            }
            foreach ($this->fronts[$part] as $x1 => $y1) {
                foreach ($this->fronts[$rest] as $x2 => $y2) {
                    $this->pairs++;
                    $beside = $x1 + $kerf + $x2;
                    $high = $y1 > $y2 ? $y1 : $y2;
                    if ($high < ($front[$beside] ?? PHP_INT_MAX)) {
                        $front[$beside] = $high;
                    }
                    $wide = $x1 > $x2 ? $x1 : $x2;
                    $above = $y1 + $kerf + $y2;
                    if ($above < ($front[$wide] ?? PHP_INT_MAX)) {
                        $front[$wide] = $above;
                    }
                }
            }
        }

        return $this->thinned($front);
    }

    /**
     * Without blocks that no sheet takes, and those that are no smaller than another both ways.
     *
     * @param  array<int, int>  $front
     * @return array<int, int>
     */
    private function thinned(array $front): array
    {
        ksort($front);
        $kept = [];
        $least = PHP_INT_MAX;
        foreach ($front as $x => $y) {
            if ($y < $least && $this->isOnSheet($x, $y)) {
                $kept[$x] = $least = $y;
            }
        }

        return $kept;
    }

    private function isOnSheet(int $x, int $y): bool
    {
        foreach ($this->lay->kinds as $kind) {
            if ($x <= $kind->x && $y <= $kind->y) {
                return true;
            }
        }

        return false;
    }

    /** @return array<int, int> */
    private function ways(PieceType $type): array
    {
        $front = [];
        foreach ($type->ways as $way) {
            $front[$way->x] = min($front[$way->x] ?? PHP_INT_MAX, $way->y);
        }

        return $this->thinned($front);
    }

    private function area(int $set): float
    {
        $area = 0.0;
        foreach ($this->lay->types as $t => $type) {
            $many = intdiv($set, $this->weights[$t]) % (count($type->pieces) + 1);
            $area += $many * (float) ($type->ways[0]->x + $this->lay->kerf) * ($type->ways[0]->y + $this->lay->kerf);
        }

        return $area;
    }

    /** @return list<int> numbers of the sets within a set, itself and the empty one included */
    private function subsets(int $set): array
    {
        $subsets = [0];
        foreach ($this->lay->types as $t => $type) {
            $many = intdiv($set, $this->weights[$t]) % (count($type->pieces) + 1);
            $with = $subsets;
            for ($n = 1; $n <= $many; $n++) {
                foreach ($subsets as $subset) {
                    $with[] = $subset + $n * $this->weights[$t];
                }
            }
            $subsets = $with;
        }

        return $subsets;
    }

    /**
     * The least that sheets for all pieces cost together.
     *
     * @param  \Closure(SheetKind): float  $cost
     */
    private function least(\Closure $cost): float
    {
        $alone = array_map(fn (array $front) => $this->cheapest($front, $cost), $this->fronts);
        $best = [0.0];
        for ($set = 1; $set < $this->sets; $set++) {
            $best[$set] = INF;
            // The sheet that holds one piece of the first type left is chosen first: each sharing out is looked at once.
            $first = $this->first($set);
            foreach ($this->subsets($set - $first) as $others) {
                $part = $others + $first;
                if ($alone[$part] < INF && $alone[$part] + $best[$set - $part] < $best[$set]) {
                    $best[$set] = $alone[$part] + $best[$set - $part];
                }
            }
        }

        return $best[$this->sets - 1];
    }

    private function first(int $set): int
    {
        foreach ($this->lay->types as $t => $type) {
            if (intdiv($set, $this->weights[$t]) % (count($type->pieces) + 1) > 0) {
                return $this->weights[$t];
            }
        }

        return 0;
    }

    /**
     * @param  array<int, int>  $front
     * @param  \Closure(SheetKind): float  $cost
     */
    private function cheapest(array $front, \Closure $cost): float
    {
        $least = INF;
        foreach ($this->lay->kinds as $kind) {
            foreach ($front as $x => $y) {
                if ($x <= $kind->x && $y <= $kind->y) {
                    $least = min($least, $cost($kind));
                    break;
                }
            }
        }

        return $least;
    }
}
