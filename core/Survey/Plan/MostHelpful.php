<?php

declare(strict_types=1);

namespace Incastro\Survey\Plan;

use Incastro\Survey\Network\Adjusted;
use Incastro\Survey\Network\Adjustment;
use Incastro\Survey\Network\Observation;

/**
 * The one extra reading that would help most. A reading with row c and σ takes C·cᵀ·c·C/(σ² + c·C·cᵀ) off the covariance C
 * of the unknowns (the update formula of least squares).
 */
final class MostHelpful
{
    /**
     * The largest drop in the uncertainty of all unknowns.
     *
     * @param  array<string, Observation>  $candidates
     */
    public static function position(Adjusted $adjusted, array $candidates): ?string
    {
        $all = array_map(fn (int $i) => [$i => 1.0], array_keys($adjusted->unknowns));

        return self::span($adjusted, $all, $candidates);
    }

    /**
     * The largest drop in the summed variance of some linear functions of the unknowns.
     *
     * @param  list<array<int, float>>  $functions  weights by unknown
     * @param  array<string, Observation>  $candidates
     */
    public static function span(Adjusted $adjusted, array $functions, array $candidates): ?string
    {
        $best = [1e-9, null];
        foreach ($candidates as $id => $candidate) {
            $row = Adjustment::row($candidate, $adjusted->unknowns);
            $sum = $candidate->sigma ** 2 + $adjusted->covarianceOf($row, $row);
            $drop = 0.0;
            foreach ($functions as $function) {
                $drop += $adjusted->covarianceOf($function, $row) ** 2 / $sum;
            }
            if ($drop > $best[0] * (1 + 1e-9)) {
                $best = [$drop, (string) $id];
            }
        }

        return $best[1];
    }

    /**
     * The largest gain in the smallest redundancy of some observations; among equals, the largest gain in all of them.
     *
     * @param  list<int>  $observations
     * @param  array<string, Observation>  $candidates
     */
    public static function check(Adjusted $adjusted, array $observations, array $candidates): ?string
    {
        $best = [0.0, 1e-6, null];
        foreach ($candidates as $id => $candidate) {
            $row = Adjustment::row($candidate, $adjusted->unknowns);
            $sum = $candidate->sigma ** 2 + $adjusted->covarianceOf($row, $row);
            $gains = array_map(fn (int $k) => $adjusted->covarianceOf($adjusted->rows[$k], $row) ** 2 / ($sum * $adjusted->observations[$k]->sigma ** 2), $observations);
            $least = $gains === [] ? 0.0 : round(min($gains), 6);
            if ([$least, array_sum($gains)] > [$best[0], $best[1]]) {
                $best = [$least, array_sum($gains), (string) $id];
            }
        }

        return $best[2];
    }
}
