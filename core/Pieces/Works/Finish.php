<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Rules\Schools\Edges;

/** How an edge is left that nothing is cut from. */
enum Finish: string
{
    case Straight = 'straight';
    case Covered = 'covered by the face frame';
    case Banded = 'banded';
    case Eased = 'eased';
    case TouchesHouse = 'touches the house';

    /** How the front edge of a box's board is left. */
    public static function ofFront(Edges $edges): self
    {
        return $edges === Edges::Frame ? self::Covered : self::Banded;
    }
}
