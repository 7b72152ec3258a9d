<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** The side at which a leaf is hinged, seen from the front; by itself at the higher side under a rake, else at the left. */
enum Hand: string implements Choosable
{
    case Either = 'either';
    case Left = 'left';
    case Right = 'right';

    public function label(): string
    {
        return match ($this) {
            self::Either => 'worked out here',
            self::Left => 'Left',
            self::Right => 'Right',
        };
    }

    public function other(): self
    {
        return $this === self::Left ? self::Right : self::Left;
    }
}
