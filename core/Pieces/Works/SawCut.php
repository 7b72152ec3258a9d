<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

/** What is set off square: the blade through the thickness, or the way of the cut across the face. */
enum SawCut: string
{
    case Bevel = 'bevel';
    case Mitre = 'mitre';
}
