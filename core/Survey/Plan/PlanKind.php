<?php

declare(strict_types=1);

namespace Incastro\Survey\Plan;

/** What a reading of a plan was taken between. */
enum PlanKind: string
{
    case Side = 'side';
    case Diagonal = 'diagonal';
    case Tie = 'tie';
    case Corner = 'corner';
    case ThreeFourFive = 'three_four_five';
    case Offset = 'offset';

    public function isDistance(): bool
    {
        return $this === self::Side || $this === self::Diagonal || $this === self::Tie;
    }
}
