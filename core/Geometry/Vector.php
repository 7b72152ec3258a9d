<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/** A place or a direction in space, in double millimetres; in the frame of a run x is u, y is v. */
final readonly class Vector
{
    public function __construct(public float $x, public float $y, public float $z)
    {
    }

    public function plus(self $that): self
    {
        return new self($this->x + $that->x, $this->y + $that->y, $this->z + $that->z);
    }

    public function minus(self $that): self
    {
        return new self($this->x - $that->x, $this->y - $that->y, $this->z - $that->z);
    }

    public function times(float $by): self
    {
        return new self($this->x * $by, $this->y * $by, $this->z * $by);
    }

    public function dot(self $that): float
    {
        return $this->x * $that->x + $this->y * $that->y + $this->z * $that->z;
    }

    public function cross(self $that): self
    {
        return new self(
            $this->y * $that->z - $this->z * $that->y,
            $this->z * $that->x - $this->x * $that->z,
            $this->x * $that->y - $this->y * $that->x,
        );
    }

    public function length(): float
    {
        return sqrt($this->dot($this));
    }
}
