<?php

declare(strict_types=1);

namespace Incastro\Cut;

/**
 * What no plan can beat, with its reason. Pieces on a sheet are a kerf apart: each with a kerf added to both its sizes lies beside the
 * others in a sheet with a kerf added to both its own.
 */
final readonly class SheetBound
{
    /** Functions of a kind that are kept for comparing kinds. */
    private const KEPT = 25;

    private const SHARES = [0.0, 0.25, 0.4, 0.5, 0.57, 0.6, 0.7, 0.85, 1.0];

    /** Combinations of numbers of sheets that are looked at, the cheapest first. */
    private const MOST_COMBINATIONS = 4000;

    private const NOTHING = 1e-7;

    private function __construct(public int $sheets, public float $price, public string $because)
    {
    }

    /** What a search that left nothing out came to. */
    public static function tried(int $sheets, float $price, string $because): self
    {
        return new self($sheets, $price, $because);
    }

    /** @param float $found  price of a plan that there is: more need not be excluded */
    public static function of(Lay $lay, float $found): self
    {
        $counts = array_map(fn (PieceType $type) => count($type->pieces), $lay->types);
        $values = array_map(fn (SheetKind $kind) => self::values($lay, $kind), $lay->kinds);
        $alone = array_map(fn (array $functions) => self::greatest($functions, $counts), $values);
        [$apart, $words] = self::apart($lay);
        $least = (int) ceil(min([INF, ...$alone]) - self::NOTHING);
        $sheets = max($least, $apart, $lay->types === [] ? 0 : 1);
        $byArea = self::byArea($lay);
        $because = match (true) {
            $apart >= $sheets && $apart > 1 => $words,
            $sheets > $byArea->sheets => 'pieces that are too large to lie beside each other leave room that no other piece can use',
            default => $byArea->because,
        };
        $prices = array_map(fn (SheetKind $kind) => $kind->stock->price, $lay->kinds);
        $price = count($lay->kinds) === 1 ? $sheets * $prices[0] : self::price($lay, $values, $counts, $found);

        return new self($sheets, $price, $because);
    }

    /** By area alone: sheets of the largest kind, and the money for as much of whichever is cheapest by area. */
    public static function byArea(Lay $lay): self
    {
        $need = array_sum(array_map(fn (PieceType $type) => count($type->pieces) * (float) ($type->ways[0]->x + $lay->kerf) * ($type->ways[0]->y + $lay->kerf), $lay->types));
        $areas = array_map(fn (SheetKind $kind) => max(1.0, (float) ($kind->x + $lay->kerf) * ($kind->y + $lay->kerf)), $lay->kinds);
        $rates = array_map(fn (SheetKind $kind, float $area) => $kind->stock->price / $area, $lay->kinds, $areas);
        $sheets = (int) ceil($need / max(1.0, ...$areas) - self::NOTHING);

        return new self($sheets, count($lay->kinds) === 1 ? $sheets * $lay->kinds[0]->stock->price : $need * min(INF, ...$rates), sprintf('the pieces and their cuts fill more than %d of the sheets', max(0, $sheets - 1)));
    }

    /**
     * How much of a sheet each type is worth, by every pair of functions along x and along y; infinitely much where it does not fit.
     *
     * @return list<list<float>>
     */
    private static function values(Lay $lay, SheetKind $kind): array
    {
        // Every way of every type that fits, and whose it is.
        $ways = $of = [];
        foreach ($lay->types as $t => $type) {
            foreach ($type->ways as $way) {
                if ($way->x <= $kind->x && $way->y <= $kind->y) {
                    $ways[] = $way;
                    $of[] = $t;
                }
            }
        }
        if ($ways === []) {
            return [array_fill(0, count($lay->types), INF)];
        }
        $alongX = DualFeasible::all(array_map(fn (Way $way) => $way->x + $lay->kerf, $ways), $kind->x + $lay->kerf);
        $alongY = DualFeasible::all(array_map(fn (Way $way) => $way->y + $lay->kerf, $ways), $kind->y + $lay->kerf);
        $counts = array_map(fn (PieceType $type) => count($type->pieces), $lay->types);
        $kept = [];
        $least = 0.0;
        foreach ($alongX as $f) {
            foreach ($alongY as $g) {
                // A piece that may turn is worth what it is worth the one way or the other, whichever is less.
                $worth = array_fill(0, count($lay->types), INF);
                foreach ($of as $w => $t) {
                    $product = $f[$w] * $g[$w];
                    if ($product < $worth[$t]) {
                        $worth[$t] = $product;
                    }
                }
                $sum = 0.0;
                foreach ($worth as $t => $value) {
                    $sum += $value === INF ? 0.0 : $counts[$t] * $value;
                }
                if ($sum > $least) {
                    $kept[] = [$sum, $worth];
                    if (count($kept) > 4 * self::KEPT) {
                        usort($kept, fn (array $a, array $b) => $b[0] <=> $a[0]);
                        $kept = array_slice($kept, 0, self::KEPT);
                        $least = $kept[self::KEPT - 1][0];
                    }
                }
            }
        }
        usort($kept, fn (array $a, array $b) => $b[0] <=> $a[0]);

        return array_column(array_slice($kept, 0, self::KEPT), 1);
    }

    /**
     * @param  list<list<float>>  $functions
     * @param  list<int>  $counts
     */
    private static function greatest(array $functions, array $counts): float
    {
        return max([0.0, ...array_map(fn (array $worth) => array_sum(array_map(fn (float $value, int $count) => $value === INF ? 0.0 : $value * $count, $worth, $counts)), $functions)]);
    }

    /**
     * Pieces of which no two go onto one sheet, whichever kind it is of, gathered the largest first.
     *
     * @return array{int, string}
     */
    private static function apart(Lay $lay): array
    {
        [$x, $y] = [max([0, ...array_map(fn (SheetKind $kind) => $kind->x, $lay->kinds)]), max([0, ...array_map(fn (SheetKind $kind) => $kind->y, $lay->kinds)])];
        $meets = function (PieceType $a, PieceType $b) use ($x, $y, $lay): bool {
            foreach ($a->ways as $one) {
                foreach ($b->ways as $other) {
                    if ($one->x + $other->x + $lay->kerf <= $x || $one->y + $other->y + $lay->kerf <= $y) {
                        return true;
                    }
                }
            }

            return false;
        };
        $types = $lay->types;
        usort($types, fn (PieceType $a, PieceType $b) => $b->area <=> $a->area);
        $apart = $names = [];
        $count = 0;
        foreach ($types as $type) {
            if (array_filter($apart, fn (PieceType $other) => $meets($type, $other)) !== []) {
                continue;
            }
            $apart[] = $type;
            $many = $meets($type, $type) ? 1 : count($type->pieces);
            $count += $many;
            array_push($names, ...array_map(fn (CutPiece $piece) => $piece->name, array_slice($type->pieces, 0, $many)));
        }

        return [$count, sprintf('no two of these go onto one sheet: %s', implode(', ', count($names) > 8 ? [...array_slice($names, 0, 8), '…'] : $names))];
    }

    /**
     * The price of the cheapest numbers of sheets that cannot be excluded: those whose worth, kinds weighed against each other, is at
     * least that of all pieces.
     *
     * @param  list<list<list<float>>>  $values  by kind
     * @param  list<int>  $counts
     */
    private static function price(Lay $lay, array $values, array $counts, float $found): float
    {
        $cuts = self::exclusions($values, $counts);
        $prices = array_map(fn (SheetKind $kind) => $kind->stock->price, $lay->kinds);
        $queue = new \SplPriorityQueue();
        $queue->setExtractFlags(\SplPriorityQueue::EXTR_BOTH);
        $queue->insert(array_fill(0, count($prices), 0), 0.0);
        $seen = [];
        for ($n = 0; $n < self::MOST_COMBINATIONS && ! $queue->isEmpty(); $n++) {
            ['data' => $numbers, 'priority' => $negative] = $queue->extract();
            $price = -$negative;
            if ($price >= $found - 1e-9) {
                return $found;
            }
            if (! self::isExcluded($numbers, $cuts)) {
                return $price;
            }
            foreach ($prices as $k => $more) {
                $next = $numbers;
                $next[$k]++;
                $quantity = $lay->kinds[$k]->stock->quantity;
                $key = implode(',', $next);
                if (! isset($seen[$key]) && ($quantity === null || $next[$k] <= $quantity)) {
                    $seen[$key] = true;
                    $queue->insert($next, -($price + $more));
                }
            }
        }

        return $queue->isEmpty() ? $found : min($found, -$queue->top()['priority']);
    }

    /**
     * Weights of the kinds, and what all pieces are then worth.
     *
     * @param  list<list<list<float>>>  $values
     * @param  list<int>  $counts
     * @return list<array{list<float>, float}>
     */
    private static function exclusions(array $values, array $counts): array
    {
        $cuts = [];
        $kinds = count($values);
        $weighed = function (array $weights, array $functions) use (&$cuts, $counts): void {
            $sum = 0.0;
            foreach ($counts as $t => $count) {
                $least = INF;
                foreach ($functions as $q => $worth) {
                    $least = min($least, $worth[$t] === INF ? INF : $weights[$q] * $worth[$t]);
                }
                $sum += $least === INF ? 0.0 : $count * $least;
            }
            $cuts[] = [array_values($weights), $sum];
        };
        // Two kinds against each other, with the worth of every further one as high as the dearer's.
        for ($a = 0; $a < $kinds; $a++) {
            for ($b = 0; $b < $kinds; $b++) {
                if ($a === $b) {
                    continue;
                }
                foreach ($values[$a] as $f) {
                    foreach ($values[$b] as $g) {
                        foreach ($a < $b ? [...self::SHARES] : [0.0] as $share) {
                            $weights = array_fill(0, $kinds, 1.0);
                            $weights[$b] = $share;
                            $functions = array_map(fn (array $each) => $each[0], $values);
                            [$functions[$a], $functions[$b]] = [$f, $g];
                            $weighed($weights, $functions);
                        }
                        if ($kinds > 2) {
                            break;
                        }
                    }
                }
            }
        }

        return $cuts;
    }

    /**
     * @param  list<int>  $numbers
     * @param  list<array{list<float>, float}>  $cuts
     */
    private static function isExcluded(array $numbers, array $cuts): bool
    {
        foreach ($cuts as [$weights, $sum]) {
            $worth = self::NOTHING;
            foreach ($numbers as $k => $number) {
                $worth += $weights[$k] * $number;
            }
            if ($sum > $worth) {
                return true;
            }
        }

        return false;
    }
}
