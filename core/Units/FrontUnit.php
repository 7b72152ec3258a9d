<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Holds\ClosesOpenings;
use Incastro\Units\Sites\OpeningSite;

/** Closes an opening of a box at its face. */
interface FrontUnit extends ClosesOpenings
{
    public function build(OpeningSite $site): Assembly;
}
