<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** Which of its long sides a pull-out has closed. */
enum BodyForm: string implements Choosable
{
    case Case = 'case';
    case Bin = 'bin';
    case Open = 'open';

    public function label(): string
    {
        return match ($this) {
            self::Case => 'Shelves, one side closed',
            self::Bin => 'Four walls, open above',
            self::Open => 'Shelves, open on both sides',
        };
    }
}
