<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/** A convex body by its corners and its faces, each a ring of them; double mm. Corners are bare triples: there are thousands. */
final class Convex
{
    private const SAME = 1e-7;

    /** Directions nearer to each other than this are one. */
    private const PARALLEL = 1e-5;

    /** @var array{list<array{float, float, float}>, list<array{float, float, float}>}|null directions across its faces and along its edges */
    private ?array $directions = null;

    public readonly Block $bounds;

    /**
     * @param  list<array{float, float, float}>  $corners
     * @param  list<list<int>>  $faces  each by its corners' places in that list
     * @param  bool  $isBlock  whether it fills its bounds
     */
    private function __construct(private readonly array $corners, private readonly array $faces, public readonly bool $isBlock = false)
    {
        [$x0, $x1, $y0, $y1, $z0, $z1] = [INF, -INF, INF, -INF, INF, -INF];
        foreach ($corners as [$x, $y, $z]) {
            $x0 = $x < $x0 ? $x : $x0;
            $x1 = $x > $x1 ? $x : $x1;
            $y0 = $y < $y0 ? $y : $y0;
            $y1 = $y > $y1 ? $y : $y1;
            $z0 = $z < $z0 ? $z : $z0;
            $z1 = $z > $z1 ? $z : $z1;
        }
        $this->bounds = new Block($x0, $x1, $y0, $y1, $z0, $z1);
    }

    /**
     * A convex outline drawn out through the thickness of a piece.
     *
     * @param  list<Point>  $outline
     */
    public static function plate(array $outline, float $thickness, Pose $pose): self
    {
        $near = $far = $sides = [];
        $count = count($outline);
        $isBlock = $count === 4 && $pose->isSquare();
        foreach ($outline as $i => $point) {
            $place = $pose->place($point, 0.0);
            $near[] = [$place->x, $place->y, $place->z];
            $far[] = [$place->x + $thickness * $pose->thickness->x, $place->y + $thickness * $pose->thickness->y, $place->z + $thickness * $pose->thickness->z];
            $next = ($i + 1) % $count;
            $sides[] = [$i, $next, $count + $next, $count + $i];
            $isBlock = $isBlock && min(abs($outline[$next]->x - $point->x), abs($outline[$next]->y - $point->y)) < self::SAME;
        }

        return new self([...$near, ...$far], [range(0, $count - 1), range($count, 2 * $count - 1), ...$sides], $isBlock);
    }

    /** @return list<array{float, float, float}> */
    public function corners(): array
    {
        return $this->corners;
    }

    /** What of it lies on the inner side of a plane, which is n·p ≤ d; null where nothing does. */
    public function cut(Vector $normal, float $distance): ?self
    {
        $off = array_map(fn (array $p): float => $normal->x * $p[0] + $normal->y * $p[1] + $normal->z * $p[2] - $distance, $this->corners);
        /** @var list<array{float, float, float}> $corners */
        $corners = [];
        $faces = $rim = $at = [];
        // A corner of what is left, once: one of its own by its place, one on an edge by the places of that edge's ends.
        $place = function (string $key, float $x, float $y, float $z) use (&$corners, &$at): int {
            if (! isset($at[$key])) {
                $at[$key] = count($corners);
                $corners[] = [$x, $y, $z];
            }

            return $at[$key];
        };
        foreach ($this->faces as $face) {
            $kept = [];
            foreach ($face as $k => $i) {
                $j = $face[($k + 1) % count($face)];
                [$p, $q, $a, $b] = [$this->corners[$i], $this->corners[$j], $off[$i], $off[$j]];
                if ($a <= self::SAME) {
                    $kept[] = $place("$i", ...$p);
                }
                if (($a < -self::SAME && $b > self::SAME) || ($a > self::SAME && $b < -self::SAME)) {
                    $share = $a / ($a - $b);
                    $kept[] = $rim[] = $place(min($i, $j).'-'.max($i, $j), $p[0] + $share * ($q[0] - $p[0]), $p[1] + $share * ($q[1] - $p[1]), $p[2] + $share * ($q[2] - $p[2]));
                } elseif (abs($a) <= self::SAME) {
                    $rim[] = $place("$i", ...$p);
                }
            }
            if (count($kept) > 2) {
                $faces[] = $kept;
            }
        }
        if (count($faces) < 3) {
            return null;
        }
        $cap = self::ring($corners, array_values(array_unique($rim)), $normal);

        return new self($corners, $cap === null ? $faces : [...$faces, $cap]);
    }

