<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What holds the laundry of a hamper cart. */
enum HamperForm: string implements Choosable
{
    case Bin = 'bin';
    case Bag = 'bag';

    public function label(): string
    {
        return match ($this) {
            self::Bin => 'A bin of four walls',
            self::Bag => 'A bag on two rods',
        };
    }
}
