<?php

declare(strict_types=1);

namespace Incastro\Planning\Recipes;

/** What furniture is wanted for. */
enum Purpose: string
{
    case Things = 'things';
    case Clothes = 'clothes';
    case Books = 'books';
    case Linen = 'linen';
    case Shoes = 'shoes';
    case Toys = 'toys';
    case Kitchen = 'kitchen';
    case Laundry = 'laundry';
    case Sit = 'sit';
    case Sleep = 'sleep';
    case Work = 'work';
    case Show = 'show';
    case Wash = 'wash';
    case Fire = 'fire';

    public function label(): string
    {
        return match ($this) {
            self::Things => 'To keep things',
            self::Clothes => 'To keep clothes',
            self::Books => 'To keep books',
            self::Linen => 'To keep linen',
            self::Shoes => 'To keep shoes',
            self::Toys => 'To keep toys',
            self::Kitchen => 'For the kitchen',
            self::Laundry => 'For the laundry',
            self::Sit => 'To sit',
            self::Sleep => 'To sleep',
            self::Work => 'To work',
            self::Show => 'To show something',
            self::Wash => 'Round a basin',
            self::Fire => 'Round a fire',
        };
    }
}
