<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** A front that may close several openings over each other: its own, and those above it that have no front of their own. */
interface SpansOpenings extends ClosesOpenings
{
    /** How many, its own counted. */
    public function spans(): int;
}
