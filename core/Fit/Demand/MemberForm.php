<?php

declare(strict_types=1);

namespace Incastro\Fit\Demand;

/** How a member lies to the cells that it spans: under bays, over tiers, beside the outer bay of a run, or round the boxes of tiers. */
enum MemberForm: string
{
    case Under = 'under';
    case Over = 'over';
    case Beside = 'beside';
    case Around = 'around';
}
