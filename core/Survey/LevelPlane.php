<?php

declare(strict_types=1);

namespace Incastro\Survey;

/** The floor as a plane whose highest point in the alcove is the datum, z = 0. Slopes are rises per mm. */
final readonly class LevelPlane
{
    public function __construct(
        private float $slopeAcross,
        private float $slopeDepth,
        private float $width,
        private float $depth,
        public float $sigma,
    ) {
    }

    /** Height in mm of the floor at u from the left wall and v from the back wall: 0 or less. */
    public function at(float $u, float $v): float
    {
        return $this->slopeAcross * $u + $this->slopeDepth * $v
            - max(0.0, $this->slopeAcross * $this->width) - max(0.0, $this->slopeDepth * $this->depth);
    }

    /** The whole fall in mm from the highest to the lowest corner. */
    public function fall(): float
    {
        return abs($this->slopeAcross * $this->width) + abs($this->slopeDepth * $this->depth);
    }
}
