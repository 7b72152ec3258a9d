<?php

declare(strict_types=1);

namespace Incastro\Survey\Things;

/** What a thing stands on: a wall, the floor, or the ceiling. */
enum Face: string
{
    case Wall = 'wall';
    case Floor = 'floor';
    case Ceiling = 'ceiling';
}
