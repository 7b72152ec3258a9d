<?php

declare(strict_types=1);

namespace Incastro\Survey\Network;

/** The normal matrix N = AᵀPA of an adjustment, factored by Cholesky's method: N = LLᵀ. */
final readonly class NormalMatrix
{
    /** A pivot below this share of its diagonal element is nothing but rounding. */
    private const SINGULAR = 1e-8;

    /** @param array<int, array<int, float>> $l lower triangle */
    private function __construct(private array $l)
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
        $n = $size === 0 ? [] : array_fill(0, $size, array_fill(0, $size, 0.0));
        foreach ($observations as $k => $observation) {
            $weight = 1 / $observation->sigma ** 2;
            foreach ($rows[$k] as $i => $a) {
                foreach ($rows[$k] as $j => $b) {
                    if ($j <= $i) {
                        $n[$i][$j] += $a * $b * $weight;
                    }
                }
            }
        }
        if ($prior > 0.0) {
            foreach ($n as $i => $row) {
                $n[$i][$i] += 1 / $prior ** 2;
            }
        }

        return new self(self::factored($n));
    }

    /**
     * @param  array<int, array<int, float>>  $n
     * @return array<int, array<int, float>>
     *
     * @throws Undetermined
     */
    private static function factored(array $n): array
    {
        $l = [];
        foreach ($n as $i => $row) {
            $own = [];
            for ($j = 0; $j < $i; $j++) {
                $sum = $row[$j];
                $other = $l[$j];
                for ($k = 0; $k < $j; $k++) {
                    $sum -= $own[$k] * $other[$k];
                }
                $own[$j] = $sum / $other[$j];
            }
            $pivot = $row[$i];
            foreach ($own as $value) {
                $pivot -= $value * $value;
            }
            if (! ($pivot > self::SINGULAR * max(1e-9, $row[$i]))) {
                throw new Undetermined($i);
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
        $y = [];
        foreach ($this->l as $i => $row) {
            $sum = $b[$i];
            for ($k = 0; $k < $i; $k++) {
                $sum -= $row[$k] * $y[$k];
            }
            $y[$i] = $sum / $row[$i];
        }
        for ($i = count($y) - 1; $i >= 0; $i--) {
            $y[$i] /= $this->l[$i][$i];
            $row = $this->l[$i];
            for ($k = 0; $k < $i; $k++) {
                $y[$k] -= $row[$k] * $y[$i];
            }
        }

        return array_values($y);
    }

    /** @return list<list<float>> */
    public function inverse(): array
    {
        $size = count($this->l);
        // K = L⁻¹, column by column; then N⁻¹ = KᵀK.
        $k = [];
        for ($i = 0; $i < $size; $i++) {
            $row = $this->l[$i];
            $own = array_fill(0, $size, 0.0);
            for ($m = 0; $m < $i; $m++) {
                $factor = $row[$m];
                if ($factor !== 0.0) {
                    $above = $k[$m];
                    for ($j = 0; $j <= $m; $j++) {
                        $own[$j] -= $factor * $above[$j];
                    }
                }
            }
            for ($j = 0; $j < $i; $j++) {
                $own[$j] /= $row[$i];
            }
            $own[$i] = 1 / $row[$i];
            $k[$i] = $own;
        }
        $inverse = $size === 0 ? [] : array_fill(0, $size, array_fill(0, $size, 0.0));
        foreach ($k as $m => $row) {
            for ($i = 0; $i <= $m; $i++) {
                $factor = $row[$i];
                if ($factor !== 0.0) {
                    for ($j = 0; $j <= $i; $j++) {
                        $inverse[$i][$j] += $factor * $row[$j];
                    }
                }
            }
        }
        for ($i = 0; $i < $size; $i++) {
            for ($j = 0; $j < $i; $j++) {
                $inverse[$j][$i] = $inverse[$i][$j];
            }
        }

        return array_map(array_values(...), $inverse);
    }
}
