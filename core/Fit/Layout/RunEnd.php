<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

/** What an end of a run does where another run stands round the corner. */
enum RunEnd: string
{
    case Through = 'through';
    case Stops = 'stops';
    case Corner = 'corner';

    public function label(): string
    {
        return match ($this) {
            self::Through => 'goes through to the wall',
            self::Stops => 'stops at the other run',
            self::Corner => 'leaves a corner bay open',
        };
    }
}
