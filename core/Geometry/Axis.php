<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/** The three directions of a run: along its wall, out into the room, up. */
enum Axis: string
{
    case U = 'u';
    case V = 'v';
    case Z = 'z';

    /**
     * The other two, in the order u, v, z.
     *
     * @return array{self, self}
     */
    public function across(): array
    {
        return match ($this) {
            self::U => [self::V, self::Z],
            self::V => [self::U, self::Z],
            self::Z => [self::U, self::V],
        };
    }
}
