<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** Lengths to cut from boards of one material: each with a kerf, from what is usable of a board with a kerf. All in nm. */
final readonly class BoardList
{
    /**
     * @param  list<int>  $sizes  the longest first
     * @param  non-empty-list<array{int, float, ?int}>  $kinds  what can be filled of a board, its price, and how many there are
     */
    public function __construct(public array $sizes, public array $kinds)
    {
    }

    /**
     * What no plan costs less than. Whatever lies on one board is worth no more than it by a dual feasible function; a piece is worth the
     * least that it is worth on any kind, times the price of that kind.
     */
    public function leastPrice(): float
    {
        if ($this->sizes === []) {
            return 0.0;
        }
        $values = array_map(fn (array $kind) => $this->values($kind[0]), $this->kinds);
        if (count($this->kinds) === 1) {
            $boards = max(0, ...array_map(fn (array $function) => (int) ceil(array_sum($function) - 1e-7), $values[0]));

            return $boards * $this->kinds[0][1];
        }
        $least = 0.0;
        for ($f = min(array_map(count(...), $values)) - 1; $f >= 0; $f--) {
            $sum = 0.0;
            foreach (array_keys($this->sizes) as $i) {
                $sum += min(array_map(fn (array $functions, array $kind) => $kind[1] * $functions[$f][$i], $values, $this->kinds));
            }
            $least = max($least, $sum);
        }

        return $this->attainable($least);
    }

    /** @return list<list<float>> function by function, infinitely much of what is longer than the board */
    private function values(int $capacity): array
    {
        $fitting = array_values(array_filter($this->sizes, fn (int $size) => $size <= $capacity));
        $longer = count($this->sizes) - count($fitting);

        return array_map(fn (array $function) => [...array_fill(0, $longer, INF), ...$function], DualFeasible::all($fitting, $capacity));
    }

    /** The least sum of prices of whole boards that is no less, in hundredths. */
    private function attainable(float $least): float
    {
        $from = (int) ceil($least * 100 - 1e-6);
        $prices = array_values(array_filter(array_map(fn (array $kind) => (int) round($kind[1] * 100), $this->kinds)));
        if ($prices === [] || $from > 5_000_000) {
            return $least;
        }
        $can = [0 => true];
        for ($sum = 1; ; $sum++) {
            foreach ($prices as $price) {
                if (isset($can[$sum - $price])) {
                    $can[$sum] = true;
                    break;
                }
            }
            if ($sum >= $from && isset($can[$sum])) {
                return $sum / 100;
            }
        }
    }
}
