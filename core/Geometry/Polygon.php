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
}
