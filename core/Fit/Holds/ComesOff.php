<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** Comes off its wall, so that what is behind it is reached. */
interface ComesOff extends LiesOnSurface
{
}
