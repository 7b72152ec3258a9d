<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** A direction on a sheet: x along its length, y along its width. */
enum Axis: string
{
    case X = 'x';
    case Y = 'y';

    public function across(): self
    {
        return $this === self::X ? self::Y : self::X;
    }
}
