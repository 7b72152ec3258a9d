<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/**
 * A convex body by its corners and its faces, each a ring of them; double mm. Corners are bare triples: there are thousands.
 * Most are plates, a section drawn out square to itself, of which more is known than faces tell.
 */
final class Convex
{
    private const SAME = 1e-7;

    /** Directions nearer to each other than this are one. */
    private const PARALLEL = 1e-5;

    /** @var array{list<array{float, float, float}>, list<array{float, float, float}>}|null directions across its faces and along its edges */
    private ?array $directions = null;

    public readonly Block $bounds;

    /** Whether it fills its bounds. */
    public readonly bool $isBlock;

    /**
     * @param  list<array{float, float, float}>|null  $corners  of a block they follow from it, when somebody asks
     * @param  list<list<int>>  $faces  each by its corners' places in that list
     * @param  int  $section  of a plate, how many corners its section has: they come first, then as many across from them
     * @param  Block|null  $block  which it fills
     */
    private function __construct(private ?array $corners, public readonly array $faces, private readonly int $section = 0, ?Block $block = null)
    {
        $this->isBlock = $block !== null;
        if ($block !== null) {
            $this->bounds = $block;

            return;
        }
        [$x0, $x1, $y0, $y1, $z0, $z1] = [INF, -INF, INF, -INF, INF, -INF];
        foreach ($corners ?? [] as [$x, $y, $z]) {
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
        [$at, $l, $w, $t] = [$pose->at, $pose->length, $pose->width, $pose->thickness];
        [$dx, $dy, $dz] = [$thickness * $t->x, $thickness * $t->y, $thickness * $t->z];
        $near = $far = [];
        foreach ($outline as $point) {
            $near[] = $p = [$at->x + $point->x * $l->x + $point->y * $w->x, $at->y + $point->x * $l->y + $point->y * $w->y, $at->z + $point->x * $l->z + $point->y * $w->z];
            $far[] = [$p[0] + $dx, $p[1] + $dy, $p[2] + $dz];
        }
        $count = count($outline);

        return new self([...$near, ...$far], self::facesOfPlate($count), $thickness > self::SAME ? $count : 0);
    }

    public static function block(Block $block): self
    {
        return new self(null, self::facesOfPlate(4), $block->z1 - $block->z0 > self::SAME ? 4 : 0, $block);
    }

    /** @return list<list<int>> */
    private static function facesOfPlate(int $count): array
    {
        static $known = [];
        if (! isset($known[$count])) {
            $faces = [range(0, $count - 1), range($count, 2 * $count - 1)];
            for ($i = 0; $i < $count; $i++) {
                $next = ($i + 1) % $count;
                $faces[] = [$i, $next, $count + $next, $count + $i];
            }
            $known[$count] = $faces;
        }

        return $known[$count];
    }

    /** @return list<array{float, float, float}> */
    public function corners(): array
    {
        if ($this->corners === null) {
            [$u0, $u1, $v0, $v1, $z0, $z1] = [$this->bounds->u0, $this->bounds->u1, $this->bounds->v0, $this->bounds->v1, $this->bounds->z0, $this->bounds->z1];
            $this->corners = [[$u0, $v0, $z0], [$u1, $v0, $z0], [$u1, $v1, $z0], [$u0, $v1, $z0], [$u0, $v0, $z1], [$u1, $v0, $z1], [$u1, $v1, $z1], [$u0, $v1, $z1]];
        }

        return $this->corners;
    }

    /** What of it lies on the inner side of a plane, which is n·p ≤ d; null where nothing does. */
    public function cut(Vector $normal, float $distance): ?self
    {
        $all = $this->corners();
        $off = array_map(fn (array $p): float => $normal->x * $p[0] + $normal->y * $p[1] + $normal->z * $p[2] - $distance, $all);
        if (max(-INF, ...$off) <= self::SAME) {
            return $this;
        }
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
                [$p, $q, $a, $b] = [$all[$i], $all[$j], $off[$i], $off[$j]];
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
            foreach ($face as $k => $i) {
                $edges[] = [$this->corners()[$i], $this->corners()[$face[($k + 1) % count($face)]]];
            }
        }

        return $edges;
    }

    /** The same put elsewhere by a turn and a move. @param \Closure(array{float, float, float}): array{float, float, float} $to */
    public function mapped(\Closure $to): self
    {
        return new self(array_map($to, $this->corners()), $this->faces, $this->section);
    }

    /** The same with its corners put elsewhere, whatever becomes of its faces. @param \Closure(array{float, float, float}): array{float, float, float} $to */
    public function bent(\Closure $to): self
    {
        return new self(array_map($to, $this->corners()), $this->faces);
    }

