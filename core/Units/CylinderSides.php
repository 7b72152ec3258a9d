<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** On which sides of a cylinder slats lie: that of its valves, thermostat and element stays open. */
enum CylinderSides: string implements Choosable
{
    case Both = 'both';
    case Left = 'left';
    case Right = 'right';

    public function label(): string
    {
        return match ($this) {
            self::Both => 'Both',
            self::Left => 'Left of it only',
            self::Right => 'Right of it only',
        };
    }
}
