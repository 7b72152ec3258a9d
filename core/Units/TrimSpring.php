<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** Between the back of a crown moulding and the wall: as it is sold. */
enum TrimSpring: string implements Choosable
{
    case Steep = '38';
    case Even = '45';
    case Flat = '52';

    public function label(): string
    {
        return $this->value.'° off the wall';
    }

    public function radians(): float
    {
        return deg2rad((float) $this->value);
    }
}
