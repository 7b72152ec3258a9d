<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** How what is over cabinets is closed. */
enum InfillForm: string implements Choosable
{
    case Panel = 'panel';
    case Niche = 'niche';

    public function label(): string
    {
        return match ($this) {
            self::Panel => 'By a panel in the plane of the faces',
            self::Niche => 'It stays open: a niche under the slope',
        };
    }
}
