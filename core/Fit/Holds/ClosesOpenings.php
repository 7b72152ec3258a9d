<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

use Incastro\Fit\Demand\FrontDemand;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;

/** Stands before an opening and closes it. */
interface ClosesOpenings extends Holds
{
    public function demand(HouseRules $rules, Catalogue $materials): FrontDemand;
}
