<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

use Incastro\Measure\Length;
use Incastro\Rules\Materials\Catalogue;

/** The box hangs on its wall, by its back or by what is fixed behind that. */
interface HangsOnWall extends ChangesBox
{
    /** How far its back is let in, so that what it hangs on lies behind it. */
    public function letsIn(Catalogue $materials): Length;
}
