<?php

declare(strict_types=1);

namespace Incastro\Survey;

/** The ceiling above an alcove: straight from its left height to its right height, mm above the datum. */
final readonly class CeilingLine
{
    public function __construct(public float $left, public float $right, private float $width, public float $sigma)
    {
    }

    public function at(float $u): float
    {
        return $this->left + ($this->right - $this->left) * $u / $this->width;
    }

    public function lowest(): float
    {
        return min($this->left, $this->right);
    }
}
