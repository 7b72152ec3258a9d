<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Parameters\Choosable;

/** By what a front is opened. */
enum Pull: string implements Choosable
{
    case Bar = 'bar';
    case Knob = 'knob';
    case Cup = 'cup';
    case Hole = 'hole';
    case None = 'none';

    public function label(): string
    {
        return match ($this) {
            self::Bar => 'Bar',
            self::Knob => 'Knob',
            self::Cup => 'Cup pull',
            self::Hole => 'Finger hole',
            self::None => 'A push: no pull',
        };
    }

    /** @return list<Hardware> so many of it, where there is anything to buy */
    public function bought(int $quantity, string $use): array
    {
        $kind = match ($this) {
            self::Bar => ArticleKind::BarPull,
            self::Knob => ArticleKind::Knob,
            self::Cup => ArticleKind::CupPull,
            self::None => ArticleKind::PushLatch,
            self::Hole => null,
        };

        return $kind === null ? [] : [new Hardware(lcfirst($kind->label()), $quantity, $use, $kind)];
    }
}
