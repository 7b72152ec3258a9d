<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What an opening in a top looks like from above. */
enum TopShape: string implements Choosable
{
    case Round = 'round';
    case Rectangular = 'rectangular';

    public function label(): string
    {
        return match ($this) {
            self::Round => 'Round',
            self::Rectangular => 'Rectangular, its corners rounded',
        };
    }
}
