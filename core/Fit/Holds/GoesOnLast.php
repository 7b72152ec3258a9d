<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** Goes on its wall when furniture stands: trim, and what hangs beside it. */
interface GoesOnLast extends LiesOnSurface
{
}
