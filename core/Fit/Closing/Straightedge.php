<?php

declare(strict_types=1);

namespace Incastro\Fit\Closing;

/**
 * Where to hold a straightedge and take offsets to a wall by rule: plumb, so far along from the wall's left end, or level at
 * a height; or where to hold a level to the ceiling, so far out from the wall and so long, mm.
 */
final readonly class Straightedge
{
    public function __construct(public int $wall, public bool $isLevel, public float $along, public float $height, public ?float $depth = null)
    {
    }
}
