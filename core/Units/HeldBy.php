<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What holds a panel that lifts off. */
enum HeldBy: string implements Choosable
{
    case Magnets = 'magnets';
    case Buttons = 'buttons';
    case Screws = 'screws';

    public function label(): string
    {
        return match ($this) {
            self::Magnets => 'Magnets',
            self::Buttons => 'Two turn buttons and magnets',
            self::Screws => 'Screws in cups',
        };
    }
}
