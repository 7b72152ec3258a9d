<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Geometry\Point;
use Incastro\Survey\Network\Adjusted;

/**
 * Floor and ceiling as found. Heights are mm above the datum, the highest corner of the floor; the ceiling at a place is
 * the lowest of its planes there.
 */
final readonly class Levels
{
    private Point $highest;

    /** @param list<Point> $corners of the plan */
    public function __construct(public Adjusted $adjusted, private int $planes, array $corners)
    {
        $height = fn (Point $at) => self::value($adjusted, LevelNetwork::floor($at));
        $highest = $corners[0] ?? new Point(0.0, 0.0);
        foreach ($corners as $corner) {
            if ($height($corner) > $height($highest) + 1e-9) {
                $highest = $corner;
            }
        }
        $this->highest = $highest;
    }

    public function floorAt(Point $at): float
    {
        return self::value($this->adjusted, $this->aboveDatum(LevelNetwork::floor($at)));
    }

    public function floorSigmaAt(Point $at): float
    {
        return $this->adjusted->sigmaOf($this->aboveDatum(LevelNetwork::floor($at)));
    }

    /**
     * How far the floor falls between the highest and the lowest of some corners.
     *
     * @param  list<Point>  $corners
     */
    public function fall(array $corners): float
    {
        return -min([0.0, ...array_map($this->floorAt(...), $corners)]);
    }

    public function ceilingAt(Point $at): float
    {
        return self::value($this->adjusted, $this->ceilingWeights($at));
    }

    public function ceilingSigmaAt(Point $at): float
    {
        return $this->adjusted->sigmaOf($this->ceilingWeights($at));
    }


    /** Slope of the lowest plane at a place, degrees from level. */
    public function slopeAt(Point $at): float
    {
        $first = array_key_first(LevelNetwork::plane($this->planeAt($at), $at));

        return rad2deg(atan(hypot($this->adjusted->unknowns[$first + 1], $this->adjusted->unknowns[$first + 2])));
    }

    private function planeAt(Point $at): int
    {
        $lowest = 0;
        for ($plane = 1; $plane < $this->planes; $plane++) {
            if (self::value($this->adjusted, LevelNetwork::plane($plane, $at)) < self::value($this->adjusted, LevelNetwork::plane($lowest, $at))) {
                $lowest = $plane;
            }
        }

        return $lowest;
    }

    /** @return array<int, float> */
    private function ceilingWeights(Point $at): array
    {
        return $this->aboveDatum(LevelNetwork::plane($this->planeAt($at), $at));
    }

    /**
     * @param  array<int, float>  $weights
     * @return array<int, float>
     */
    private function aboveDatum(array $weights): array
    {
        return RoomNetwork::difference($weights, LevelNetwork::floor($this->highest));
    }

    /** @param array<int, float> $weights */
    private static function value(Adjusted $adjusted, array $weights): float
    {
        $sum = 0.0;
        foreach ($weights as $i => $weight) {
            $sum += $weight * $adjusted->unknowns[$i];
        }

        return $sum;
    }
}
