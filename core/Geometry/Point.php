<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/** A point in a plane, in double millimetres. */
final readonly class Point
{
    public function __construct(public float $x, public float $y)
    {
    }

    public function plus(float $dx, float $dy): self
    {
        return new self($this->x + $dx, $this->y + $dy);
    }

    public function distanceTo(self $other): float
    {
        return hypot($other->x - $this->x, $other->y - $this->y);
    }
}
