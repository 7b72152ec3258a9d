<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

use Incastro\Survey\Things\Asked;

/** Needs to know of its room what nothing else asks for. */
interface AsksOfRoom extends Holds
{
    public function asks(): Asked;
}
