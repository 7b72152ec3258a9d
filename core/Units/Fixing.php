<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** How a front is held that does not open. */
enum Fixing: string implements Choosable
{
    case Magnets = 'magnets';
    case Screws = 'screws';

    public function label(): string
    {
        return match ($this) {
            self::Magnets => 'Magnets, to be taken off',
            self::Screws => 'Screws from behind',
        };
    }
}
