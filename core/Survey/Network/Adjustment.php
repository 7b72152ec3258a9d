<?php

declare(strict_types=1);

namespace Incastro\Survey\Network;

/**
 * Weighted least squares by Gauss-Newton: the unknowns that disagree least with all observations together.
 *
 * With design matrix A, weights P = 1/σ² and N = AᵀPA, the correction is N⁻¹AᵀP·(read − predicted) and the covariance
 * of the unknowns N⁻¹. A correction that makes things worse is halved. Source: any text on the adjustment of
 * observations.
 */
final class Adjustment
{
    private const STEPS = 30;

    private const HALVINGS = 8;

    private const NUDGE = 1e-4;

    private const SETTLED = 1e-5;

    /** Unknowns may move by so much before the derivatives are taken anew, mm. */
    private const NEAR = 3.0;

    /** A network that may float is only drawn: a tenth of a millimetre is near enough, and it must not cost much. */
    private const SETTLED_FLOATING = 0.1;

    private const STEPS_FLOATING = 8;

    /**
     * @param  list<Observation>  $observations
     * @param  list<float>  $start  a first guess of the unknowns
     * @param  float  $prior  σ of a weak belief in the guess, for a network that may float; 0: none
     *
     * @throws Undetermined when the observations leave an unknown floating
     */
    public static function solve(array $observations, array $start, float $prior = 0.0): Adjusted
    {
        $x = $start;
        $misfits = self::misfits($observations, $x);
        $rows = [];
        $matrix = null;
        $moved = INF;
        [$steps, $settled] = $prior > 0.0 ? [self::STEPS_FLOATING, self::SETTLED_FLOATING] : [self::STEPS, self::SETTLED];
        for ($step = 0; $step < $steps; $step++) {
            // Derivatives hold near where they were taken; those of the last step serve the covariance too.
            if ($matrix === null || $moved > self::NEAR) {
                $rows = self::rows($observations, $x);
                $matrix = NormalMatrix::of($observations, $rows, count($x), $prior);
                $moved = 0.0;
            }
            $change = $matrix->solve(self::right($observations, $rows, $misfits, count($x)));
            $sum = self::sumOfSquares($observations, $misfits);
            for ($halving = 0; $halving < self::HALVINGS; $halving++) {
                $next = array_map(fn (float $value, float $by) => $value + $by, $x, $change);
                $nextMisfits = self::misfits($observations, $next);
                if (self::sumOfSquares($observations, $nextMisfits) <= $sum * (1 + 1e-9) + 1e-12) {
                    break;
                }
                $change = array_map(fn (float $by) => $by / 2, $change);
            }
            [$x, $misfits] = [$next, $nextMisfits];
            $most = $change === [] ? 0.0 : max(array_map(abs(...), $change));
            $moved += $most;
            if ($most < $settled) {
                break;
            }
        }

        return new Adjusted($x, $matrix->inverse(), $observations, $rows, array_map(fn (float $misfit) => -$misfit, $misfits));
    }

    /**
     * The derivative of an observation's prediction by each unknown that it looks at.
     *
     * @param  list<float>  $x
     * @return array<int, float>
     */
    public static function row(Observation $observation, array $x): array
    {
        $row = $observation->slopes($x);
        // Rooms curve by a thousandth a mm at most: over so small a step one side tells the slope to seven digits.
        $here = $observation->depends === [] ? 0.0 : ($observation->predict)($x);
        foreach ($observation->depends as $i) {
            $value = $x[$i];
            $x[$i] = $value + self::NUDGE;
            $row[$i] = self::turned($observation, ($observation->predict)($x) - $here) / self::NUDGE;
            $x[$i] = $value;
        }

        return $row;
    }

    /**
     * @param  list<Observation>  $observations
     * @param  list<float>  $x
     * @return list<array<int, float>>
     */
    private static function rows(array $observations, array $x): array
    {
        return array_map(fn (Observation $observation) => $observation->weights ?? self::row($observation, $x), $observations);
    }

    /**
     * @param  list<Observation>  $observations
     * @param  list<float>  $x
     * @return list<float> read less predicted
     */
    private static function misfits(array $observations, array $x): array
    {
        return array_map(fn (Observation $observation) => self::turned($observation, $observation->value - ($observation->predict)($x)), $observations);
    }

    /** 359° and −1° are the same direction. */
    private static function turned(Observation $observation, float $difference): float
    {
        return $observation->isAngle ? $difference - 360.0 * round($difference / 360.0) : $difference;
    }

    /**
     * @param  list<Observation>  $observations
     * @param  list<array<int, float>>  $rows
     * @param  list<float>  $misfits
     * @return list<float> AᵀP·(read − predicted)
     */
    private static function right(array $observations, array $rows, array $misfits, int $size): array
    {
        $right = array_fill(0, $size, 0.0);
        foreach ($observations as $k => $observation) {
            $weighted = $misfits[$k] / $observation->sigma ** 2;
            foreach ($rows[$k] as $i => $a) {
                $right[$i] += $a * $weighted;
            }
        }

        return array_values($right);
    }

    /**
     * @param  list<Observation>  $observations
     * @param  list<float>  $misfits
     */
    private static function sumOfSquares(array $observations, array $misfits): float
    {
        $sum = 0.0;
        foreach ($observations as $k => $observation) {
            $sum += ($misfits[$k] / $observation->sigma) ** 2;
        }

        return $sum;
    }
}
