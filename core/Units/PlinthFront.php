<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What closes a plinth in front. */
enum PlinthFront: string implements Choosable
{
    case Toe = 'toe';
    case Stacked = 'stacked';

    public function label(): string
    {
        return match ($this) {
            self::Toe => 'One toe board',
            self::Stacked => 'Skirting in layers, up to the boxes',
        };
    }
}
