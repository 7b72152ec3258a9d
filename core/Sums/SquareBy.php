<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Rules\Parameters\Choosable;

/** How squareness is looked at. */
enum SquareBy: string implements Choosable
{
    case Diagonals = 'diagonals';
    case Triangle = 'triangle';

    public function label(): string
    {
        return match ($this) {
            self::Diagonals => 'Both diagonals of a rectangle',
            self::Triangle => 'Three tapes of a triangle',
        };
    }
}
