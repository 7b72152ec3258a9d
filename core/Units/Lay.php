<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** Which way boards run on a wall. */
enum Lay: string implements Choosable
{
    case Upright = 'upright';
    case Level = 'level';

    public function label(): string
    {
        return match ($this) {
            self::Upright => 'Upright',
            self::Level => 'Level',
        };
    }
}
