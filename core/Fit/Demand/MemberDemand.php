<?php

declare(strict_types=1);

namespace Incastro\Fit\Demand;

use Incastro\Measure\Length;

/** What a member needs: how thick it is, how far it stands out over the face, and whether it is made in parts however long it is. */
final readonly class MemberDemand
{
    public function __construct(public Length $thickness, public Length $overhang, public bool $isInParts = false)
    {
    }
}
