<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Holds\LiesOnSurface;
use Incastro\Units\Sites\SurfaceSite;

/** Lies on a wall. */
interface SurfaceUnit extends LiesOnSurface
{
    public function build(SurfaceSite $site): Assembly;
}
