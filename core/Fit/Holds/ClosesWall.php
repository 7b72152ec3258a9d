<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

use Incastro\Measure\Length;

/** Lies close on its wall: what comes after it stands against its face as against a wall. */
interface ClosesWall extends LiesOnSurface
{
    /** How high over its foot it closes the wall; null: all of its place. */
    public function closes(): ?Length;
}
