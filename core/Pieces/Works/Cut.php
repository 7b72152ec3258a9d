<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

/** The ways in which a piece is cut around a thing. */
enum Cut
{
    case Notch;
    case Slot;
    case SlotUp;
    case SlotDown;
    case Opening;
    case Split;
    case Stop;
}
