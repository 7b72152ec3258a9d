<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** The box has no bottom: it stands open on what is below it. */
interface LeavesBottomOut extends ChangesBox
{
    /** Whether a strip at its foot behind keeps its sides apart. */
    public function hasStrip(): bool;
}
