<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/** A simple polygon of at least three points, without holes. */
final readonly class Polygon
{
    /** @param list<Point> $points */
    public function __construct(public array $points)
    {
        if (count($points) < 3) {
            throw new \InvalidArgumentException('A polygon has at least three points.');
        }
    }

    public static function rectangle(float $x, float $y, float $width, float $height): self
    {
        return new self([
            new Point($x, $y), new Point($x + $width, $y),
            new Point($x + $width, $y + $height), new Point($x, $y + $height),
        ]);
    }

    /** A board whose end is cut aslant: so long at its lower edge, and so long at its upper one. */
    public static function raked(float $lower, float $upper, float $width): self
    {
        return new self([new Point(0.0, 0.0), new Point($lower, 0.0), new Point($upper, $width), new Point(0.0, $width)]);
    }

    /** A round or an oval about a centre, drawn with straight bits. */
    public static function oval(Point $centre, float $width, float $height, int $bits = 24): self
    {
        return new self(array_map(fn (int $k) => $centre->plus($width / 2 * cos(2 * M_PI * $k / $bits), $height / 2 * sin(2 * M_PI * $k / $bits)), range(0, $bits - 1)));
    }

    /**
     * The convex shape around points (monotone chain: A. M. Andrew, 1979).
     *
     * @param  list<Point>  $points  at least three, not all in one line
     */
    public static function around(array $points): self
    {
        // What differs by no more than rounding is one coordinate: else points above each other are sorted by noise.
        $settled = function (array $values): array {
            asort($values);
            $last = -INF;
            foreach ($values as $i => $value) {
                $values[$i] = $last = $value - $last > 1e-6 ? $value : $last;
            }

            return $values;
        };
        $x = $settled(array_map(fn (Point $point) => $point->x, $points));
        $y = $settled(array_map(fn (Point $point) => $point->y, $points));
        $points = array_map(fn (int $i) => new Point($x[$i], $y[$i]), array_keys($points));
        usort($points, fn (Point $a, Point $b) => [$a->x, $a->y] <=> [$b->x, $b->y]);
        $chain = function (array $points): array {
            $kept = [];
            foreach ($points as $point) {
                while (count($kept) > 1) {
                    [$a, $b] = [$kept[count($kept) - 2], $kept[count($kept) - 1]];
                    if (($b->x - $a->x) * ($point->y - $a->y) - ($b->y - $a->y) * ($point->x - $a->x) > 1e-6) {
                        break;
                    }
                    array_pop($kept);
                }
                $kept[] = $point;
            }
            array_pop($kept);

            return $kept;
        };

        return new self([...$chain($points), ...$chain(array_reverse($points))]);
    }

    /** What lies between the line that one sees of it from above and a level below: a slot that goes down from it. */
    public function drawnDown(float $to): ?self
    {
        $head = $this->upperLine();
        if ($head === []) {
            return null;
        }

        return new self([new Point($head[0]->x, $to), new Point($head[count($head) - 1]->x, $to), ...array_reverse($head)]);
    }

    /**
     * Points turned and moved so that the first lies at the origin and the second on the positive x axis.
     *
     * @param  list<Point>  $points  at least two
     * @return list<Point>
     */
    public static function levelled(array $points): array
    {
        [$origin, $second] = $points;
        $turn = -atan2($second->y - $origin->y, $second->x - $origin->x);

        return array_map(fn (Point $point) => new Point(
            ($point->x - $origin->x) * cos($turn) - ($point->y - $origin->y) * sin($turn),
            ($point->x - $origin->x) * sin($turn) + ($point->y - $origin->y) * cos($turn),
        ), $points);
    }

    /** Signed area in mm², positive when the points go round anticlockwise (the shoelace formula). */
    public function signedArea(): float
    {
        $sum = 0.0;
        foreach ($this->points as $i => $point) {
            $next = $this->points[($i + 1) % count($this->points)];
            $sum += $point->x * $next->y - $next->x * $point->y;
        }

        return $sum / 2;
    }

    public function area(): float
    {
        return abs($this->signedArea());
    }

    /** Whether it turns the same way at every corner. */
    public function isConvex(): bool
    {
        $count = count($this->points);
        $way = $this->signedArea() > 0.0 ? 1.0 : -1.0;
        for ($i = 0; $i < $count; $i++) {
            [$a, $b, $c] = [$this->points[$i], $this->points[($i + 1) % $count], $this->points[($i + 2) % $count]];
            if ($way * (($b->x - $a->x) * ($c->y - $b->y) - ($b->y - $a->y) * ($c->x - $b->x)) < -1e-9 * max(1.0, $a->distanceTo($b) * $b->distanceTo($c))) {
                return false;
            }
        }

        return true;
    }

    /** Whether no two sides cross. */
    public function isSimple(): bool
    {
        return $this->crossing() === null;
    }

    /**
     * The first two sides that cross, by the numbers of their first corners; null when none do.
     *
     * @return array{int, int}|null
     */
    public function crossing(): ?array
    {
        $count = count($this->points);
        for ($i = 0; $i < $count; $i++) {
            for ($j = $i + 1; $j < $count; $j++) {
                $isNeighbour = $j === $i + 1 || ($i === 0 && $j === $count - 1);
                if (! $isNeighbour && self::cross($this->points[$i], $this->points[($i + 1) % $count], $this->points[$j], $this->points[($j + 1) % $count])) {
                    return [$i, $j];
                }
            }
        }

        return null;
    }

    /** Whether the straight line between two of its corners runs inside all the way. */
    public function sees(int $from, int $to): bool
    {
        $count = count($this->points);
        if (($from + 1) % $count === $to || ($to + 1) % $count === $from) {
            return true;
        }
        [$a, $b] = [$this->points[$from], $this->points[$to]];
        for ($i = 0; $i < $count; $i++) {
            $next = ($i + 1) % $count;
            $touches = array_intersect([$i, $next], [$from, $to]) !== [];
            if (! $touches && self::cross($a, $b, $this->points[$i], $this->points[$next])) {
                return false;
            }
        }

        return $this->contains(new Point(($a->x + $b->x) / 2, ($a->y + $b->y) / 2));
    }

    /** Whether a point lies inside, by counting the sides to its right. */
    public function contains(Point $point): bool
    {
        $inside = false;
        foreach ($this->points as $i => $a) {
            $b = $this->points[($i + 1) % count($this->points)];
            if (($a->y > $point->y) !== ($b->y > $point->y) && $point->x < $a->x + ($point->y - $a->y) / ($b->y - $a->y) * ($b->x - $a->x)) {
                $inside = ! $inside;
            }
        }

        return $inside;
    }

    /** With every side moved outwards, its neighbours drawn out or back to meet it; a sharp corner is drawn out no further than twice that. */
    public function grown(float $distance): self
    {
        $count = count($this->points);
        $out = $this->signedArea() > 0.0 ? $distance : -$distance;
        $grown = [];
        foreach ($this->points as $i => $point) {
            [$before, $after] = [$this->points[($i + $count - 1) % $count], $this->points[($i + 1) % $count]];
            [$ax, $ay] = self::towards($before, $point);
            [$bx, $by] = self::towards($point, $after);
            // Both normals, (ay, −ax) and (by, −bx), moved out by the same distance.
            $reach = max(0.5, 1.0 + $ax * $bx + $ay * $by);
            $grown[] = $point->plus($out * ($ay + $by) / $reach, -$out * ($ax + $bx) / $reach);
        }

        return new self($grown);
    }

    /**
     * The line that one sees of it from above, from x to x: its highest points from left to right. Beyond its ends there is
     * none; empty where it does not reach into them.
     *
     * @return list<Point>
     */
    public function upperLine(float $from = -INF, float $to = INF): array
    {
        $xs = array_map(fn (Point $point) => min($to, max($from, $point->x)), $this->points);
        $xs = array_values(array_unique($xs));
        sort($xs);
        $line = [];
        for ($k = 0; $k + 1 < count($xs); $k++) {
            $top = null;
            $middle = ($xs[$k] + $xs[$k + 1]) / 2;
            foreach ($this->points as $i => $a) {
                $b = $this->points[($i + 1) % count($this->points)];
                if (($a->x > $middle) === ($b->x > $middle)) {
                    continue;
                }
                $at = fn (float $x): float => $a->y + ($x - $a->x) / ($b->x - $a->x) * ($b->y - $a->y);
                if ($top === null || $at($middle) > $top[0]) {
                    $top = [$at($middle), $at($xs[$k]), $at($xs[$k + 1])];
                }
            }
            if ($top !== null) {
                array_push($line, new Point($xs[$k], $top[1]), new Point($xs[$k + 1], $top[2]));
            }
        }

        return $line;
    }

    /** @return array{float, float, float, float} least and most x, least and most y */
    public function bounds(): array
    {
        [$x0, $x1, $y0, $y1] = [INF, -INF, INF, -INF];
        foreach ($this->points as $point) {
            $x0 = $point->x < $x0 ? $point->x : $x0;
            $x1 = $point->x > $x1 ? $point->x : $x1;
            $y0 = $point->y < $y0 ? $point->y : $y0;
            $y1 = $point->y > $y1 ? $point->y : $y1;
        }

        return [$x0, $x1, $y0, $y1];
    }

    /** @return array{float, float} the direction from a point to another */
    private static function towards(Point $from, Point $to): array
    {
        $length = max(1e-9, $from->distanceTo($to));

        return [($to->x - $from->x) / $length, ($to->y - $from->y) / $length];
    }

    private static function cross(Point $a, Point $b, Point $c, Point $d): bool
    {
        $side = fn (Point $p, Point $q, Point $r): float => ($q->x - $p->x) * ($r->y - $p->y) - ($q->y - $p->y) * ($r->x - $p->x);

        return $side($a, $b, $c) * $side($a, $b, $d) < 0.0 && $side($c, $d, $a) * $side($c, $d, $b) < 0.0;
    }
}
