<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Rules\Parameters\Choosable;

/** What of a slope is known. */
enum SlopeBy: string implements Choosable
{
    case Run = 'run';
    case Angle = 'angle';
    case Twelve = 'twelve';

    public function label(): string
    {
        return match ($this) {
            self::Run => 'Rise and run',
            self::Angle => 'Its angle, and the run',
            self::Twelve => 'Rise in 12, and the run',
        };
    }
}
