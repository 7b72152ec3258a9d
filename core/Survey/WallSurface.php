<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polyline;

/**
 * A side wall as found: where it stands, u, at any depth v and height z of the run's frame. Piecewise linear in height
 * between the rows of readings, linear in depth between the two columns; beyond them it goes on straight.
 */
final readonly class WallSurface
{
    private Polyline $heights;

    /**
     * @param  array{float, float}  $depths  of the two columns, mm from the back wall
     * @param  non-empty-list<float>  $rows  heights of the rows, mm, rising
     * @param  int  $first  the first of the unknowns of this wall in the adjustment, column by column
     */
    public function __construct(private array $depths, array $rows, private Adjusted $adjusted, private int $first)
    {
        $this->heights = new Polyline(array_map(fn (float $z) => new Point($z, 0.0), $rows));
    }

    /** Σ weight·unknown is u at (v, z). @return array<int, float> by unknown */
    public function weightsAt(float $v, float $z): array
    {
        return self::weights($this->depths, $this->heights, $this->first, $v, $z);
    }

    public function at(float $v, float $z): float
    {
        $u = 0.0;
        foreach ($this->weightsAt($v, $z) as $i => $weight) {
            $u += $weight * $this->adjusted->unknowns[$i];
        }

        return $u;
    }

    /** Heights at which the wall may bend between two heights, those included: extremes lie at these. @return list<float> */
    public function bendsBetween(float $from, float $to): array
    {
        return [$from, ...$this->heights->knotsBetween($from, $to), $to];
    }

    /**
     * @param  array{float, float}  $depths
     * @return array<int, float>
     */
    public static function weights(array $depths, Polyline $heights, int $first, float $v, float $z): array
    {
        $front = ($v - $depths[0]) / ($depths[1] - $depths[0]);
        $rows = $heights->weightsAt($z);
        $weights = [];
        foreach ($rows as $k => $weight) {
            $weights[$first + $k] = (1 - $front) * $weight;
            $weights[$first + count($rows) + $k] = $front * $weight;
        }

        return $weights;
    }
}
