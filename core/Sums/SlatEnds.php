<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Rules\Parameters\Choosable;

/** Where the row begins and ends. */
enum SlatEnds: string implements Choosable
{
    case On = 'on';
    case Gaps = 'gaps';

    public function label(): string
    {
        return match ($this) {
            self::On => 'With a slat at each end',
            self::Gaps => 'With a gap at each end',
        };
    }
}
