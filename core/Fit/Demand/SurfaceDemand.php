<?php

declare(strict_types=1);

namespace Incastro\Fit\Demand;

use Incastro\Measure\Length;

/**
 * What lies on a wall asks of it: how much of it at least, how far it then stands out, how far round its place it reaches on the wall, and how far into it; a strip takes only a band of it, and
 * what is lower than its wall may begin at the floor all the same.
 */
final readonly class SurfaceDemand
{
    public function __construct(public Extent $width, public Extent $height, public Length $thickness, public ?Length $around = null, public ?Length $into = null, public ?Band $band = null, public bool $isFromFloor = false)
    {
    }
}
