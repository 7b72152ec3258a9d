<?php

declare(strict_types=1);

namespace Incastro\Fit\Demand;

use Incastro\Measure\Length;

/** What a front needs of its opening: between which sizes it is made, and how far behind the face it keeps what stands inside, and how far from the edges at the left and right what slides out past it when it is open. */
final readonly class FrontDemand
{
    public function __construct(public Extent $width, public Extent $height, public Length $behind, public ?Length $left = null, public ?Length $right = null)
    {
    }
}
