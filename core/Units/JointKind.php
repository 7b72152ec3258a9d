<?php

declare(strict_types=1);

namespace Incastro\Units;

/** How two pieces are held together. */
enum JointKind: string
{
    case Pocket = 'pocket';
    case Screws = 'screws';
    case Pins = 'pins';
    case Glue = 'glue';
    case Nails = 'nails';
    case Dado = 'dado';
    case Rabbet = 'rabbet';
    case Hinge = 'hinge';
    case Butt = 'butt';
    case Slide = 'slide';

    /** Whether what it joins must touch: a leaf hangs beside its stile, a drawer runs between its slides. */
    public function isTight(): bool
    {
        return ! in_array($this, [self::Hinge, self::Butt, self::Slide], true);
    }
}
