<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;

/** A line through points, open or closed. */
final readonly class Outline extends Shape
{
    /** @param list<DrawnPoint> $points */
    public function __construct(private array $points, public bool $closed, Style $style, string $ref = '')
    {
        parent::__construct($style, $ref);
    }

    public static function rectangle(float $x, float $y, float $width, float $height, Style $style, string $ref = ''): self
    {
        return self::polygon(Polygon::rectangle($x, $y, $width, $height), $style, $ref);
    }

    public static function polygon(Polygon $polygon, Style $style, string $ref = ''): self
    {
        return new self(array_map(fn (Point $point) => new DrawnPoint($point->x, $point->y), $polygon->points), true, $style, $ref);
    }

    public function accept(ShapeVisitor $visitor): mixed
    {
        return $visitor->outline($this);
    }

    public function moved(float $dx, float $dy): self
    {
        return new self(array_map(fn (DrawnPoint $point) => $point->plus($dx, $dy), $this->points), $this->closed, $this->style, $this->ref);
    }

    public function points(): array
    {
        return $this->points;
    }
}
