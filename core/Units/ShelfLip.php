<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** A strip along the front edge of a shelf. */
enum ShelfLip: string implements Choosable
{
    case None = 'none';
    case Front = 'front';
    case Under = 'under';

    public function label(): string
    {
        return match ($this) {
            self::None => 'None',
            self::Front => 'In front of the shelf',
            self::Under => 'Under it, flush in front',
        };
    }
}
