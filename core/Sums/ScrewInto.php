<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Rules\Parameters\Choosable;

/** What the screw holds in. */
enum ScrewInto: string implements Choosable
{
    case Board = 'board';
    case Edge = 'edge';
    case Stud = 'stud';
    case Masonry = 'masonry';

    public function label(): string
    {
        return match ($this) {
            self::Board => 'The face of the last board',
            self::Edge => 'The edge of the last board',
            self::Stud => 'A stud behind them all',
            self::Masonry => 'A plug in masonry behind them all',
        };
    }
}
