<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** Which way a clothes rail runs. */
enum RailWay: string implements Choosable
{
    case Across = 'across';
    case Deep = 'front-to-back';

    public function label(): string
    {
        return match ($this) {
            self::Across => 'From side to side',
            self::Deep => 'From back to front, where it is shallow',
        };
    }
}
