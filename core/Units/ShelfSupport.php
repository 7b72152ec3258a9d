<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What shelves that move lie on. */
enum ShelfSupport: string implements Choosable
{
    case Pins = 'pins';
    case Cleats = 'cleats';
    case Sawtooth = 'sawtooth';

    public function label(): string
    {
        return match ($this) {
            self::Pins => 'Pins in rows of holes',
            self::Cleats => 'Cleats screwed to the sides',
            self::Sawtooth => 'Bars between notched battens',
        };
    }
}
