<?php

declare(strict_types=1);

namespace Incastro\Fit\Demand;

use Incastro\Measure\Length;

/** What a member needs: how thick it is, and how far it stands out over the face. */
final readonly class MemberDemand
{
    public function __construct(public Length $thickness, public Length $overhang)
    {
    }
}
