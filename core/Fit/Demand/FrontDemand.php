<?php

declare(strict_types=1);

namespace Incastro\Fit\Demand;

use Incastro\Measure\Length;

/** What a front needs of its opening: between which sizes it is made, and how far behind the face it keeps what stands inside. */
final readonly class FrontDemand
{
    public function __construct(public Extent $width, public Extent $height, public Length $behind)
    {
    }
}
