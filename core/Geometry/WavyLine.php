<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/**
 * The line through noisy stations on a surface that is wavy: a parabola, and on it waves of a stated height that are alike near to
 * each other, as far as the stations tell. It bends wherever they ask for it, and knows how sure it is between them. Source:
 * universal kriging (Matheron), which is regression with a Gaussian process; covariance h²·exp(−d²/2l²).
 */
final readonly class WavyLine
{
    /** How near two places are that are alike, mm. */
    private const ALIKE = 300.0;

    /**
     * @param  non-empty-list<float>  $places
     * @param  list<list<float>>  $root  of the stations' covariance, by Cholesky
     * @param  list<float>  $weights  C⁻¹·(y − trend)
     * @param  list<list<float>>  $whitened  each of the trend's functions at the stations, solved by the root
     */
    private function __construct(private array $places, private float $high, private array $root, private array $weights, private LeastSquares $trend, private array $whitened, private float $middle, private float $half)
    {
    }

    /**
     * @param  non-empty-list<Point>  $stations  x along, y the value
     * @param  float  $sigma  of one value, mm
     * @param  float  $high  σ of the waves, mm
     */
    public static function through(array $stations, float $sigma, float $high): ?self
    {
        $places = array_map(fn (Point $station) => $station->x, $stations);
        [$middle, $half] = [(max($places) + min($places)) / 2, max(1.0, (max($places) - min($places)) / 2)];
        $root = self::root(array_map(fn (float $a, int $i) => array_map(fn (float $b, int $j) => self::alike($a, $b, $high) + ($i === $j ? $sigma ** 2 : 0.0), $places, array_keys($places)), $places, array_keys($places)));
        $values = array_map(fn (Point $station) => $station->y, $stations);
        $basis = array_map(fn (float $place) => self::basis($place, $middle, $half, count($places)), $places);
        $whitened = array_map(fn (int $k) => self::forward($root, array_column($basis, $k)), array_keys($basis[0]));
        $rows = array_map(fn (int $i) => array_column($whitened, $i), array_keys($places));
        $trend = LeastSquares::solve($rows, self::forward($root, $values), array_fill(0, count($places), 1.0));
        if ($trend === null) {
            return null;
        }
        $left = array_map(fn (float $value, array $row) => $value - $trend->at($row), $values, $basis);

        return new self($places, $high, $root, self::backward($root, self::forward($root, $left)), $trend, $whitened, $middle, $half);
    }

    public function at(float $x): float
    {
        $sum = $this->trend->at(self::basis($x, $this->middle, $this->half, count($this->places)));
        foreach ($this->places as $i => $place) {
            $sum += $this->weights[$i] * self::alike($x, $place, $this->high);
        }

        return $sum;
    }

    /** σ of the surface off the line at a place, mm. */
    public function sigmaAt(float $x): float
    {
        $seen = self::forward($this->root, array_map(fn (float $place) => self::alike($x, $place, $this->high), $this->places));
        $of = fn (array $a): float => array_sum(array_map(fn (float $p, float $q) => $p * $q, $a, $seen));
        $row = array_map(fn (float $own, array $column) => $own - $of($column), self::basis($x, $this->middle, $this->half, count($this->places)), $this->whitened);

        return sqrt(max(0.0, $this->high ** 2 - $of($seen)) + $this->trend->sigmaAt($row) ** 2);
    }

    private static function alike(float $a, float $b, float $high): float
    {
        return $high ** 2 * exp(-(($a - $b) / self::ALIKE) ** 2 / 2);
    }

    /** @return list<float> a straight line where there are few stations, else a parabola */
    private static function basis(float $x, float $middle, float $half, int $stations): array
    {
        $at = ($x - $middle) / $half;

        return $stations < 5 ? [1.0, $at] : [1.0, $at, $at ** 2];
    }

    /**
     * @param  list<list<float>>  $matrix
     * @return list<list<float>> its lower root
     */
    private static function root(array $matrix): array
    {
        $root = [];
        foreach ($matrix as $i => $row) {
            $own = self::forward($root, array_slice($row, 0, $i));
            $root[] = [...$own, sqrt(max(1e-9, $row[$i] - array_sum(array_map(fn (float $one) => $one ** 2, $own))))];
        }

        return $root;
    }

    /**
     * @param  list<list<float>>  $root
     * @param  list<float>  $b
     * @return list<float> L⁻¹·b
     */
    private static function forward(array $root, array $b): array
    {
        $x = [];
        foreach ($root as $i => $row) {
            $sum = $b[$i];
            for ($k = 0; $k < $i; $k++) {
                $sum -= $row[$k] * $x[$k];
            }
            $x[] = $sum / $row[$i];
        }

        return $x;
    }

    /**
     * @param  list<list<float>>  $root
     * @param  list<float>  $b
     * @return list<float> L⁻ᵀ·b
     */
    private static function backward(array $root, array $b): array
    {
        $x = $b;
        for ($i = count($root) - 1; $i >= 0; $i--) {
            $x[$i] /= $root[$i][$i];
            for ($k = 0; $k < $i; $k++) {
                $x[$k] -= $root[$i][$k] * $x[$i];
            }
        }

        return array_values($x);
    }
}
