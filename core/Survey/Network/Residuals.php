<?php

declare(strict_types=1);

namespace Incastro\Survey\Network;

/**
 * What the residuals of an adjustment say together: with Q the covariance of the residuals and P the weights, the
 * weighted residuals y = P·v have the covariance PQP, and striking a set J of observations takes
 * Ω = y_Jᵀ (PQP)_JJ⁻¹ y_J off the sum of squares and estimates their errors as −(PQP)_JJ⁻¹ y_J.
 * Source: the theory of outlier tests in linear models (Baarda; Teunissen, "Testing theory").
 *
 * Only checked readings take part: an assumption is never accused, and what nothing checks cannot be.
 */
final class Residuals
{
    /** @var list<int> observations that take part */
    public readonly array $checked;

    /** @var array<int, float> y by observation */
    private array $y = [];

    /** @var array<int, array<int, float>> PQP by observation */
    private array $q = [];

    public function __construct(Adjusted $adjusted)
    {
        $seen = $projected = [];
        foreach ($adjusted->observations as $k => $observation) {
            if ($observation->isAssumption) {
                continue;
            }
            $column = [];
            foreach ($adjusted->covariance as $i => $line) {
                $sum = 0.0;
                foreach ($adjusted->rows[$k] as $j => $a) {
                    $sum += $line[$j] * $a;
                }
                $column[$i] = $sum;
            }
            $own = 0.0;
            foreach ($adjusted->rows[$k] as $i => $a) {
                $own += $a * $column[$i];
            }
            if (1.0 - $own / $observation->sigma ** 2 > Adjusted::UNCHECKED) {
                $seen[] = $k;
                $projected[$k] = $column;
            }
        }
        $this->checked = $seen;
        foreach ($seen as $k) {
            $weight = 1 / $adjusted->observations[$k]->sigma ** 2;
            $this->y[$k] = $weight * $adjusted->residuals[$k];
            foreach ($seen as $m) {
                if ($m > $k) {
                    break;
                }
                $shared = 0.0;
                foreach ($adjusted->rows[$k] as $i => $a) {
                    $shared += $a * $projected[$m][$i];
                }
                $value = $weight * (($k === $m ? $adjusted->observations[$k]->sigma ** 2 : 0.0) - $shared) / $adjusted->observations[$m]->sigma ** 2;
                $this->q[$k][$m] = $this->q[$m][$k] = $value;
            }
        }
    }

    /** The normalised residual, signed as the residual. */
    public function normalised(int $k): float
    {
        return $this->y[$k] / sqrt($this->q[$k][$k]);
    }

    /** The observation with the largest normalised residual; null where none is checked. */
    public function largest(): ?int
    {
        $best = null;
        foreach ($this->checked as $k) {
            if ($best === null || abs($this->normalised($k)) > abs($this->normalised($best))) {
                $best = $k;
            }
        }

        return $best;
    }

    /** Correlation of two residuals. */
    public function correlation(int $k, int $m): float
    {
        return $this->q[$k][$m] / sqrt($this->q[$k][$k] * $this->q[$m][$m]);
    }

    /** How much too large an observation is, if it alone is wrong. */
    public function error(int $k): float
    {
        return -$this->y[$k] / $this->q[$k][$k];
    }

    /** σ of that estimate. */
    public function sigmaOfError(int $k): float
    {
        return 1 / sqrt($this->q[$k][$k]);
    }

    /** What striking k would leave of m's normalised residual; null where nothing would check m any more. */
    public function normalisedWithout(int $k, int $m): ?float
    {
        $share = $this->q[$m][$k] / $this->q[$k][$k];
        $own = $this->q[$m][$m] - $share * $this->q[$k][$m];

        return $own < 1e-6 * $this->q[$m][$m] ? null : ($this->y[$m] - $share * $this->y[$k]) / sqrt($own);
    }

    /**
     * The largest normalised residual in size that striking k would leave, and its observation.
     *
     * @return array{float, ?int}
     */
    public function largestWithout(int $k): array
    {
        $best = [0.0, null];
        foreach ($this->checked as $m) {
            $left = $m === $k ? null : $this->normalisedWithout($k, $m);
            if ($left !== null && abs($left) > $best[0]) {
                $best = [abs($left), $m];
            }
        }

        return $best;
    }

    /** What striking both takes off the sum of squares; null where they cannot be told apart. */
    public function explainedByPair(int $k, int $m): ?float
    {
        $left = $this->normalisedWithout($k, $m);

        return $left === null ? null : $this->normalised($k) ** 2 + $left ** 2;
    }

    /**
     * The errors of two observations, if both are wrong.
     *
     * @return array{float, float}
     */
    public function errorsOfPair(int $k, int $m): array
    {
        $determinant = $this->q[$k][$k] * $this->q[$m][$m] - $this->q[$k][$m] ** 2;

        return [
            -($this->q[$m][$m] * $this->y[$k] - $this->q[$k][$m] * $this->y[$m]) / $determinant,
            -($this->q[$k][$k] * $this->y[$m] - $this->q[$k][$m] * $this->y[$k]) / $determinant,
        ];
    }

    /**
     * Those whose residuals go so nearly together with k's that they cannot be told apart, k among them.
     *
     * @return non-empty-list<int>
     */
    public function tiedWith(int $k, float $correlation): array
    {
        $tied = [$k];
        foreach ($this->checked as $m) {
            if ($m !== $k && abs($this->correlation($k, $m)) >= $correlation) {
                $tied[] = $m;
            }
        }
        sort($tied);

        return $tied;
    }
}
