<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** A box without a bottom has a rail at the floor in its face all the same, or none. */
interface KeepsFootRail extends ChangesBox
{
    public function hasFootRail(): bool;
}
