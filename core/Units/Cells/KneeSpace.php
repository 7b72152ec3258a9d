<?php

declare(strict_types=1);

namespace Incastro\Units\Cells;

use Incastro\Fit\Demand\CellDemand;
use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\Standing;
use Incastro\Rules\Code;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\CellUnit;
use Incastro\Units\Sites\CellSite;

/** Room for the knees of somebody who sits, from the floor up. */
#[About('knee-space', 'Knee space', 'Free for knees, under a worktop.', 'Left free')]
final readonly class KneeSpace implements CellUnit
{
    public function standing(): Standing
    {
        return Standing::Nothing;
    }

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand
    {
        return new CellDemand(
            Extent::atLeast($rules->get(Rule::KneeWidth), 'knees need %s', Code::KneesWide),
            Extent::atLeast($rules->get(Rule::KneeHeight), 'knees need %s', Code::KneesHigh),
            Extent::atLeast($rules->get(Rule::KneeDepth), 'knees need %s', Code::KneesDeep),
            isFromFloor: true,
        );
    }

    public function build(CellSite $site): Assembly
    {
        return new Assembly([]);
    }
}
