<?php

declare(strict_types=1);

namespace Incastro\Survey\Network;

/**
 * The normal matrix N = AᵀPA of an adjustment, factored by Cholesky's method: N = LLᵀ.
 *
 * Rows are kept from the last unknown to the first, and each from its first column that is not zero on. A wall's own
 * unknowns, which come last, depend on each other and on the corners, which come first: so turned round, most of L lies
 * outside that envelope and is never touched. Source: any text on sparse matrices, "envelope" or "skyline" factorisation.
 */
final readonly class NormalMatrix
{
    /** A pivot below this share of its diagonal element is nothing but rounding. */
    private const SINGULAR = 1e-8;

    /**
     * @param  array<int, array<int, float>>  $l  lower triangle, turned round, inside its envelope
     * @param  array<int, int>  $first  column in which each row begins
     */
    private function __construct(private array $l, private array $first)
    {
    }

    /**
     * @param  list<Observation>  $observations
     * @param  list<array<int, float>>  $rows  of A
     * @param  float  $prior  σ of a weak belief in the unknowns as they stand, for a network that may float; 0: none
     *
     * @throws Undetermined when the matrix is singular
     */
    public static function of(array $observations, array $rows, int $size, float $prior = 0.0): self
    {
        $n = [];
        for ($i = 0; $i < $size; $i++) {
            $n[$i] = [$i => $prior > 0.0 ? 1 / $prior ** 2 : 0.0];
        }
        $last = $size - 1;
        foreach ($observations as $k => $observation) {
            $weight = 1 / $observation->sigma ** 2;
            foreach ($rows[$k] as $i => $a) {
                foreach ($rows[$k] as $j => $b) {
                    if ($j >= $i) {
                        $n[$last - $i][$last - $j] = ($n[$last - $i][$last - $j] ?? 0.0) + $a * $b * $weight;
                    }
                }
            }
        }
        $first = array_map(fn (array $row): int => min(array_keys($row)), $n);

        return new self(self::factored($n, $first), $first);
    }

    /**
     * @param  array<int, array<int, float>>  $n
     * @param  array<int, int>  $first
     * @return array<int, array<int, float>>
     *
     * @throws Undetermined
     */
    private static function factored(array $n, array $first): array
    {
        $l = [];
        foreach ($n as $i => $row) {
            $own = [];
            $begin = $first[$i];
            for ($j = $begin; $j < $i; $j++) {
                $sum = $row[$j] ?? 0.0;
                $other = $l[$j];
                for ($k = max($begin, $first[$j]); $k < $j; $k++) {
                    $sum -= $own[$k] * $other[$k];
                }
                $own[$j] = $sum / $other[$j];
            }
            $pivot = $row[$i];
            foreach ($own as $value) {
                $pivot -= $value * $value;
            }
            if (! ($pivot > self::SINGULAR * max(1e-9, $row[$i]))) {
                throw new Undetermined(count($n) - 1 - $i);
            }
            $own[$i] = sqrt($pivot);
            $l[$i] = $own;
        }

        return $l;
    }

    /**
     * N⁻¹·b.
     *
     * @param  list<float>  $b
     * @return list<float>
     */
    public function solve(array $b): array
    {
        $b = array_reverse($b);
        $y = [];
        foreach ($this->l as $i => $row) {
            $sum = $b[$i];
            for ($k = $this->first[$i]; $k < $i; $k++) {
                $sum -= $row[$k] * $y[$k];
            }
            $y[$i] = $sum / $row[$i];
        }
        for ($i = count($y) - 1; $i >= 0; $i--) {
            $y[$i] /= $this->l[$i][$i];
            $row = $this->l[$i];
            for ($k = $this->first[$i]; $k < $i; $k++) {
                $y[$k] -= $row[$k] * $y[$i];
            }
        }

        return array_values(array_reverse($y));
    }

    /** @return list<list<float>> */
    public function inverse(): array
    {
        $size = count($this->l);
        // K = L⁻¹, row by row, each from where the rows that it is made of begin; then N⁻¹ = KᵀK.
        $k = $begins = [];
        foreach ($this->l as $i => $row) {
            $begin = $i;
            for ($m = $this->first[$i]; $m < $i; $m++) {
                $begin = min($begin, $begins[$m]);
            }
            $own = array_fill($begin, $i - $begin + 1, 0.0);
            for ($m = $this->first[$i]; $m < $i; $m++) {
                $factor = $row[$m];
                $above = $k[$m];
                for ($j = $begins[$m]; $j <= $m; $j++) {
                    $own[$j] -= $factor * $above[$j];
                }
            }
            for ($j = $begin; $j < $i; $j++) {
                $own[$j] /= $row[$i];
            }
            $own[$i] = 1 / $row[$i];
            $k[$i] = $own;
            $begins[$i] = $begin;
        }
        $inverse = $size === 0 ? [] : array_fill(0, $size, array_fill(0, $size, 0.0));
        $last = $size - 1;
        foreach ($k as $m => $row) {
            for ($i = $begins[$m]; $i <= $m; $i++) {
                $factor = $row[$i];
                for ($j = $begins[$m]; $j <= $i; $j++) {
                    $inverse[$last - $i][$last - $j] += $factor * $row[$j];
                }
            }
        }
        for ($i = 0; $i < $size; $i++) {
            for ($j = 0; $j < $i; $j++) {
                $inverse[$i][$j] = $inverse[$j][$i];
            }
        }

        return array_map(array_values(...), $inverse);
    }
}
