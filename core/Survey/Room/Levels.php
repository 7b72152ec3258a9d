<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Geometry\Point;
use Incastro\Survey\Network\Adjusted;

/**
 * Floor and ceiling as found. Heights are mm above the datum, the highest place of the floor: a corner, or where it stands up
 * over that. The ceiling at a place is the lowest of its planes there.
 */
final readonly class Levels
{
    private Point $highest;

    /**
     * @param  list<Point>  $corners  of the plan
     * @param  float  $rough  σ of one place of the ceiling off its plane, mm
     * @param  float  $rise  how much the floor stands up somewhere over its highest corner, mm
     */
    public function __construct(public Adjusted $adjusted, private int $planes, array $corners, private float $rough = 0.0, private float $rise = 0.0)
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
        return self::value($this->adjusted, $this->aboveDatum(LevelNetwork::floor($at))) - $this->rise;
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
        return self::value($this->adjusted, $this->ceilingWeights($at)) - $this->rise;
    }

    /**
     * The lowest place of the ceiling over a plan: planes are lowest over a corner.
     *
     * @param  list<Point>  $corners
     */
    public function lowestCeiling(array $corners): float
    {
        return min([INF, ...array_map($this->ceilingAt(...), $corners)]);
    }

    public function ceilingSigmaAt(Point $at): float
    {
        // However well its plane is known, it is plastered.
        return hypot($this->adjusted->sigmaOf($this->ceilingWeights($at)), $this->rough);
    }

    /**
     * Where along a line from one place to another the ceiling goes over from one of its planes to the next: shares of the
     * way, rising, 0 and 1 not among them.
     *
     * @return list<float>
     */
    public function breaksBetween(Point $from, Point $to): array
    {
        $heights = [];
        for ($plane = 0; $plane < $this->planes; $plane++) {
            $heights[] = [self::value($this->adjusted, LevelNetwork::plane($plane, $from)), self::value($this->adjusted, LevelNetwork::plane($plane, $to))];
        }
        $breaks = [];
        foreach ($heights as $i => [$a, $b]) {
            foreach (array_slice($heights, $i + 1) as [$c, $d]) {
                $turn = ($b - $a) - ($d - $c);
                $share = abs($turn) < 1e-9 ? -1.0 : ($c - $a) / $turn;
                $at = $a + ($b - $a) * $share;
                $isLowest = min(array_map(fn (array $plane) => $plane[0] + ($plane[1] - $plane[0]) * $share, $heights)) > $at - 1e-6;
                if ($share > 1e-6 && $share < 1.0 - 1e-6 && $isLowest) {
                    $breaks[] = $share;
                }
            }
        }
        sort($breaks);

        return $breaks;
    }

    /**
     * The part of a plan over which each plane is the lowest: clipped by the line in which it meets every other.
     *
     * @param  list<Point>  $plan
     * @return list<list<Point>> none for a plane that is nowhere the lowest
     */
    public function coverage(array $plan): array
    {
        $covered = [];
        for ($plane = 0; $plane < $this->planes; $plane++) {
            $part = $plan;
            for ($other = 0; $other < $this->planes; $other++) {
                $under = fn (Point $at): float => self::value($this->adjusted, RoomNetwork::difference(LevelNetwork::plane($plane, $at), LevelNetwork::plane($other, $at)));
                $part = $other === $plane ? $part : self::clipped($part, $under);
            }
            if (count($part) > 2) {
                $covered[] = $part;
            }
        }

        return $covered;
    }

    /**
     * The part of a ring where a linear function is no more than 0 (Sutherland–Hodgman).
     *
     * @param  list<Point>  $ring
     * @param  \Closure(Point): float  $of
     * @return list<Point>
     */
    private static function clipped(array $ring, \Closure $of): array
    {
        $kept = [];
        foreach ($ring as $i => $p) {
            $q = $ring[($i + 1) % count($ring)];
            [$a, $b] = [$of($p), $of($q)];
            if ($a <= 0.0) {
                $kept[] = $p;
            }
            if (($a < 0.0 && $b > 0.0) || ($a > 0.0 && $b < 0.0)) {
                $kept[] = $p->plus($a / ($a - $b) * ($q->x - $p->x), $a / ($a - $b) * ($q->y - $p->y));
            }
        }

        return $kept;
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
