<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/**
 * A point of a drawing at its true place, mm with y up, and how far it is from where a straight house would have it.
 * Drawn k times as crooked it stands at (x + (k − 1)·cx, y + (k − 1)·cy).
 */
final readonly class DrawnPoint
{
    public function __construct(public float $x, public float $y, public float $cx = 0.0, public float $cy = 0.0)
    {
    }

    public function exaggerated(float $times): self
    {
        return new self($this->x + ($times - 1) * $this->cx, $this->y + ($times - 1) * $this->cy);
    }

    /** Moved on the drawing, as crooked as it was. */
    public function plus(float $dx, float $dy = 0.0): self
    {
        return new self($this->x + $dx, $this->y + $dy, $this->cx, $this->cy);
    }
}
