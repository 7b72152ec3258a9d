<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** A board round an opening of a box. */
enum BoardOf: string implements Choosable
{
    case Back = 'back';
    case Left = 'left';
    case Right = 'right';
    case Below = 'below';
    case Over = 'over';

    public function label(): string
    {
        return match ($this) {
            self::Back => 'the back',
            self::Left => 'the board at its left',
            self::Right => 'the board at its right',
            self::Below => 'the board below it',
            self::Over => 'the board over it',
        };
    }
}
