<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** A stretcher in front and a nailer behind stand for the top of the box: what lies over it closes it. */
interface LeavesTopOut extends ChangesBox
{
}
