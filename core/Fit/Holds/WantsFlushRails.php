<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** A front for which the rails of a face frame may be no higher than the boards behind them: what lies level, or is put in from the front. */
interface WantsFlushRails extends ClosesOpenings
{
    public function hasFlushRails(): bool;
}
