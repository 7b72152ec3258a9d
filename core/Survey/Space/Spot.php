<?php

declare(strict_types=1);

namespace Incastro\Survey\Space;

/**
 * A place on the plan as a person finds it: so far along a wall from its left end as one faces it, and so far out from it,
 * mm.
 */
final readonly class Spot
{
    public function __construct(public int $wall, public float $along, public float $depth)
    {
    }
}
