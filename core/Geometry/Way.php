<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/** The six ways that something may point in the frame of a run. */
enum Way
{
    case Left;
    case Right;
    case In;
    case Out;
    case Down;
    case Up;

    public function vector(): Vector
    {
        return match ($this) {
            self::Left => new Vector(-1.0, 0.0, 0.0),
            self::Right => new Vector(1.0, 0.0, 0.0),
            self::In => new Vector(0.0, -1.0, 0.0),
            self::Out => new Vector(0.0, 1.0, 0.0),
            self::Down => new Vector(0.0, 0.0, -1.0),
            self::Up => new Vector(0.0, 0.0, 1.0),
        };
    }
}
