<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What sliding leaves run in. */
enum Channel: string implements Choosable
{
    case Groove = 'groove';
    case Strips = 'strips';

    public function label(): string
    {
        return match ($this) {
            self::Groove => 'Grooves in the boards',
            self::Strips => 'Strips nailed on',
        };
    }
}
