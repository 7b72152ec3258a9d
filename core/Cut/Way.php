<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** How a piece may lie: its extents along the sheet's length and width, in steps of the grid. */
final readonly class Way
{
    public function __construct(public int $x, public int $y, public bool $turned)
    {
    }
}
