<?php

declare(strict_types=1);

namespace Incastro\Units;

/** What a unit is to the furniture around it, and the folder in which its class stands. */
enum Family: string
{
    case Inside = 'inside';
    case Cell = 'cell';
    case Member = 'member';

    public function folder(): string
    {
        return match ($this) {
            self::Inside => 'Insides',
            self::Cell => 'Cells',
            self::Member => 'Members',
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Inside => 'Inside a box',
            self::Cell => 'Without a box',
            self::Member => 'Under, over and beside',
        };
    }

    public static function of(string $class): self
    {
        return match (true) {
            is_a($class, InsideUnit::class, true) => self::Inside,
            is_a($class, MemberUnit::class, true) => self::Member,
            default => self::Cell,
        };
    }
}
