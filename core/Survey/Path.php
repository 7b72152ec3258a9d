<?php

declare(strict_types=1);

namespace Incastro\Survey;

/**
 * What a box sweeps on its way home, seen from the side: depths from the back wall and heights above the datum, mm. Under a
 * rake its right side may be higher or lower than its left.
 */
final readonly class Path
{
    public float $topRight;

    public function __construct(public float $back, public float $front, public float $bottom, public float $top, ?float $topRight = null)
    {
        $this->topRight = $topRight ?? $top;
    }
}
