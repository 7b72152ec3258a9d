<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What closes a cart above. */
enum CartLid: string implements Choosable
{
    case Hinged = 'hinged';
    case LiftOff = 'lift-off';

    public function label(): string
    {
        return match ($this) {
            self::Hinged => 'Hinged, over a compartment',
            self::LiftOff => 'Lifts off, over a compartment',
        };
    }
}
