<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/** A flat shape: the line around it, and the holes in it, which lie inside and apart from each other. Double mm. */
final readonly class Outline
{
    /** @param list<Polygon> $holes */
    public function __construct(public Polygon $outer, public array $holes = [])
    {
    }

    public static function rectangle(float $x, float $y, float $width, float $height): self
    {
        return new self(Polygon::rectangle($x, $y, $width, $height));
    }

    /** Whether it is a rectangle along x and y without a hole. */
    public function isRectangle(): bool
    {
        $points = $this->outer->points;
        if ($this->holes !== [] || count($points) !== 4) {
            return false;
        }
        foreach ($points as $i => $point) {
            if (min(abs($points[($i + 1) % 4]->x - $point->x), abs($points[($i + 1) % 4]->y - $point->y)) > 1e-7) {
                return false;
            }
        }

        return true;
    }

    /** Area in mm², holes taken off. */
    public function area(): float
    {
        return $this->outer->area() - array_sum(array_map(fn (Polygon $hole) => $hole->area(), $this->holes));
    }

    /** @return array{float, float, float, float} least and most x, least and most y */
    public function bounds(): array
    {
        return $this->outer->bounds();
    }

    /** The same with every point put elsewhere. @param \Closure(Point): Point $to */
    public function mapped(\Closure $to): self
    {
        $map = fn (Polygon $polygon) => new Polygon(array_map($to, $polygon->points));

        return new self($map($this->outer), array_map($map, $this->holes));
    }

    public function moved(float $dx, float $dy): self
    {
        return $this->mapped(fn (Point $point) => $point->plus($dx, $dy));
    }

    /** The same with no more than so many corners to each convex hole: these become a little smaller, and nothing else. */
    public function coarse(int $corners): self
    {
        $holes = array_map(function (Polygon $hole) use ($corners): Polygon {
            $step = (int) ceil(count($hole->points) / $corners);

            return $step < 2 || ! $hole->isConvex() ? $hole : new Polygon(array_values(array_filter($hole->points, fn (int $i) => $i % $step === 0, ARRAY_FILTER_USE_KEY)));
        }, $this->holes);

        return new self($this->outer, $holes);
    }

    /**
     * What is left when a shape is cut out of it: nothing, one part, or several, from the lowest x on.
     *
     * @return list<self>
     */
    public function minus(Polygon $cut): array
    {
        return (new Difference($this, $cut))->parts();
    }

    /**
     * What of it lies between two places along x.
     *
     * @return list<self>
     */
    public function between(float $from, float $to): array
    {
        [$x0, $x1, $y0, $y1] = $this->bounds();
        $parts = [$this];
        foreach ([[$x0 - 1.0, $from], [$to, $x1 + 1.0]] as [$a, $b]) {
            $next = [];
            foreach ($parts as $part) {
                array_push($next, ...($b - $a > 1.0 ? $part->minus(Polygon::rectangle($a, $y0 - 1.0, $b - $a, $y1 - $y0 + 2.0)) : [$part]));
            }
            $parts = $next;
        }

        return $parts;
    }

    /**
     * Convex shapes that together are this one, each going round anticlockwise.
     *
     * @return list<list<Point>>
     */
    public function convexParts(): array
    {
        if ($this->holes === [] && $this->outer->isConvex()) {
            return [$this->outer->signedArea() > 0.0 ? $this->outer->points : array_reverse($this->outer->points)];
        }

        return (new ConvexParts($this))->all();
    }
}
