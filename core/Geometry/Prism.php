<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/**
 * A straight prism along one axis: a convex or notched profile in the other two, from one place to another. Boards, panels
 * and whole boxes are such. The points of the profile are in the order of `Axis::across`: (v, z), (u, z) or (u, v).
 */
final readonly class Prism
{
    /** @param list<Point> $profile of at least three */
    public function __construct(public Axis $axis, public array $profile, public float $from, public float $to)
    {
    }

    public static function block(float $u, float $v, float $z, float $alongU, float $alongV, float $alongZ): self
    {
        return new self(Axis::V, Polygon::rectangle($u, $z, $alongU, $alongZ)->points, $v, $v + $alongV);
    }

    /**
     * Its corners as [u, v, z], those at `from` first.
     *
     * @return list<array{float, float, float}>
     */
    public function corners(): array
    {
        $corners = [];
        foreach ([$this->from, $this->to] as $at) {
            foreach ($this->profile as $point) {
                $corners[] = $this->corner($point, $at);
            }
        }

        return $corners;
    }

    /** @return array{float, float, float} u, v, z of a point of the profile at a place along the axis */
    public function corner(Point $point, float $at): array
    {
        return match ($this->axis) {
            Axis::U => [$at, $point->x, $point->y],
            Axis::V => [$point->x, $at, $point->y],
            Axis::Z => [$point->x, $point->y, $at],
        };
    }

    public function bounds(): Block
    {
        [$x0, $x1] = $this->range(true);
        [$y0, $y1] = $this->range(false);

        return match ($this->axis) {
            Axis::U => new Block($this->from, $this->to, $x0, $x1, $y0, $y1),
            Axis::V => new Block($x0, $x1, $this->from, $this->to, $y0, $y1),
            Axis::Z => new Block($x0, $x1, $y0, $y1, $this->from, $this->to),
        };
    }

    /**
     * What one sees of it along an axis: its outline in the other two.
     *
     * @return list<Point>
     */
    public function outline(Axis $along): array
    {
        return $along === $this->axis ? $this->profile : $this->rectangles($along, null)[0] ?? [];
    }

    /**
     * Where a plane across an axis cuts it: outlines in the other two axes; none where it does not reach.
     *
     * @return list<list<Point>>
     */
    public function section(Axis $along, float $at): array
    {
        if ($along === $this->axis) {
            return $at >= $this->from && $at <= $this->to ? [$this->profile] : [];
        }

        return $this->rectangles($along, $at);
    }

    /** @return list<list<Point>> the profile seen from its side, or cut there, drawn out along the prism's axis */
    private function rectangles(Axis $along, ?float $at): array
    {
        // The axis of the profile that stays visible, and the one that is looked along.
        $looksAlongX = $this->axis->across()[0] === $along;
        $spans = $at === null
            ? [$this->range(! $looksAlongX)]
            : $this->cuts($looksAlongX, $at);
        $axisFirst = $along->across()[0] === $this->axis;

        return array_map(fn (array $span) => $axisFirst
            ? Polygon::rectangle($this->from, $span[0], $this->to - $this->from, $span[1] - $span[0])->points
            : Polygon::rectangle($span[0], $this->from, $span[1] - $span[0], $this->to - $this->from)->points, $spans);
    }

    /** @return array{float, float} the least and the most of its profile's x, or y */
    private function range(bool $ofX): array
    {
        [$least, $most] = [INF, -INF];
        foreach ($this->profile as $point) {
            $value = $ofX ? $point->x : $point->y;
            [$least, $most] = [min($least, $value), max($most, $value)];
        }

        return [$least, $most];
    }

    /**
     * Where a line across the profile runs inside it.
     *
     * @return list<array{float, float}>
     */
    private function cuts(bool $lineAtX, float $at): array
    {
        $crossings = [];
        foreach ($this->profile as $i => $a) {
            $b = $this->profile[($i + 1) % count($this->profile)];
            [$p, $q, $pOther, $qOther] = $lineAtX ? [$a->x, $b->x, $a->y, $b->y] : [$a->y, $b->y, $a->x, $b->x];
            if (($p > $at) !== ($q > $at)) {
                $crossings[] = $pOther + ($at - $p) / ($q - $p) * ($qOther - $pOther);
            }
        }
        sort($crossings);
        $spans = [];
        for ($i = 0; $i + 1 < count($crossings); $i += 2) {
            $spans[] = [$crossings[$i], $crossings[$i + 1]];
        }

        return $spans;
    }
}
