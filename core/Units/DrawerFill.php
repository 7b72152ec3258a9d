<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What a drawer is filled with, and so what it carries. */
enum DrawerFill: string implements Choosable
{
    case Stated = 'stated';
    case Clothes = 'clothes';
    case Toys = 'toys';
    case Kitchen = 'kitchen';
    case Paper = 'paper';
    case Tools = 'tools';

    public function label(): string
    {
        return match ($this) {
            self::Stated => 'As heavy as is said',
            self::Clothes => 'Clothes and bedding',
            self::Toys => 'Toys',
            self::Kitchen => 'Pots and plates',
            self::Paper => 'Paper',
            self::Tools => 'Tools',
        };
    }

    /** Kg a litre; null where its weight is said (handbook, "Strength"). */
    public function aLitre(): ?float
    {
        return match ($this) {
            self::Stated => null,
            self::Clothes => 0.10,
            self::Toys => 0.15,
            self::Kitchen => 0.25,
            self::Paper => 0.60,
            self::Tools => 0.80,
        };
    }
}
