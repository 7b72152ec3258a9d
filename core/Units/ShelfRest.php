<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What shelves from wall to wall lie on. */
enum ShelfRest: string implements Choosable
{
    case Cleats = 'cleats';
    case Strips = 'strips';

    public function label(): string
    {
        return match ($this) {
            self::Cleats => 'Cleats at the walls',
            self::Strips => 'Pins in strips',
        };
    }
}
