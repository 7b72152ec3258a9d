<?php

declare(strict_types=1);

namespace Incastro\Survey\Things;

/** What of a room only some furniture needs to know, and nobody is asked otherwise. */
enum Asked: string
{
    /** What walls are made of. */
    case Walls = 'walls';

    /** How far the faces of posts lie behind a straightedge, and whether they bear. */
    case Posts = 'posts';

    /** Something round by offsets from a line, rather than by its diameter. */
    case Rounds = 'rounds';
}
