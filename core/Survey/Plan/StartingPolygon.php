<?php

declare(strict_types=1);

namespace Incastro\Survey\Plan;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;

/**
 * A polygon to start the adjustment from, constructed corner by corner: each where two circles about corners already
 * placed meet, or where a circle meets the direction that an angle gives. Where two places are possible both are
 * followed, and the best few kept; of mirror solutions the anticlockwise one counts.
 */
final class StartingPolygon
{
    /** Constructions followed side by side. */
    private const BEAM = 16;

    /** What one disagreeing reading may cost a construction, mm: a slip must not outweigh all that agrees. */
    private const COST = 150.0;

    /** @var array<int, array<int, float>> distances in mm by both corners */
    private array $distances = [];

    /** @var array<int, float> interior angle in radians by corner */
    private array $angles = [];

    private float $typical;

    /**
     * @param  list<PlanReading>  $readings
     */
    public function __construct(private readonly int $corners, array $readings)
    {
        foreach ($readings as $reading) {
            if ($reading->kind->isDistance()) {
                $this->distances[$reading->from][$reading->to] ??= $reading->value;
                $this->distances[$reading->to][$reading->from] ??= $reading->value;
            } elseif ($reading->at !== null && $reading->kind !== PlanKind::Offset && $this->isNeighbours($reading)) {
                $this->angles[$reading->at] ??= self::interior($reading);
            }
        }
        $all = array_merge([], ...array_map(array_values(...), $this->distances));
        $this->typical = $all === [] ? 1000.0 : array_sum($all) / count($all);
    }

    private function isNeighbours(PlanReading $reading): bool
    {
        $steps = [($reading->from - $reading->at + $this->corners) % $this->corners, ($reading->to - $reading->at + $this->corners) % $this->corners];
        sort($steps);

        return $steps === [1, $this->corners - 1];
    }

    /** The interior angle in radians that a corner's reading gives. */
    private static function interior(PlanReading $reading): float
    {
        if ($reading->kind === PlanKind::Corner || $reading->legs === null) {
            return deg2rad($reading->value);
        }
        [$a, $b] = $reading->legs;
        $angle = acos(max(-1.0, min(1.0, ($a ** 2 + $b ** 2 - $reading->value ** 2) / (2 * $a * $b))));

        return $reading->outside ? 2 * M_PI - $angle : $angle;
    }

    /**
     * Polygons to try, best first, the first corner at the origin and the second on the positive x axis.
     *
     * @return non-empty-list<list<Point>>
     */
    public function guesses(): array
    {
        [$first, $second] = $this->firstPair();
        $states = [[[$first => new Point(0.0, 0.0), $second => new Point($this->distances[$first][$second] ?? $this->typical, 0.0)], 0.0]];
        for ($placed = 2; $placed < $this->corners; $placed++) {
            $corner = $this->nextCorner(array_keys($states[0][0]));
            $next = [];
            foreach ($states as [$points, $cost]) {
                foreach ($this->places($corner, $points) as $place) {
                    $next[] = [$points + [$corner => $place], $cost + $this->costOf($corner, $place, $points)];
                }
            }
            usort($next, fn (array $a, array $b) => $a[1] <=> $b[1]);
            $states = array_slice($next, 0, self::BEAM);
        }
        $ranked = [];
        foreach ($states as [$points, $cost]) {
            ksort($points);
            $polygon = $this->anticlockwise(array_values($points));
            $ranked[] = [(new Polygon($polygon))->isSimple() ? 0 : 1, round($cost / self::COST, 1), -(new Polygon($polygon))->signedArea(), $polygon];
        }
        usort($ranked, fn (array $a, array $b) => [$a[0], $a[1], $a[2]] <=> [$b[0], $b[1], $b[2]]);

        return array_map(fn (array $state) => Polygon::levelled($state[3]), $ranked);
    }

    /** @return array{int, int} two corners with a known distance, the first side if it is one */
    private function firstPair(): array
    {
        if (isset($this->distances[0][1])) {
            return [0, 1];
        }
        foreach ($this->distances as $from => $others) {
            return [$from, array_key_first($others) ?? 0];
        }

        return [0, 1];
    }

    /** @param list<int> $placed */
    private function nextCorner(array $placed): int
    {
        $best = [-1, 0];
        for ($corner = 0; $corner < $this->corners; $corner++) {
            if (in_array($corner, $placed, true)) {
                continue;
            }
            $ties = count(array_intersect(array_keys($this->distances[$corner] ?? []), $placed));
            foreach ([1, -1] as $step) {
                $ties += $this->directionKnown($corner, $step, $placed) ? 1 : 0;
            }
            $weight = 4 * min($ties, 3) + (array_intersect([($corner + 1) % $this->corners, ($corner + $this->corners - 1) % $this->corners], $placed) === [] ? 0 : 1);
            if ($weight > $best[0]) {
                $best = [$weight, $corner];
            }
        }

        return $best[1];
    }

    /**
     * Whether the angle at the neighbour says in which direction a corner lies.
     *
     * @param  list<int>  $placed
     */
    private function directionKnown(int $corner, int $step, array $placed): bool
    {
        $neighbour = ($corner + $step + $this->corners) % $this->corners;

        return isset($this->angles[$neighbour]) && in_array($neighbour, $placed, true) && in_array(($corner + 2 * $step + 2 * $this->corners) % $this->corners, $placed, true);
    }

