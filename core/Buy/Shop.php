<?php

declare(strict_types=1);

namespace Incastro\Buy;

/** Where something is sold, and what it is needed for first: a trip each. */
enum Shop: string
{
    case Timber = 'timber';
    case Ironmonger = 'ironmonger';
    case Paint = 'paint';

    public function label(): string
    {
        return match ($this) {
            self::Timber => 'Timber yard',
            self::Ironmonger => 'Ironmonger',
            self::Paint => 'Paint shop',
        };
    }

    public function neededBy(): string
    {
        return match ($this) {
            self::Timber => 'cutting',
            self::Ironmonger => 'assembling',
            self::Paint => 'finishing',
        };
    }
}
