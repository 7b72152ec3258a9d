<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

use Incastro\Measure\Length;
use Incastro\Rules\Materials\Catalogue;

/** Takes so much of an opening's depth before its back: what stands inside begins in front of that. */
interface TakesBack
{
    public function takes(Catalogue $materials): Length;
}
