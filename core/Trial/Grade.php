<?php

declare(strict_types=1);

namespace Incastro\Trial;

/** How rough a made-up room is: planes that lean and bow, or walls as they are found. mm. */
enum Grade: string
{
    case Plane = 'plane';
    case Mild = 'mild';
    case Old = 'old';

    /** Waves of walls and ceilings, root mean square: new board, or old plaster. */
    public function waves(): float
    {
        return match ($this) {
            self::Plane => 0.0,
            self::Mild => 0.8,
            self::Old => 1.8,
        };
    }

    /** The highest bump, or the deepest hollow. */
    public function bumps(): float
    {
        return match ($this) {
            self::Plane => 0.0,
            self::Mild => 1.0,
            self::Old => 2.5,
        };
    }

    /** How far a back wall is kinked, the floor dished and the ceiling falls to the front, at most. */
    public function kink(): float
    {
        return match ($this) {
            self::Plane => 0.0,
            self::Mild => 3.0,
            self::Old => 6.0,
        };
    }

    /** @return array{float, float} the least and the largest radius to which a corner is filled */
    public function fillets(): array
    {
        return $this === self::Plane ? [0.0, 0.0] : [5.0, 8.0];
    }

    /** @return array{float, float} how far a corner is out of square at most, shared by both its walls, rad; and how far it is moved for that, mm */
    public function turns(): array
    {
        return $this === self::Plane ? [0.013, 12.0] : [0.0175, 16.0];
    }
}
