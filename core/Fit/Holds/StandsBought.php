<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** The box is bought as it is, or was there before: none of its boards is made, and none of its edges is cut to the house. */
interface StandsBought extends ChangesBox
{
}
