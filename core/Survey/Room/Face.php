<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

/** What lies close on a wall, as all that stands before it meets it: from and to along the wall, from foot to head, and how far out its plumb face is; mm. */
final readonly class Face
{
    public function __construct(public int $wall, public float $u0, public float $u1, public float $z0, public float $z1, public float $v)
    {
    }
}
