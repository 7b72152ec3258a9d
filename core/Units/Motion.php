<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Geometry\Vector;

/**
 * How something moves when it is used, in the run's frame: drawn along a way, or turned about a line through a point, from one
 * direction towards another that is square to it. `by` is how far in mm, or by what angle in rad.
 */
final readonly class Motion
{
    private function __construct(public bool $isTurn, public Vector $at, public Vector $from, public Vector $to, public float $by)
    {
    }

    public static function slide(Vector $way, float $by): self
    {
        return new self(false, new Vector(0.0, 0.0, 0.0), $way, $way, $by);
    }

    public static function turn(Vector $at, Vector $from, Vector $to, float $by): self
    {
        return new self(true, $at, $from, $to, $by);
    }
}
