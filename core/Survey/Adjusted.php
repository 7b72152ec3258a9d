<?php

declare(strict_types=1);

namespace Incastro\Survey;

/** The outcome of an adjustment: unknowns, their covariance, and how each observation fared. */
final readonly class Adjusted
{
    /**
     * @param  array<int, float>  $unknowns
     * @param  array<int, array<int, float>>  $covariance
     * @param  list<Observation>  $observations
     * @param  list<array<int, float>>  $rows
     * @param  list<float>  $residuals  adjusted less read
     */
    public function __construct(
        public array $unknowns,
        public array $covariance,
        public array $observations,
        private array $rows,
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
        $variance = 0.0;
        foreach ($weights as $i => $a) {
            foreach ($weights as $j => $b) {
                $variance += $a * $b * $this->covariance[$i][$j];
            }
        }

        return sqrt(max(0.0, $variance));
    }

    /** The share of the observation that the others check: 0, nothing does; 1, they know it without it. */
    public function redundancy(int $k): float
    {
        return 1.0 - ($this->sigmaOf($this->rows[$k]) / $this->observations[$k]->sigma) ** 2;
    }

    /** |residual| in units of its own σ; 0 where nothing checks the observation. */
    public function normalised(int $k): float
    {
        $redundancy = $this->redundancy($k);

        return $redundancy < 1e-6 ? 0.0 : abs($this->residuals[$k]) / ($this->observations[$k]->sigma * sqrt($redundancy));
    }
}
