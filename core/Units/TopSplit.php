<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** How a top is made that goes round the foot of a basin. */
enum TopSplit: string implements Choosable
{
    case Auto = 'auto';
    case None = 'none';
    case Across = 'left-right';
    case Along = 'front-back';

    public function label(): string
    {
        return match ($this) {
            self::Auto => 'as what hides it and the room beside it allow',
            self::None => 'in one, with a slot to the wall',
            self::Across => 'split through the foot, left and right',
            self::Along => 'split behind the foot, front and back',
        };
    }
}
