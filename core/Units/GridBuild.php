<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** How the boards of a grid pass each other. */
enum GridBuild: string implements Choosable
{
    case Lap = 'lap';
    case Butt = 'butt';

    public function label(): string
    {
        return match ($this) {
            self::Lap => 'Half-lapped, slid in whole',
            self::Butt => 'Uprights between level boards',
        };
    }
}
