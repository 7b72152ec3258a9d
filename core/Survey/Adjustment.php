<?php

declare(strict_types=1);

namespace Incastro\Survey;

/**
 * Weighted least squares by Gauss-Newton: the unknowns that disagree least with all observations together.
 *
 * With design matrix A, weights P = 1/σ² and N = AᵀPA, the correction is N⁻¹AᵀP·(read − predicted) and the covariance
 * of the unknowns N⁻¹. Source: any text on the adjustment of observations.
 */
final class Adjustment
{
    private const STEPS = 20;

    private const NUDGE = 1e-4;

    /**
     * @param  list<Observation>  $observations
     * @param  list<float>  $start  a first guess of the unknowns
     *
     * @throws Undetermined when the observations leave an unknown floating
     */
    public static function solve(array $observations, array $start): Adjusted
    {
        $x = $start;
        for ($step = 0; $step < self::STEPS; $step++) {
            [$rows, $misfits] = self::linearised($observations, $x);
            $covariance = NormalMatrix::of($observations, $rows, count($x))->inverse();
            $right = array_fill(0, count($x), 0.0);
            foreach ($observations as $k => $observation) {
                foreach ($rows[$k] as $i => $a) {
                    $right[$i] += $a * $misfits[$k] / $observation->sigma ** 2;
                }
            }
            $largest = 0.0;
            foreach ($x as $i => $value) {
                $change = 0.0;
                foreach ($right as $j => $r) {
                    $change += $covariance[$i][$j] * $r;
                }
                $x[$i] = $value + $change;
                $largest = max($largest, abs($change));
            }
            if ($largest < 1e-6) {
                break;
            }
        }
        [$rows, $misfits] = self::linearised($observations, $x);

        return new Adjusted($x, $covariance, $observations, $rows, array_map(fn (float $misfit) => -$misfit, $misfits));
    }

    /**
     * @param  list<Observation>  $observations
     * @param  array<int, float>  $x
     * @return array{list<array<int, float>>, list<float>} rows of A, and read less predicted
     */
    private static function linearised(array $observations, array $x): array
    {
        $rows = $misfits = [];
        foreach ($observations as $observation) {
            $row = [];
            foreach ($observation->depends as $i) {
                $up = $down = $x;
                $up[$i] += self::NUDGE;
                $down[$i] -= self::NUDGE;
                $row[$i] = (($observation->predict)($up) - ($observation->predict)($down)) / (2 * self::NUDGE);
            }
            $rows[] = $row;
            $misfits[] = $observation->value - ($observation->predict)($x);
        }

        return [$rows, $misfits];
    }
}
