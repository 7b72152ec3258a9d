<?php

declare(strict_types=1);

namespace Incastro\Survey\Things;

/** What runs in a pipe, as far as somebody knows. */
enum Carries: string
{
    case Cold = 'cold';
    case Hot = 'hot';
    case Waste = 'waste';
    case Gas = 'gas';

    public function label(): string
    {
        return match ($this) {
            self::Cold => 'Cold water',
            self::Hot => 'Hot water or heating',
            self::Waste => 'Waste water',
            self::Gas => 'Gas',
        };
    }
}
