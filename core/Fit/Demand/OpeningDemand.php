<?php

declare(strict_types=1);

namespace Incastro\Fit\Demand;

/** What a unit needs of the clear opening of a box. */
final readonly class OpeningDemand
{
    public function __construct(public Extent $width, public Extent $height, public Extent $depth)
    {
    }
}
