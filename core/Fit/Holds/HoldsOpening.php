<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

use Incastro\Fit\Demand\OpeningDemand;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\WayOut;

/** Stands in an opening of a box: its cell gets a box round it. */
interface HoldsOpening extends Holds
{
    public function demand(HouseRules $rules, Catalogue $materials): OpeningDemand;

    /** The way in which it leaves the opening of a tier free; null where it cannot without being taken out. */
    public function cleared(string $tier): ?WayOut;
}
