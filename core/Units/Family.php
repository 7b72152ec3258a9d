<?php

declare(strict_types=1);

namespace Incastro\Units;

/** What a unit is to the furniture around it, and the folder in which its class stands. */
enum Family: string
{
    case Inside = 'inside';
    case Front = 'front';
    case Cell = 'cell';
    case Member = 'member';
    case Option = 'option';
    case Surface = 'surface';

    public function folder(): string
    {
        return match ($this) {
            self::Inside => 'Insides',
            self::Front => 'Fronts',
            self::Cell => 'Cells',
            self::Member => 'Members',
            self::Option => 'Options',
            self::Surface => 'Surfaces',
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Inside => 'Inside a box',
            self::Front => 'In front',
            self::Cell => 'Without a box',
            self::Member => 'Under, over and beside',
            self::Option => 'In the box',
            self::Surface => 'On a wall',
        };
    }
}
