<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/** A piecewise linear function y(x) through points with rising x; beyond its ends it goes on straight. */
final readonly class Polyline
{
    /** @param non-empty-list<Point> $points with strictly rising x */
    public function __construct(public array $points)
    {
        for ($i = 1; $i < count($points); $i++) {
            if ($points[$i]->x <= $points[$i - 1]->x) {
                throw new \InvalidArgumentException('The points of a polyline stand in rising order of x.');
            }
        }
    }

    /**
     * The weights that the points carry at x: y(x) = Σ weight·y, without those that are 0. At most two are left.
     *
     * @return non-empty-array<int, float> by point
     */
    public function weightsAt(float $x): array
    {
        $last = count($this->points) - 1;
        if ($last === 0) {
            return [1.0];
        }
        $i = 0;
        while ($i < $last - 1 && $x > $this->points[$i + 1]->x) {
            $i++;
        }
        $share = ($x - $this->points[$i]->x) / ($this->points[$i + 1]->x - $this->points[$i]->x);

        return match ($share) {
            0.0 => [$i => 1.0],
            1.0 => [$i + 1 => 1.0],
            default => [$i => 1.0 - $share, $i + 1 => $share],
        };
    }

    public function at(float $x): float
    {
        $y = 0.0;
        foreach ($this->weightsAt($x) as $i => $weight) {
            $y += $weight * $this->points[$i]->y;
        }

        return $y;
    }

    /**
     * The knots strictly between two places.
     *
     * @return list<float>
     */
    public function knotsBetween(float $from, float $to): array
    {
        return array_values(array_filter(
            array_map(fn (Point $point) => $point->x, $this->points),
            fn (float $x) => $x > $from + 1e-6 && $x < $to - 1e-6,
        ));
    }

    /**
     * The least squares line y = a + b·x through weighted points.
     *
     * @param  list<Point>  $points
     * @return array{float, float} a and b
     */
    public static function bestLine(array $points): array
    {
        $n = count($points);
        $mx = array_sum(array_map(fn (Point $p) => $p->x, $points)) / $n;
        $my = array_sum(array_map(fn (Point $p) => $p->y, $points)) / $n;
        $sxx = array_sum(array_map(fn (Point $p) => ($p->x - $mx) ** 2, $points));
        $sxy = array_sum(array_map(fn (Point $p) => ($p->x - $mx) * ($p->y - $my), $points));
        $b = $sxx > 0 ? $sxy / $sxx : 0.0;

        return [$my - $b * $mx, $b];
    }
}
