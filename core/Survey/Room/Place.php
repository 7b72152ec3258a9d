<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

/** Where a side of a run stands at a depth and a height: u, v and z in the run's frame, mm. */
final readonly class Place
{
    public function __construct(public float $u, public float $v, public float $z)
    {
    }
}