    /**
     * @param  array<int, Point>  $points
     * @return non-empty-list<Point>
     */
    private function places(int $corner, array $points): array
    {
        $circles = [];
        foreach ($points as $other => $point) {
            if (isset($this->distances[$corner][$other])) {
                $circles[] = [$point, $this->distances[$corner][$other]];
            }
        }
        $rays = [];
        foreach ([1, -1] as $step) {
            if ($this->directionKnown($corner, $step, array_keys($points))) {
                $neighbour = ($corner + $step + $this->corners) % $this->corners;
                $rays[] = [$points[$neighbour], $this->direction($neighbour, $step, $points), $this->distances[$corner][$neighbour] ?? null];
            }
        }
        $places = [];
        foreach ($rays as [$from, $direction, $length]) {
            if ($length !== null) {
                $places[] = $from->plus($length * cos($direction), $length * sin($direction));
            }
            foreach (array_slice($circles, 0, 3) as [$centre, $radius]) {
                if ($centre !== $from) {
                    array_push($places, ...self::rayMeetsCircle($from, $direction, $centre, $radius));
                }
            }
        }
        for ($i = 0; $i < min(3, count($circles)); $i++) {
            for ($j = $i + 1; $j < min(4, count($circles)); $j++) {
                array_push($places, ...self::circlesMeet($circles[$i], $circles[$j]));
            }
        }

        return $places === [] ? [$this->somewhere($corner, $points)] : $places;
    }

    /**
     * The direction in radians from a corner to its neighbour, from the angle there and the other neighbour.
     *
     * @param  array<int, Point>  $points
     */
    private function direction(int $at, int $step, array $points): float
    {
        $p = $points[$at];
        $other = $points[($at + $step + $this->corners) % $this->corners];
        $towards = atan2($other->y - $p->y, $other->x - $p->x);

        // Anticlockwise, the inside opens from the next corner to the one before.
        return $step > 0 ? $towards + $this->angles[$at] : $towards - $this->angles[$at];
    }

    /**
     * A place for a corner that floats: on from its neighbour, turning as a regular polygon does.
     *
     * @param  array<int, Point>  $points
     */
    private function somewhere(int $corner, array $points): Point
    {
        $before = ($corner + $this->corners - 1) % $this->corners;
        $from = $points[$before] ?? array_values($points)[0] ?? new Point(0.0, 0.0);
        $turn = 2 * M_PI * $corner / $this->corners;
        foreach ($points as $other => $point) {
            if (isset($this->distances[$corner][$other])) {
                return $point->plus($this->distances[$corner][$other] * cos($turn), $this->distances[$corner][$other] * sin($turn));
            }
        }

        return $from->plus($this->typical * cos($turn), $this->typical * sin($turn));
    }

    /**
     * @param  array{Point, float}  $a
     * @param  array{Point, float}  $b
     * @return list<Point>
     */
    private static function circlesMeet(array $a, array $b): array
    {
        [$p, $r] = $a;
        [$q, $s] = $b;
        $d = hypot($q->x - $p->x, $q->y - $p->y);
        if ($d < 1e-6) {
            return [];
        }
        $along = ($r ** 2 - $s ** 2 + $d ** 2) / (2 * $d);
        // Circles that just miss each other meet half way: the readings have errors.
        $across = sqrt(max(0.0, $r ** 2 - $along ** 2));
        $foot = $p->plus($along * ($q->x - $p->x) / $d, $along * ($q->y - $p->y) / $d);
        $offset = [-$across * ($q->y - $p->y) / $d, $across * ($q->x - $p->x) / $d];

        return [$foot->plus($offset[0], $offset[1]), $foot->plus(-$offset[0], -$offset[1])];
    }

    /** @return list<Point> */
    private static function rayMeetsCircle(Point $from, float $direction, Point $centre, float $radius): array
    {
        $dx = $centre->x - $from->x;
        $dy = $centre->y - $from->y;
        $along = $dx * cos($direction) + $dy * sin($direction);
        $half = sqrt(max(0.0, $radius ** 2 - ($dx ** 2 + $dy ** 2 - $along ** 2)));

        return array_map(
            fn (float $length) => $from->plus($length * cos($direction), $length * sin($direction)),
            array_values(array_filter([$along + $half, $along - $half], fn (float $length) => $length > 0)),
        );
    }

    /** @param array<int, Point> $points */
    private function costOf(int $corner, Point $place, array $points): float
    {
        $cost = 0.0;
        foreach ($points as $other => $point) {
            if (isset($this->distances[$corner][$other])) {
                $cost += min(self::COST, abs(hypot($place->x - $point->x, $place->y - $point->y) - $this->distances[$corner][$other]));
            }
        }
        $all = $points + [$corner => $place];
        foreach ([-1, 0, 1] as $step) {
            $at = ($corner + $step + $this->corners) % $this->corners;
            $next = ($at + 1) % $this->corners;
            $before = ($at + $this->corners - 1) % $this->corners;
            if (isset($this->angles[$at], $all[$at], $all[$next], $all[$before])) {
                $off = $all[$at]->turn($all[$next], $all[$before]) - $this->angles[$at];
                $cost += min(self::COST, $this->typical * abs($off - 2 * M_PI * round($off / (2 * M_PI))));
            }
        }

        return $cost;
    }

    /**
     * @param  list<Point>  $points
     * @return list<Point>
     */
    private function anticlockwise(array $points): array
    {
        // Angles tell a polygon from its mirror image already.
        return $this->angles !== [] || (new Polygon($points))->signedArea() >= 0.0 ? $points : array_map(fn (Point $point) => new Point($point->x, -$point->y), $points);
    }
}
