<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** How a wall that stands before another is framed. */
enum WallFrame: string implements Choosable
{
    case Auto = 'auto';
    case Battens = 'battens';
    case Plates = 'plates';

    public function label(): string
    {
        return match ($this) {
            self::Auto => 'By its depth',
            self::Battens => 'Rails on the wall, uprights on them',
            self::Plates => 'Studs between a foot and a head plate',
        };
    }
}