    /**
     * What two bodies share, measured along the direction in which that is least (separating axes: across every face, and
     * across every edge of one and of the other; faces alone where both are drawn out along one direction). Looking ends where
     * it is no more than a touch; less than 0 where they are apart.
     */
    public function overlap(self $that, float $touch = 0.0): float
    {
        $least = $this->bounds->depth($that->bounds);
        if ($least <= $touch || ($this->isBlock && $that->isBlock)) {
            return $least;
        }
        [$normals, $edges] = $this->directions();
        [$itsNormals, $itsEdges] = $that->directions();
        [$mine, $its] = [$this->corners(), $that->corners()];
        foreach ([$normals, $itsNormals] as $axes) {
            foreach ($axes as $axis) {
                if (self::isToldByBounds(...$axis)) {
                    continue;
                }
                $least = min($least, self::along($axis, $mine, $its));
                if ($least <= $touch) {
                    return $least;
                }
            }
        }
        if ($this->isDrawnOutAs($that)) {
            return $least;
        }
        foreach ($edges as [$ax, $ay, $az]) {
            foreach ($itsEdges as [$bx, $by, $bz]) {
                $axis = [$ay * $bz - $az * $by, $az * $bx - $ax * $bz, $ax * $by - $ay * $bx];
                $long = sqrt($axis[0] ** 2 + $axis[1] ** 2 + $axis[2] ** 2);
                if ($long < 1e-6) {
                    continue;
                }
                $axis = [$axis[0] / $long, $axis[1] / $long, $axis[2] / $long];
                if (self::isToldByBounds(...$axis)) {
                    continue;
                }
                $least = min($least, self::along($axis, $mine, $its));
                if ($least <= $touch) {
                    return $least;
                }
            }
        }

        return $least;
    }

    /** Whether a direction is u, v or z. */
    private static function isToldByBounds(float $x, float $y, float $z): bool
    {
        return abs($x) + abs($y) + abs($z) < 1.0 + 1e-9;
    }

    /** Whether both are drawn out along one direction. */
    private function isDrawnOutAs(self $that): bool
    {
        foreach ($this->ways() as [$x, $y, $z]) {
            foreach ($that->ways() as [$a, $b, $c]) {
                if (abs($x * $a + $y * $b + $z * $c) > 1.0 - self::PARALLEL ** 2) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<array{float, float, float}> directions along which it is drawn out: one of a plate, all three of a cuboid */
    private function ways(): array
    {
        if ($this->section === 0) {
            return [];
        }
        [$normals, $edges] = $this->directions();
        $isCuboid = $this->section === 4 && count($edges) === 3 && abs($edges[1][0] * $edges[2][0] + $edges[1][1] * $edges[2][1] + $edges[1][2] * $edges[2][2]) < self::PARALLEL;

        return $isCuboid ? $edges : [$normals[0]];
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
        return $this->directions ??= $this->section > 0 ? $this->ofPlate() : $this->ofFaces();
    }

    /** @return array{list<array{float, float, float}>, list<array{float, float, float}>} first of both the direction in which it is drawn out */
    private function ofPlate(): array
    {
        [$p, $q] = [$this->corners()[0], $this->corners()[$this->section]];
        $normals = $edges = [];
        self::keep($edges, $q[0] - $p[0], $q[1] - $p[1], $q[2] - $p[2]);
        for ($i = 0; $i < $this->section; $i++) {
            [$p, $q] = [$this->corners()[$i], $this->corners()[($i + 1) % $this->section]];
            self::keep($edges, $q[0] - $p[0], $q[1] - $p[1], $q[2] - $p[2]);
        }
        [$x, $y, $z] = $edges[0];
        foreach ($edges as $k => [$a, $b, $c]) {
            $normals[] = $k === 0 ? $edges[0] : [$y * $c - $z * $b, $z * $a - $x * $c, $x * $b - $y * $a];
        }

        return [$normals, $edges];
    }

    /** @return array{list<array{float, float, float}>, list<array{float, float, float}>} */
    private function ofFaces(): array
    {
        $normals = $edges = [];
        foreach ($this->faces as $face) {
            $count = count($face);
            // Newell's sum over the ring: right also where a corner is straight.
            [$nx, $ny, $nz] = [0.0, 0.0, 0.0];
            foreach ($face as $k => $i) {
                [$p, $q] = [$this->corners()[$i], $this->corners()[$face[($k + 1) % $count]]];
                $nx += ($p[1] - $q[1]) * ($p[2] + $q[2]);
                $ny += ($p[2] - $q[2]) * ($p[0] + $q[0]);
                $nz += ($p[0] - $q[0]) * ($p[1] + $q[1]);
                self::keep($edges, $q[0] - $p[0], $q[1] - $p[1], $q[2] - $p[2]);
            }
            self::keep($normals, $nx, $ny, $nz);
        }

        return [$normals, $edges];
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
