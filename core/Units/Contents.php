<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What something is filled with, and so what it carries. */
enum Contents: string implements Choosable
{
    case Cleaning = 'cleaning';
    case Toys = 'toys';
    case Coats = 'coats';
    case Pantry = 'pantry';
    case Books = 'books';

    public function label(): string
    {
        return match ($this) {
            self::Cleaning => 'Brooms and buckets',
            self::Toys => 'Toys',
            self::Coats => 'Coats',
            self::Pantry => 'Jars and tins',
            self::Books => 'Books',
        };
    }

    /** Weight of a cubic metre of it as it stands on shelves, kg. */
    public function density(): float
    {
        return match ($this) {
            self::Toys, self::Coats => 100.0,
            self::Cleaning => 150.0,
            self::Pantry => 300.0,
            self::Books => 450.0,
        };
    }
}
