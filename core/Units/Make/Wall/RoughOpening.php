<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Wall;

/** A hole in the framing of a wall: x and z of its lower left from the wall's own, its width and height, and how far out from the wall what stands behind it reaches; mm. */
final readonly class RoughOpening
{
    public function __construct(public float $x, public float $z, public float $width, public float $height, public float $face = 0.0)
    {
    }

    public function right(): float
    {
        return $this->x + $this->width;
    }

    public function head(): float
    {
        return $this->z + $this->height;
    }

    /** Whether it reaches down to the floor, so that the foot plate stops beside it. */
    public function isFromFloor(): bool
    {
        return $this->z < 1e-6;
    }
}
