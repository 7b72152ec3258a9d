<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** Boards that lie from wall to wall, each cut to its own four corners, at equal heights over each other. */
interface RestsOnWalls extends HoldsCell
{
    public function boards(): int;
}
