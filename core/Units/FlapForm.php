<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** How a flap that drops down lies to the board below it. */
enum FlapForm: string implements Choosable
{
    case Flush = 'flush';
    case Overlay = 'overlay';

    public function label(): string
    {
        return match ($this) {
            self::Flush => 'Level with the board below, to write on',
            self::Overlay => 'Over the front edges, as a door',
        };
    }
}
