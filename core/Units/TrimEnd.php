<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** How a strip along a wall ends. */
enum TrimEnd: string implements Choosable
{
    case Through = 'through';
    case Coped = 'coped';
    case Mitred = 'mitred';
    case Square = 'square';
    case Returned = 'returned';

    public function label(): string
    {
        return match ($this) {
            self::Through => 'Runs into the corner',
            self::Coped => 'Coped over the other',
            self::Mitred => 'Mitred at the corner',
            self::Square => 'Square, against a casing or a box',
            self::Returned => 'Returned to the wall',
        };
    }

    /** What is done to the end, in words. */
    public function words(): string
    {
        return match ($this) {
            self::Through => 'runs into the corner',
            self::Coped => 'cut as an inside mitre, then sawn back along its profile, undercut 5°; over 1 m or 40 in cut 1 mm or 1/32 in longer and sprung in',
            self::Mitred => 'mitred',
            self::Square => 'square',
            self::Returned => 'mitred, and returned to the wall with a wedge that is glued, never nailed; it is cut off a piece of at least 300 mm or 12 in',
        };
    }
}
