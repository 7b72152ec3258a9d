<?php

declare(strict_types=1);

namespace Incastro\Survey\Network;

/** The outcome of an adjustment: unknowns, their covariance, and how each observation fared. */
final readonly class Adjusted
{
    /** Below this share of redundancy nothing checks an observation. */
    public const UNCHECKED = 1e-6;

    /**
     * @param  list<float>  $unknowns
     * @param  list<list<float>>  $covariance
     * @param  list<Observation>  $observations
     * @param  list<array<int, float>>  $rows  of the design matrix
     * @param  list<float>  $residuals  adjusted less read
     */
    public function __construct(
        public array $unknowns,
        public array $covariance,
        public array $observations,
        public array $rows,
        public array $residuals,
    ) {
    }

    /**
     * σ of a linear function of the unknowns, Σ weight·unknown.
     *
     * @param  array<int, float>  $weights  by unknown
     */
    public function sigmaOf(array $weights): float
    {
        return sqrt(max(0.0, $this->covarianceOf($weights, $weights)));
    }

    /**
     * Covariance of two linear functions of the unknowns.
     *
     * @param  array<int, float>  $a
     * @param  array<int, float>  $b
     */
    public function covarianceOf(array $a, array $b): float
    {
        $sum = 0.0;
        foreach ($a as $i => $left) {
            $row = $this->covariance[$i];
            foreach ($b as $j => $right) {
                $sum += $left * $right * $row[$j];
            }
        }

        return $sum;
    }

    /** The share of the observation that the others check: 0, nothing does; 1, they know it without it. */
    public function redundancy(int $k): float
    {
        return max(0.0, 1.0 - $this->covarianceOf($this->rows[$k], $this->rows[$k]) / $this->observations[$k]->sigma ** 2);
    }

    /** |residual| in units of its own σ; 0 where nothing checks the observation. */
    public function normalised(int $k): float
    {
        $redundancy = $this->redundancy($k);

        return $redundancy < self::UNCHECKED ? 0.0 : abs($this->residuals[$k]) / ($this->observations[$k]->sigma * sqrt($redundancy));
    }

    /** The smallest slip that this observation's residual would reveal, about 4.9 σ/√r; null where nothing checks it. */
    public function smallestVisible(int $k): ?float
    {
        $redundancy = $this->redundancy($k);

        return $redundancy < self::UNCHECKED ? null : 4.9 * $this->observations[$k]->sigma / sqrt($redundancy);
    }

    /** Observations less unknowns. */
    public function degreesOfFreedom(): int
    {
        return count($this->observations) - count($this->unknowns);
    }

    /** Σ (residual/σ)²: the global test's figure, to be compared with the degrees of freedom. It accuses nobody. */
    public function sumOfSquares(): float
    {
        $sum = 0.0;
        foreach ($this->residuals as $k => $residual) {
            $sum += ($residual / $this->observations[$k]->sigma) ** 2;
        }

        return $sum;
    }

    /** What the unknowns make of an observation that need not be among those adjusted. */
    public function predict(Observation $observation): float
    {
        return ($observation->predict)($this->unknowns);
    }
}
