<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What fills the frame of a gate. */
enum GateFill: string implements Choosable
{
    case Panel = 'panel';
    case Brace = 'brace';

    public function label(): string
    {
        return match ($this) {
            self::Panel => 'A panel on its back',
            self::Brace => 'A brace, and mesh behind it',
        };
    }
}
