<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

use Incastro\Measure\Length;
use Incastro\Rules\HouseRules;

/** The box stands at the front of its run, and what is behind it stays free. */
interface StandsForward extends ChangesBox
{
    /** How deep it is where nothing is chosen. */
    public function usualDepth(HouseRules $rules): Length;
}
