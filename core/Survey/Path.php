<?php

declare(strict_types=1);

namespace Incastro\Survey;

/** What a box sweeps on its way home, seen from the side: depths from the back wall and heights above the datum, mm. */
final readonly class Path
{
    public function __construct(public float $back, public float $front, public float $bottom, public float $top)
    {
    }
}
