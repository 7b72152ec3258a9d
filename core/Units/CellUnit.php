<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Holds\HoldsCell;
use Incastro\Units\Sites\CellSite;

/** Stands in a cell that has no box. */
interface CellUnit extends HoldsCell
{
    public function build(CellSite $site): Assembly;
}
