<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/**
 * A shape with another one cut out of it. The sides of both are parted where they meet; of the first one those outside the
 * second stay, of the second those inside the first, turned round; what stays is strung together into rings.
 */
final class Difference
{
    /** Points this near are one, mm; and what is smaller than this is no part, mm². */
    private const ONE = 1e-5;

    private const LEAST_AREA = 1.0;

    /** @var list<array{Point, Point}> sides of the shape, the inside to their left */
    private array $sides = [];

    /** @var list<array{Point, Point}> of what is cut out of it, the inside to their left */
    private array $cuts = [];

    public function __construct(private readonly Outline $outline, private readonly Polygon $cut)
    {
        $this->sides = self::ring($outline->outer, true);
        foreach ($outline->holes as $hole) {
            array_push($this->sides, ...self::ring($hole, false));
        }
        $this->cuts = self::ring($cut, true);
    }

    /** @return list<Outline> from the lowest x on */
    public function parts(): array
    {
        [$x0, $x1, $y0, $y1] = $this->outline->bounds();
        [$a0, $a1, $b0, $b1] = $this->cut->bounds();
        if ($a0 >= $x1 - self::ONE || $a1 <= $x0 + self::ONE || $b0 >= $y1 - self::ONE || $b1 <= $y0 + self::ONE) {
            return [$this->outline];
        }
        $kept = $near = [];
        foreach ($this->sides as [$a, $b]) {
            $isBeyond = max($a->x, $b->x) < $a0 - self::ONE || min($a->x, $b->x) > $a1 + self::ONE || max($a->y, $b->y) < $b0 - self::ONE || min($a->y, $b->y) > $b1 + self::ONE;
            $isBeyond ? $kept[] = [$a, $b] : $near[] = [$a, $b];
        }
        foreach (self::parted($near, $this->cuts) as [$a, $b]) {
            $middle = new Point(($a->x + $b->x) / 2, ($a->y + $b->y) / 2);
            $along = self::along($middle, $a, $b, $this->cuts);
            if ($along === null ? ! self::isInside($middle, $this->cuts) : $along < 0.0) {
                $kept[] = [$a, $b];
            }
        }
        foreach (self::parted($this->cuts, $this->sides) as [$a, $b]) {
            $middle = new Point(($a->x + $b->x) / 2, ($a->y + $b->y) / 2);
            if (self::along($middle, $a, $b, $this->sides) === null && self::isInside($middle, $this->sides)) {
                $kept[] = [$b, $a];
            }
        }

        return self::outlines(self::rings($kept));
    }

    /** @return list<array{Point, Point}> */
    private static function ring(Polygon $polygon, bool $isAnticlockwise): array
    {
        $points = ($polygon->signedArea() > 0.0) === $isAnticlockwise ? $polygon->points : array_reverse($polygon->points);
        $sides = [];
        foreach ($points as $i => $point) {
            $next = $points[($i + 1) % count($points)];
            if ($point->distanceTo($next) > self::ONE) {
                $sides[] = [$point, $next];
            }
        }

        return $sides;
    }

    /**
     * Sides parted where others meet them.
     *
     * @param  list<array{Point, Point}>  $sides
     * @param  list<array{Point, Point}>  $others
     * @return list<array{Point, Point}>
     */
    private static function parted(array $sides, array $others): array
    {
        $parted = [];
        foreach ($sides as [$a, $b]) {
            $shares = [0.0, 1.0];
            [$dx, $dy] = [$b->x - $a->x, $b->y - $a->y];
            $long = hypot($dx, $dy);
            foreach ($others as [$c, $d]) {
                [$ex, $ey] = [$d->x - $c->x, $d->y - $c->y];
                $cross = $dx * $ey - $dy * $ex;
                if (abs($cross) > 1e-9 * $long * hypot($ex, $ey)) {
                    $share = (($c->x - $a->x) * $ey - ($c->y - $a->y) * $ex) / $cross;
                    $its = (($c->x - $a->x) * $dy - ($c->y - $a->y) * $dx) / $cross;
                    $slack = self::ONE / hypot($ex, $ey);
                    if ($its > -$slack && $its < 1.0 + $slack) {
                        $shares[] = $share;
                    }
                }
                foreach ([$c, $d] as $end) {
                    $share = (($end->x - $a->x) * $dx + ($end->y - $a->y) * $dy) / ($long * $long);
                    if ($share > 0.0 && $share < 1.0 && abs(($end->x - $a->x) * $dy - ($end->y - $a->y) * $dx) / $long < self::ONE) {
                        $shares[] = $share;
                    }
                }
            }
            sort($shares);
            $from = 0.0;
            foreach ($shares as $share) {
                if ($share <= 0.0 || $share > 1.0 || ($share - $from) * $long < self::ONE) {
                    continue;
                }
                $to = (1.0 - $share) * $long < self::ONE ? 1.0 : $share;
                $parted[] = [$from === 0.0 ? $a : $a->plus($from * $dx, $from * $dy), $to === 1.0 ? $b : $a->plus($to * $dx, $to * $dy)];
                $from = $to;
            }
        }

        return $parted;
    }

