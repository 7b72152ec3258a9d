<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Rules\Parameters\Choosable;

/** What of a circle is known. */
enum CircleBy: string implements Choosable
{
    case Chord = 'chord';
    case Points = 'points';

    public function label(): string
    {
        return match ($this) {
            self::Chord => 'A chord and its rise',
            self::Points => 'Three points',
        };
    }
}
