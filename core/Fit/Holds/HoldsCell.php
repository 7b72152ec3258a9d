<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

use Incastro\Fit\Demand\CellDemand;
use Incastro\Fit\Demand\Standing;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;

/** Stands in a cell that has no box round it. */
interface HoldsCell extends Holds
{
    public function standing(): Standing;

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand;
}
