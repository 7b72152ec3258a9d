<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** How a light strip lies under its board. */
enum LightForm: string implements Choosable
{
    case Groove = 'groove';
    case Surface = 'surface';

    public function label(): string
    {
        return match ($this) {
            self::Groove => 'Let into a groove',
            self::Surface => 'On the board, its cable in a channel',
        };
    }
}
