<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Holds\HoldsOpening;
use Incastro\Units\Sites\OpeningSite;

/** Stands in an opening of a box, behind its face. */
interface InsideUnit extends HoldsOpening
{
    public function build(OpeningSite $site): Assembly;
}
