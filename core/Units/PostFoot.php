<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What holds the foot of a post that stands free. */
enum PostFoot: string implements Choosable
{
    case Bolts = 'bolts';
    case Brackets = 'brackets';

    public function label(): string
    {
        return match ($this) {
            self::Bolts => 'Structural screws through into joists or blocking',
            self::Brackets => 'Steel brackets on the floor',
        };
    }

    /** What one of its bolts or screws holds, and how many pull on one side, N. */
    public function pull(): float
    {
        return match ($this) {
            self::Bolts => 4 * 2000.0,
            self::Brackets => 4 * 500.0,
        };
    }
}
