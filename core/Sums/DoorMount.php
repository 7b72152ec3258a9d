<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Rules\Parameters\Choosable;

/** How doors lie to their opening. */
enum DoorMount: string implements Choosable
{
    case Inset = 'inset';
    case Overlay = 'overlay';

    public function label(): string
    {
        return match ($this) {
            self::Inset => 'Inset',
            self::Overlay => 'Over its edges',
        };
    }
}
