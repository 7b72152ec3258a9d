<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** The side at which a leaf is hinged, seen from the front. */
enum Hand: string implements Choosable
{
    case Left = 'left';
    case Right = 'right';

    public function label(): string
    {
        return ucfirst($this->value);
    }
}
