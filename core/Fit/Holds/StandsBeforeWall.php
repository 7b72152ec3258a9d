<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** Makes a wall of its own before the one that it lies on: something else may lie on that, and runs stand beside it. */
interface StandsBeforeWall extends LiesOnSurface
{
}
