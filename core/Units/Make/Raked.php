<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

/** The upper line of an opening, level or raked: its height at the left and how much it rises for each mm to the right. */
final readonly class Raked
{
    public float $slope;

    public float $angle;

    /** @param float $left height at its left, mm */
    public function __construct(public float $left, float $right, public float $wide)
    {
        $this->slope = $wide > 0.0 ? ($right - $left) / $wide : 0.0;
        $this->angle = atan($this->slope);
    }

    public function isLevel(): bool
    {
        return abs($this->slope) < 1e-9;
    }

    public function at(float $x): float
    {
        return $this->left + $x * $this->slope;
    }

    /** The same so far off the line, measured square to it: above where that is more than nothing. */
    public function off(float $x, float $by): float
    {
        return $this->at($x) + $by / cos($this->angle);
    }
}
