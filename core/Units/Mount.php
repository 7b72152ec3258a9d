<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** How a leaf closes its opening: inside the frame, or lapping over it. */
enum Mount: string implements Choosable
{
    case Inset = 'inset';
    case Overlay = 'overlay';

    public function label(): string
    {
        return match ($this) {
            self::Inset => 'Inside the frame',
            self::Overlay => 'Over the frame',
        };
    }
}
