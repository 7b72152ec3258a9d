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

    private static function cross(Point $a, Point $b, Point $c, Point $d): bool
    {
        $side = fn (Point $p, Point $q, Point $r): float => ($q->x - $p->x) * ($r->y - $p->y) - ($q->y - $p->y) * ($r->x - $p->x);

        return $side($a, $b, $c) * $side($a, $b, $d) < 0.0 && $side($c, $d, $a) * $side($c, $d, $b) < 0.0;
    }
}
