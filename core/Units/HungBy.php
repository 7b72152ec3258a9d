<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** By what a box hangs on its wall. */
enum HungBy: string implements Choosable
{
    case Nailer = 'nailer';
    case Cleat = 'cleat';
    case Anchors = 'anchors';

    public function label(): string
    {
        return match ($this) {
            self::Nailer => 'Screws through its strips into studs',
            self::Cleat => 'Two bevelled cleats that hook together',
            self::Anchors => 'Anchors in the wall alone',
        };
    }
}
