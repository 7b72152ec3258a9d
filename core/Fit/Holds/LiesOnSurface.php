<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;

/** Lies on a wall, over all of it or a part. */
interface LiesOnSurface extends Holds
{
    public function demand(HouseRules $rules, Catalogue $materials): SurfaceDemand;
}
