<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What a wall that stands before another is opened for. */
enum WallHole: string implements Choosable
{
    case None = 'none';
    case Niche = 'niche';
    case Fire = 'fire';

    public function label(): string
    {
        return match ($this) {
            self::None => 'Nothing',
            self::Niche => 'A niche',
            self::Fire => 'An electric fire',
        };
    }
}