    /**
     * Whether a side lies along another one: more than 0 where both run the same way, less where they run against each other;
     * null where it lies along none.
     *
     * @param  list<array{Point, Point}>  $others
     */
    private static function along(Point $middle, Point $a, Point $b, array $others): ?float
    {
        foreach ($others as [$c, $d]) {
            [$ex, $ey] = [$d->x - $c->x, $d->y - $c->y];
            $long = hypot($ex, $ey);
            $share = (($middle->x - $c->x) * $ex + ($middle->y - $c->y) * $ey) / ($long * $long);
            if ($share > 0.0 && $share < 1.0 && abs(($middle->x - $c->x) * $ey - ($middle->y - $c->y) * $ex) / $long < 2 * self::ONE) {
                return ($b->x - $a->x) * $ex + ($b->y - $a->y) * $ey;
            }
        }

        return null;
    }

    /** @param list<array{Point, Point}> $sides */
    private static function isInside(Point $point, array $sides): bool
    {
        $inside = false;
        foreach ($sides as [$a, $b]) {
            if (($a->y > $point->y) !== ($b->y > $point->y) && $point->x < $a->x + ($point->y - $a->y) / ($b->y - $a->y) * ($b->x - $a->x)) {
                $inside = ! $inside;
            }
        }

        return $inside;
    }

    /**
     * Strings sides together. Where several go on from a point, the one that keeps the inside together is taken: the first
     * clockwise from where one came.
     *
     * @param  list<array{Point, Point}>  $sides
     * @return list<non-empty-list<Point>>
     */
    private static function rings(array $sides): array
    {
        $names = [];
        $from = $ends = [];
        foreach ($sides as $i => [$a, $b]) {
            $ends[$i] = [self::name($a, $names), self::name($b, $names)];
            $from[$ends[$i][0]][$i] = true;
        }
        $rings = [];
        $left = $sides;
        while ($left !== []) {
            $i = array_key_first($left);
            $start = $ends[$i][0];
            $ring = [];
            while (true) {
                [$a, $b] = $left[$i];
                $ring[] = $a;
                unset($left[$i], $from[$ends[$i][0]][$i]);
                $end = $ends[$i][1];
                $on = array_keys($from[$end] ?? []);
                if ($end === $start || $on === []) {
                    break;
                }
                $back = atan2($a->y - $b->y, $a->x - $b->x);
                usort($on, fn (int $p, int $q) => self::clockwise($back, $sides[$p]) <=> self::clockwise($back, $sides[$q]));
                $i = $on[0];
            }
            $rings[] = $ring;
        }

        return $rings;
    }

    /**
     * One name for all points that are one: that of the first of them that was met.
     *
     * @param  list<Point>  $names  those that were met
     */
    private static function name(Point $point, array &$names): int
    {
        foreach ($names as $name => $met) {
            if (abs($met->x - $point->x) < 2 * self::ONE && abs($met->y - $point->y) < 2 * self::ONE) {
                return $name;
            }
        }
        $names[] = $point;

        return count($names) - 1;
    }

    /** @param array{Point, Point} $side */
    private static function clockwise(float $from, array $side): float
    {
        $turn = $from - atan2($side[1]->y - $side[0]->y, $side[1]->x - $side[0]->x);

        return $turn <= 1e-9 ? $turn + 2 * M_PI : $turn;
    }

    /**
     * @param  list<non-empty-list<Point>>  $rings
     * @return list<Outline>
     */
    private static function outlines(array $rings): array
    {
        $outers = $holes = [];
        foreach ($rings as $ring) {
            $points = self::tidied($ring);
            if (count($points) < 3) {
                continue;
            }
            $polygon = new Polygon($points);
            if ($polygon->area() >= self::LEAST_AREA) {
                $polygon->signedArea() > 0.0 ? $outers[] = $polygon : $holes[] = $polygon;
            }
        }
        usort($outers, fn (Polygon $a, Polygon $b) => $a->bounds()[0] <=> $b->bounds()[0]);

        return array_map(fn (Polygon $outer) => new Outline($outer, array_values(array_filter($holes, fn (Polygon $hole) => $outer->contains($hole->points[0])))), $outers);
    }

    /**
     * Without points that lie twice in one place, or on the straight line between their neighbours.
     *
     * @param  list<Point>  $points
     * @return list<Point>
     */
    private static function tidied(array $points): array
    {
        $count = count($points);
        $kept = [];
        foreach ($points as $i => $point) {
            $before = $kept === [] ? $points[$count - 1] : $kept[count($kept) - 1];
            $after = $points[($i + 1) % $count];
            $long = $before->distanceTo($after);
            $off = abs(($point->x - $before->x) * ($after->y - $before->y) - ($point->y - $before->y) * ($after->x - $before->x));
            if ($point->distanceTo($before) > 2 * self::ONE && ($long < self::ONE || $off / $long > self::ONE)) {
                $kept[] = $point;
            }
        }

        return $kept;
    }
}
