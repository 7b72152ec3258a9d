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
}
