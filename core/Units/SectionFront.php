<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What closes the sections of a framed opening. */
enum SectionFront: string implements Choosable
{
    case None = 'none';
    case Doors = 'doors';
    case Panels = 'panels';

    public function label(): string
    {
        return match ($this) {
            self::None => 'Nothing',
            self::Doors => 'Doors, hinged at their higher side',
            self::Panels => 'Panels that lift off',
        };
    }
}
