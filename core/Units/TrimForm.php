<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** Where a strip lies on its wall. */
enum TrimForm: string implements Choosable
{
    case Skirting = 'skirting';
    case Rail = 'rail';
    case Crown = 'crown';

    public function label(): string
    {
        return match ($this) {
            self::Skirting => 'Skirting, at the floor',
            self::Rail => 'Rail, at a height',
            self::Crown => 'Crown, under the ceiling',
        };
    }
}
