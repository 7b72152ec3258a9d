<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/** Paper that a full-size template is printed on: portrait sizes in mm; a roll is as long as it needs to be. */
enum Paper: string
{
    case A4 = 'a4';
    case Letter = 'letter';
    case A3 = 'a3';
    case Roll = 'roll';

    public function label(): string
    {
        return match ($this) {
            self::A4 => 'A4',
            self::Letter => 'Letter',
            self::A3 => 'A3',
            self::Roll => 'roll, 610 mm wide',
        };
    }

    /** @return array{float, float} */
    public function size(float $length): array
    {
        return match ($this) {
            self::A4 => [210.0, 297.0],
            self::Letter => [215.9, 279.4],
            self::A3 => [297.0, 420.0],
            self::Roll => [610.0, max(420.0, $length)],
        };
    }
}
