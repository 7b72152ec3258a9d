<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** What a cut is for, coarse to fine: of two settings that serve equally, the coarser comes first. */
enum CutClass: int
{
    case Yard = 0;
    case Breakdown = 1;
    case Straighten = 2;
    case Rip = 3;
    case Crosscut = 4;

    public function label(): string
    {
        return match ($this) {
            self::Yard => 'at the yard',
            self::Breakdown => 'break down',
            self::Straighten => 'straighten',
            self::Rip => 'rip',
            self::Crosscut => 'crosscut',
        };
    }
}
