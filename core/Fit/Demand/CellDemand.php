<?php

declare(strict_types=1);

namespace Incastro\Fit\Demand;

/** What a unit needs of a cell without a box; its height is that of the cell itself, or counts from the floor up. */
final readonly class CellDemand
{
    public function __construct(public Extent $width, public Extent $height, public Extent $depth, public bool $isFromFloor = false)
    {
    }

    public static function none(): self
    {
        return new self(Extent::any(), Extent::any(), Extent::any());
    }
}
