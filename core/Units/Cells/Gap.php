<?php

declare(strict_types=1);

namespace Incastro\Units\Cells;

use Incastro\Fit\Demand\CellDemand;
use Incastro\Fit\Demand\Standing;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Parameters\About;
use Incastro\Units\Assembly;
use Incastro\Units\CellUnit;
use Incastro\Units\Sites\CellSite;

/** Nothing is built here. */
#[About('gap', 'Open gap', 'Nothing is built here.', 'Left free')]
final readonly class Gap implements CellUnit
{
    public function standing(): Standing
    {
        return Standing::Nothing;
    }

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand
    {
        return CellDemand::none();
    }

    public function build(CellSite $site): Assembly
    {
        return new Assembly([]);
    }
}
