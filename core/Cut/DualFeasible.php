<?php

declare(strict_types=1);

namespace Incastro\Cut;

/**
 * Dual feasible functions: whatever sizes fill a length together, their values do not add up to more than its value. A size that keeps
 * others away is worth more than its share of the length. Sources: Fekete and Schepers, New classes of fast lower bounds for bin packing
 * problems (2001), for the thresholds and u(k); Carlier, Clautiaux and Moukrim, New reduction procedures and lower bounds for the
 * two-dimensional bin packing problem (2007), for the steps of k.
 */
final class DualFeasible
{
    private const MOST_THRESHOLDS = 30;

    private const MOST_U = 20;

    private const MOST_PARTS = 12;

    /**
     * The values of each size as a share of the length's, function by function; functions with equal values once.
     *
     * @param  list<int>  $sizes  none larger than the length
     * @return list<list<float>>
     */
    public static function all(array $sizes, int $length): array
    {
        $functions = [[fn (int $w): int => $w, $length]];
        foreach (self::thresholds($sizes, [$length], fn (int $w) => [$w, $w + 1, $length - $w, $length - $w + 1]) as $e) {
            if ($e > 0 && 2 * $e <= $length) {
                $functions[] = [fn (int $w): int => $w + $e > $length ? $length : ($w < $e ? 0 : $w), $length];
            }
        }
        for ($k = 1; $k <= self::MOST_U; $k++) {
            $functions[] = [fn (int $w): int => ($k + 1) * $w % $length === 0 ? $k * $w : intdiv(($k + 1) * $w, $length) * $length, $k * $length];
        }
        $parts = array_merge(...array_map(fn (int $j) => [intdiv($length, $j), intdiv($length, $j) + 1], range(2, self::MOST_PARTS)));
        foreach (self::thresholds($sizes, $parts, fn (int $w) => [$w, $w + 1, $length - $w, $length - $w + 1, 2 * $w]) as $k) {
            if ($k > 0 && 2 * $k <= $length) {
                $functions[] = [fn (int $w): int => match (true) {
                    2 * $w > $length => 2 * (intdiv($length, $k) - intdiv($length - $w, $k)),
                    2 * $w === $length => intdiv($length, $k),
                    default => 2 * intdiv($w, $k),
                }, 2 * intdiv($length, $k)];
            }
        }
        $values = [];
        foreach ($functions as [$f, $whole]) {
            if ($whole > 0) {
                $value = array_map(fn (int $w) => $f($w) / $whole, $sizes);
                $values[implode(',', array_map(fn (float $v) => sprintf('%.9F', $v), $value))] = $value;
            }
        }

        return array_values($values);
    }

    /**
     * @param  list<int>  $sizes
     * @param  list<int>  $more
     * @param  \Closure(int): list<int>  $of
     * @return list<int>
     */
    private static function thresholds(array $sizes, array $more, \Closure $of): array
    {
        $different = array_values(array_unique($sizes));
        sort($different);
        $count = count($different);
        if ($count > self::MOST_THRESHOLDS) {
            $different = array_map(fn (int $i) => $different[intdiv($i * ($count - 1), self::MOST_THRESHOLDS - 1)], range(0, self::MOST_THRESHOLDS - 1));
        }

        return array_values(array_unique([...$more, ...array_merge([], ...array_map($of, $different))]));
    }
}
