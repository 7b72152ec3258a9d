<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** A guard along the open side of a bed, and where one gets in past it. */
enum BedGuard: string implements Choosable
{
    case None = 'none';
    case EntryLeft = 'entry-left';
    case EntryRight = 'entry-right';

    public function label(): string
    {
        return match ($this) {
            self::None => 'None',
            self::EntryLeft => 'With the way in at the left',
            self::EntryRight => 'With the way in at the right',
        };
    }
}
