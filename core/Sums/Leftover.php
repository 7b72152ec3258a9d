<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Rules\Parameters\Choosable;

/** Which bay takes what rounding leaves over. */
enum Leftover: string implements Choosable
{
    case Last = 'last';
    case First = 'first';
    case Middle = 'middle';

    public function label(): string
    {
        return match ($this) {
            self::Last => 'The last',
            self::First => 'The first',
            self::Middle => 'The middle',
        };
    }
}
