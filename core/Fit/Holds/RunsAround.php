<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** Runs round the boxes of bays: along the feet of the lowest, or along the heads of the highest. */
interface RunsAround extends SpansCells
{
    public function isAtHead(): bool;
}
