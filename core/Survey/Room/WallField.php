<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polyline;

/**
 * How far a wall stands into the room off the straight line between its corners at the plan's height: unknowns at the
 * crossings of stations along it and rows up it, straight between them and beyond.
 */
final readonly class WallField
{
    private Polyline $along;

    private Polyline $up;

    /**
     * @param  int  $first  the first of its unknowns, station by station
     * @param  non-empty-list<float>  $stations  mm from the wall's first corner, rising
     * @param  non-empty-list<float>  $rows  mm above the floor, rising
     */
    public function __construct(public int $first, public array $stations, public array $rows)
    {
        $this->along = new Polyline(array_map(fn (float $at) => new Point($at, 0.0), $stations));
        $this->up = new Polyline(array_map(fn (float $at) => new Point($at, 0.0), $rows));
    }

    public function size(): int
    {
        return count($this->stations) * count($this->rows);
    }

    /**
     * The unknowns that carry weight at a height, wherever along the wall.
     *
     * @return list<int>
     */
    public function unknownsAt(float $z): array
    {
        $unknowns = [];
        foreach (array_keys($this->up->weightsAt($z)) as $j) {
            foreach (array_keys($this->stations) as $i) {
                $unknowns[] = $this->first + $i * count($this->rows) + $j;
            }
        }
        sort($unknowns);

        return $unknowns;
    }

    /**
     * Σ weight·unknown is the wall's offset at a place.
     *
     * @return array<int, float> by unknown
     */
    public function weights(float $along, float $z): array
    {
        $weights = [];
        $up = $this->up->weightsAt($z);
        foreach ($this->along->weightsAt($along) as $i => $share) {
            foreach ($up as $j => $weight) {
                $weights[$this->first + $i * count($this->rows) + $j] = $share * $weight;
            }
        }

        return $weights;
    }

    /** @param array<int, float> $x */
    public function at(array $x, float $along, float $z): float
    {
        $sum = 0.0;
        foreach ($this->weights($along, $z) as $i => $weight) {
            $sum += $weight * $x[$i];
        }

        return $sum;
    }

    /**
     * Rows strictly between two heights.
     *
     * @return list<float>
     */
    public function bendsBetween(float $from, float $to): array
    {
        return $this->up->knotsBetween($from, $to);
    }

    /**
     * Stations strictly between two places from the wall's first corner.
     *
     * @return list<float>
     */
    public function turnsBetween(float $from, float $to): array
    {
        return $this->along->knotsBetween($from, $to);
    }
}
