<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What hangs on a rail. */
enum Hang: string implements Choosable
{
    case Short = 'short';
    case Long = 'long';
    case Double = 'double';

    public function label(): string
    {
        return match ($this) {
            self::Short => 'Shirts and jackets',
            self::Long => 'Coats and dresses',
            self::Double => 'Two rails over each other',
        };
    }
}
