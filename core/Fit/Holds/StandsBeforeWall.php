<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** Stands before the wall that it lies on, from the floor: runs begin and end beside it. */
interface StandsBeforeWall extends LiesOnSurface
{
    /** Whether something else may lie on its face. */
    public function carries(): bool;
}
