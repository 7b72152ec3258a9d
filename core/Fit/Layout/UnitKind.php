<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

/** What a cell holds. */
enum UnitKind: string
{
    case Box = 'box';
    case Open = 'open';
    case Knee = 'knee';
    case Filler = 'filler';
    case Shelves = 'shelves';

    public function label(): string
    {
        return match ($this) {
            self::Box => 'Box with shelves',
            self::Open => 'Open gap',
            self::Knee => 'Knee space',
            self::Filler => 'Filler panel',
            self::Shelves => 'Shelves on cleats',
        };
    }

    public function hint(): string
    {
        return match ($this) {
            self::Box => 'A cupboard’s carcass, carried in whole.',
            self::Open => 'Nothing is built here.',
            self::Knee => 'Free for knees, under a worktop.',
            self::Filler => 'A panel in the plane of the face closes it.',
            self::Shelves => 'Boards between the walls, on cleats, each cut to its own four corners.',
        };
    }
}
