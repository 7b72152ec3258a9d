<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/** A convex body by its faces, each a ring of corners; double mm. Corners are bare triples: there are thousands of them. */
final class Convex
{
    private const SAME = 1e-7;

    /** @var list<array{float, float, float}>|null */
    private ?array $corners = null;

    /** @var array{list<array{float, float, float}>, list<array{float, float, float}>}|null directions across its faces and along its edges */
    private ?array $directions = null;

    /** @param list<list<array{float, float, float}>> $faces */
    public function __construct(private readonly array $faces)
    {
    }

    /**
     * A convex outline drawn out through the thickness of a piece.
     *
     * @param  list<Point>  $outline
     */
    public static function plate(array $outline, float $thickness, Pose $pose): self
    {
        $near = $far = $faces = [];
        foreach ($outline as $point) {
            $place = $pose->place($point, 0.0);
            $near[] = [$place->x, $place->y, $place->z];
            $far[] = [$place->x + $thickness * $pose->thickness->x, $place->y + $thickness * $pose->thickness->y, $place->z + $thickness * $pose->thickness->z];
        }
        foreach ($near as $i => $corner) {
            $next = ($i + 1) % count($near);
            $faces[] = [$corner, $near[$next], $far[$next], $far[$i]];
        }

        return new self([$near, $far, ...$faces]);
    }

    /** @return list<array{float, float, float}> */
    public function corners(): array
    {
        if ($this->corners === null) {
            $corners = [];
            foreach ($this->faces as $face) {
                foreach ($face as $corner) {
                    $corners[sprintf('%.6F/%.6F/%.6F', ...$corner)] = $corner;
                }
            }
            $this->corners = array_values($corners);
        }

        return $this->corners;
    }

    /** What of it lies on the inner side of a plane, which is n·p ≤ d; null where nothing does. */
    public function cut(Vector $normal, float $distance): ?self
    {
        $off = fn (array $p): float => $normal->x * $p[0] + $normal->y * $p[1] + $normal->z * $p[2] - $distance;
        $faces = $rim = [];
        foreach ($this->faces as $face) {
            $kept = [];
            foreach ($face as $i => $p) {
                $q = $face[($i + 1) % count($face)];
                [$a, $b] = [$off($p), $off($q)];
                if ($a <= self::SAME) {
                    $kept[] = $p;
                }
                if (($a < -self::SAME && $b > self::SAME) || ($a > self::SAME && $b < -self::SAME)) {
                    $share = $a / ($a - $b);
                    $kept[] = $rim[] = [$p[0] + $share * ($q[0] - $p[0]), $p[1] + $share * ($q[1] - $p[1]), $p[2] + $share * ($q[2] - $p[2])];
                } elseif (abs($a) <= self::SAME) {
                    $rim[] = $p;
                }
            }
            if (count($kept) > 2) {
                $faces[] = $kept;
            }
        }
        if (count($faces) < 3) {
            return null;
        }
        $cap = self::ring($rim, $normal);

        return new self($cap === null ? $faces : [...$faces, $cap]);
    }

    /**
     * Points of a plane in order round their middle.
     *
     * @param  list<array{float, float, float}>  $points
     * @return list<array{float, float, float}>|null null where they make no face
     */
    private static function ring(array $points, Vector $normal): ?array
    {
        $count = count($points);
        if ($count < 3) {
            return null;
        }
        $middle = new Vector(array_sum(array_column($points, 0)) / $count, array_sum(array_column($points, 1)) / $count, array_sum(array_column($points, 2)) / $count);
        $some = abs($normal->x) < 0.9 * $normal->length() ? new Vector(1.0, 0.0, 0.0) : new Vector(0.0, 1.0, 0.0);
        $e = $normal->cross($some);
        $f = $normal->cross($e);
        $ring = [];
        foreach ($points as $point) {
            $from = (new Vector(...$point))->minus($middle);
            if ($from->length() > self::SAME) {
                $ring[sprintf('%.9F', atan2($from->dot($f), $from->dot($e)))] = $point;
            }
        }
        ksort($ring, SORT_NUMERIC);

        return count($ring) > 2 ? array_values($ring) : null;
    }

    /** How deep a place lies inside, mm: to the nearest of its faces; less than 0 outside. */
    public function holds(float $x, float $y, float $z): float
    {
        $corners = $this->corners();
        [$normals] = $this->directions();
        $least = INF;
        foreach ($normals as [$a, $b, $c]) {
            [$low, $high] = [INF, -INF];
            foreach ($corners as $p) {
                $at = $a * $p[0] + $b * $p[1] + $c * $p[2];
                $low = min($low, $at);
                $high = max($high, $at);
            }
            $at = $a * $x + $b * $y + $c * $z;
            $least = min($least, $at - $low, $high - $at);
        }

        return $least;
    }

