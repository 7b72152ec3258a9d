<?php

declare(strict_types=1);

namespace Incastro\Survey;

/** The normal matrix N = AᵀPA of an adjustment, and its inverse by Cholesky's method. */
final readonly class NormalMatrix
{
    /** @param array<int, array<int, float>> $n */
    private function __construct(private array $n)
    {
    }

    /**
     * @param  list<Observation>  $observations
     * @param  list<array<int, float>>  $rows
     */
    public static function of(array $observations, array $rows, int $size): self
    {
        $n = array_fill(0, $size, array_fill(0, $size, 0.0));
        foreach ($observations as $k => $observation) {
            $weight = 1 / $observation->sigma ** 2;
            foreach ($rows[$k] as $i => $a) {
                foreach ($rows[$k] as $j => $b) {
                    $n[$i][$j] += $a * $b * $weight;
                }
            }
        }

        return new self($n);
    }

    /**
     * @return array<int, array<int, float>>
     *
     * @throws Undetermined when the matrix is singular
     */
    public function inverse(): array
    {
        $size = count($this->n);
        $l = [];
        for ($i = 0; $i < $size; $i++) {
            for ($j = 0; $j <= $i; $j++) {
                $sum = $this->n[$i][$j];
                for ($k = 0; $k < $j; $k++) {
                    $sum -= $l[$i][$k] * $l[$j][$k];
                }
                if ($i === $j) {
                    if ($sum <= 1e-12 * max(1e-9, $this->n[$i][$i])) {
                        throw new Undetermined($i);
                    }
                    $l[$i][$i] = sqrt($sum);
                } else {
                    $l[$i][$j] = $sum / $l[$j][$j];
                }
            }
        }
        $inverse = array_fill(0, $size, array_fill(0, $size, 0.0));
        for ($column = 0; $column < $size; $column++) {
            $y = [];
            for ($i = 0; $i < $size; $i++) {
                $sum = $i === $column ? 1.0 : 0.0;
                for ($k = 0; $k < $i; $k++) {
                    $sum -= $l[$i][$k] * $y[$k];
                }
                $y[$i] = $sum / $l[$i][$i];
            }
            for ($i = $size - 1; $i >= 0; $i--) {
                $sum = $y[$i];
                for ($k = $i + 1; $k < $size; $k++) {
                    $sum -= $l[$k][$i] * $inverse[$k][$column];
                }
                $inverse[$i][$column] = $sum / $l[$i][$i];
            }
        }

        return $inverse;
    }
}
