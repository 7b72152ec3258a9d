<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** On what a pull-out runs. */
enum PullOutRun: string implements Choosable
{
    case Slides = 'slides';
    case Castor = 'castor';

    public function label(): string
    {
        return match ($this) {
            self::Slides => 'Slides at its sides',
            self::Castor => 'Castors, on the floor',
        };
    }
}
