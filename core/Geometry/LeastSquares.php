<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/** Weighted least squares of a few coefficients: y = Σ c_k·f_k(x), by the normal equations and Gauss–Jordan elimination. */
final readonly class LeastSquares
{
    /**
     * @param  array<int, float>  $coefficients
     * @param  array<int, list<float>>  $covariance
     */
    private function __construct(public array $coefficients, public array $covariance, public float $sumOfSquares)
    {
    }

    /**
     * @param  list<list<float>>  $rows  f_k at each place
     * @param  list<float>  $values
     * @param  list<float>  $sigmas
     */
    public static function solve(array $rows, array $values, array $sigmas): ?self
    {
        $n = count($rows[0] ?? []);
        $matrix = [];
        for ($i = 0; $i < $n; $i++) {
            $matrix[$i] = array_fill(0, 2 * $n + 1, 0.0);
            $matrix[$i][$n + 1 + $i] = 1.0;
        }
        foreach ($rows as $k => $row) {
            $weight = 1.0 / $sigmas[$k] ** 2;
            for ($i = 0; $i < $n; $i++) {
                for ($j = 0; $j < $n; $j++) {
                    $matrix[$i][$j] += $weight * $row[$i] * $row[$j];
                }
                $matrix[$i][$n] += $weight * $row[$i] * $values[$k];
            }
        }
        for ($i = 0; $i < $n; $i++) {
            $pivot = $i;
            for ($k = $i + 1; $k < $n; $k++) {
                $pivot = abs($matrix[$k][$i]) > abs($matrix[$pivot][$i]) ? $k : $pivot;
            }
            if (abs($matrix[$pivot][$i]) < 1e-12) {
                return null;
            }
            [$matrix[$i], $matrix[$pivot]] = [$matrix[$pivot], $matrix[$i]];
            $by = $matrix[$i][$i];
            $matrix[$i] = array_map(fn (float $value) => $value / $by, $matrix[$i]);
            for ($k = 0; $k < $n; $k++) {
                $factor = $matrix[$k][$i];
                if ($k !== $i && $factor !== 0.0) {
                    foreach ($matrix[$k] as $j => $value) {
                        $matrix[$k][$j] = $value - $factor * $matrix[$i][$j];
                    }
                }
            }
        }
        $coefficients = array_map(fn (array $row) => $row[$n], $matrix);
        $sum = 0.0;
        foreach ($rows as $k => $row) {
            $sum += (($values[$k] - self::dot($row, $coefficients)) / $sigmas[$k]) ** 2;
        }

        return new self($coefficients, array_map(fn (array $row) => array_slice($row, $n + 1), $matrix), $sum);
    }

    /** @param list<float> $row */
    public function at(array $row): float
    {
        return self::dot($row, $this->coefficients);
    }

    /** @param list<float> $row */
    public function sigmaAt(array $row): float
    {
        $variance = 0.0;
        foreach ($row as $i => $a) {
            $variance += $a * self::dot($row, $this->covariance[$i]);
        }

        return sqrt(max(0.0, $variance));
    }

    /**
     * @param  list<float>  $a
     * @param  array<int, float>  $b
     */
    private static function dot(array $a, array $b): float
    {
        $sum = 0.0;
        foreach ($a as $i => $value) {
            $sum += $value * $b[$i];
        }

        return $sum;
    }
}