    /**
     * Corners that lie in a plane, in order round their middle.
     *
     * @param  list<array{float, float, float}>  $corners
     * @param  list<int>  $rim
     * @return list<int>|null null where they make no face
     */
    private static function ring(array $corners, array $rim, Vector $normal): ?array
    {
        $count = count($rim);
        if ($count < 3) {
            return null;
        }
        $middle = new Vector(0.0, 0.0, 0.0);
        foreach ($rim as $i) {
            $middle = $middle->plus((new Vector(...$corners[$i]))->times(1.0 / $count));
        }
        $some = abs($normal->x) < 0.9 * $normal->length() ? new Vector(1.0, 0.0, 0.0) : new Vector(0.0, 1.0, 0.0);
        $e = $normal->cross($some);
        $f = $normal->cross($e);
        $ring = [];
        foreach ($rim as $i) {
            $from = (new Vector(...$corners[$i]))->minus($middle);
            if ($from->length() > self::SAME) {
                $ring[sprintf('%.9F', atan2($from->dot($f), $from->dot($e)))] = $i;
            }
        }
        ksort($ring, SORT_NUMERIC);

        return count($ring) > 2 ? array_values($ring) : null;
    }

    /** How deep a place lies inside, mm: to the nearest of its faces; less than 0 outside. */
    public function holds(float $x, float $y, float $z): float
    {
        $corners = $this->corners;
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
            foreach ($face as $k => $i) {
                $edges[] = [$this->corners[$i], $this->corners[$face[($k + 1) % count($face)]]];
            }
        }

        return $edges;
    }

    /** The same put elsewhere. @param \Closure(array{float, float, float}): array{float, float, float} $to */
    public function mapped(\Closure $to): self
    {
        return new self(array_map($to, $this->corners), $this->faces);
    }

    /**
     * What two bodies share, measured along the direction in which that is least (separating axes: across every face, and
     * across every edge of one and of the other). Looking ends where it is no more than a touch; less than 0 where they are
     * apart.
     */
    public function overlap(self $that, float $touch = 0.0): float
    {
        $least = min($this->bounds->overlap($that->bounds));
        if ($least <= $touch || ($this->isBlock && $that->isBlock)) {
            return $least;
        }
        [$normals, $edges] = $this->directions();
        [$itsNormals, $itsEdges] = $that->directions();
        [$mine, $its] = [$this->corners, $that->corners];
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
            [$nx, $ny, $nz] = [0.0, 0.0, 0.0];
            foreach ($face as $k => $i) {
                [$p, $q] = [$this->corners[$i], $this->corners[$face[($k + 1) % $count]]];
                $nx += ($p[1] - $q[1]) * ($p[2] + $q[2]);
                $ny += ($p[2] - $q[2]) * ($p[0] + $q[0]);
                $nz += ($p[0] - $q[0]) * ($p[1] + $q[1]);
                self::keep($edges, $q[0] - $p[0], $q[1] - $p[1], $q[2] - $p[2]);
            }
            self::keep($normals, $nx, $ny, $nz);
        }

        return $this->directions = [$normals, $edges];
    }

    /**
     * Keeps a direction once, whichever way it points.
     *
     * @param  list<array{float, float, float}>  $kept
     */
    private static function keep(array &$kept, float $x, float $y, float $z): void
    {
        $long = sqrt($x * $x + $y * $y + $z * $z);
        if ($long < 1e-6) {
            return;
        }
        [$x, $y, $z] = [$x / $long, $y / $long, $z / $long];
        foreach ($kept as [$a, $b, $c]) {
            if (abs($y * $c - $z * $b) < self::PARALLEL && abs($z * $a - $x * $c) < self::PARALLEL && abs($x * $b - $y * $a) < self::PARALLEL) {
                return;
            }
        }
        $kept[] = [$x, $y, $z];
    }
}
