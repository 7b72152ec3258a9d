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

    /** Angle at this point from one to another, anticlockwise, in radians from 0 to 2π. */
    public function turn(self $from, self $to): float
    {
        $angle = atan2($to->y - $this->y, $to->x - $this->x) - atan2($from->y - $this->y, $from->x - $this->x);

        return $angle < 0 ? $angle + 2 * M_PI : $angle;
    }
}
