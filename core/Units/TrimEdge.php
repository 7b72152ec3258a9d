<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** Which edge of furniture a strip runs round. */
enum TrimEdge: string implements Choosable
{
    case Foot = 'foot';
    case Head = 'head';

    public function label(): string
    {
        return match ($this) {
            self::Foot => 'At the floor, as a skirting',
            self::Head => 'At the head, as a cornice',
        };
    }
}
