<?php

declare(strict_types=1);

namespace Incastro\Fit\Demand;

use Incastro\Measure\Length;

/**
 * What a member needs: how thick it is, how far it stands out over the face, whether it is made in parts however long it is, and whether
 * it reaches to the walls at the ends of its run, past what closes the gaps there below it, and over how wide a gap between two boxes it goes on.
 */
final readonly class MemberDemand
{
    public function __construct(public Length $thickness, public Length $overhang, public bool $isInParts = false, public bool $reachesWalls = false, public ?Length $bridges = null)
    {
    }
}
