<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

/** How an edge is left that nothing is cut from. */
enum Finish: string
{
    case Straight = 'straight';
    case Covered = 'covered by the face frame';
    case Banded = 'banded';
    case TouchesHouse = 'touches the house';
}