    /**
     * Its edges, each as two corners; an edge between two faces comes twice.
     *
     * @return list<array{array{float, float, float}, array{float, float, float}}>
     */
    public function edges(): array
    {
        $edges = [];
        foreach ($this->faces as $face) {
            foreach ($face as $i => $p) {
                $edges[] = [$p, $face[($i + 1) % count($face)]];
            }
        }

        return $edges;
    }

    /** The same put elsewhere. @param \Closure(array{float, float, float}): array{float, float, float} $to */
    public function mapped(\Closure $to): self
    {
        return new self(array_map(fn (array $face) => array_map($to, $face), $this->faces));
    }

    /**
     * What two bodies share, measured along the direction in which that is least (separating axes: across every face, and
     * across every edge of one and of the other). Looking ends where it is no more than a touch; less than 0 where they are
     * apart.
     */
    public function overlap(self $that, float $touch = 0.0): float
    {
        $least = INF;
        [$normals, $edges] = $this->directions();
        [$itsNormals, $itsEdges] = $that->directions();
        $mine = $this->corners();
        $its = $that->corners();
        foreach ([$normals, $itsNormals] as $axes) {
            foreach ($axes as $axis) {
                $least = min($least, self::along($axis, $mine, $its));
                if ($least <= $touch) {
                    return $least;
                }
            }
        }
        foreach ($edges as [$ax, $ay, $az]) {
            foreach ($itsEdges as [$bx, $by, $bz]) {
                $axis = [$ay * $bz - $az * $by, $az * $bx - $ax * $bz, $ax * $by - $ay * $bx];
                $long = sqrt($axis[0] ** 2 + $axis[1] ** 2 + $axis[2] ** 2);
                if ($long < 1e-6) {
                    continue;
                }
                $least = min($least, self::along([$axis[0] / $long, $axis[1] / $long, $axis[2] / $long], $mine, $its));
                if ($least <= $touch) {
                    return $least;
                }
            }
        }

        return $least;
    }

    /**
     * @param  array{float, float, float}  $axis
     * @param  list<array{float, float, float}>  $mine
     * @param  list<array{float, float, float}>  $its
     */
    private static function along(array $axis, array $mine, array $its): float
    {
        [$x, $y, $z] = $axis;
        [$low, $high, $from, $to] = [INF, -INF, INF, -INF];
        foreach ($mine as $p) {
            $at = $x * $p[0] + $y * $p[1] + $z * $p[2];
            $low = $at < $low ? $at : $low;
            $high = $at > $high ? $at : $high;
        }
        foreach ($its as $p) {
            $at = $x * $p[0] + $y * $p[1] + $z * $p[2];
            $from = $at < $from ? $at : $from;
            $to = $at > $to ? $at : $to;
        }

        return min($high, $to) - max($low, $from);
    }

    /** @return array{list<array{float, float, float}>, list<array{float, float, float}>} */
    private function directions(): array
    {
        if ($this->directions !== null) {
            return $this->directions;
        }
        $normals = $edges = [];
        foreach ($this->faces as $face) {
            $count = count($face);
            // Newell's sum over the ring: right also where a corner is straight.
            $n = [0.0, 0.0, 0.0];
            foreach ($face as $i => $p) {
                $q = $face[($i + 1) % $count];
                $n[0] += ($p[1] - $q[1]) * ($p[2] + $q[2]);
                $n[1] += ($p[2] - $q[2]) * ($p[0] + $q[0]);
                $n[2] += ($p[0] - $q[0]) * ($p[1] + $q[1]);
                self::keep($edges, [$q[0] - $p[0], $q[1] - $p[1], $q[2] - $p[2]]);
            }
            self::keep($normals, $n);
        }

        return $this->directions = [array_values($normals), array_values($edges)];
    }

    /**
     * Keeps a direction once, whichever way it points.
     *
     * @param  array<string, array{float, float, float}>  $kept
     * @param  array{float, float, float}  $way
     */
    private static function keep(array &$kept, array $way): void
    {
        $long = sqrt($way[0] ** 2 + $way[1] ** 2 + $way[2] ** 2);
        if ($long < 1e-6) {
            return;
        }
        $sign = abs($way[0]) > 1e-9 * $long ? $way[0] : (abs($way[1]) > 1e-9 * $long ? $way[1] : $way[2]);
        $long = $sign < 0.0 ? -$long : $long;
        $unit = [$way[0] / $long, $way[1] / $long, $way[2] / $long];
        $kept[sprintf('%.5F/%.5F/%.5F', $unit[0] + 0.0, $unit[1] + 0.0, $unit[2] + 0.0)] ??= $unit;
    }
}
