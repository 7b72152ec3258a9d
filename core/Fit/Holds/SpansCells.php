<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;

/** Spans cells of a run: Fit places the form, the unit makes the pieces. */
interface SpansCells extends Holds
{
    public function form(): MemberForm;

    public function demand(HouseRules $rules, Catalogue $materials): MemberDemand;
}
