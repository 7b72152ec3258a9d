<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** The box has no back: what is behind it is seen, or goes through it. */
interface LeavesBackOut extends ChangesBox
{
    /** Whether somebody goes through: a ring in the back opening then keeps it square instead of strips. */
    public function isPassage(): bool;
}
