<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Box;
use Incastro\Fit\Column;
use Incastro\Fit\Holds\ChangesBox;
use Incastro\Fit\Terms;
use Incastro\Rules\Finding;

/** Opens what lies over a bay: the top of its box, and the worktop on that. `id` is its own in the layout. */
interface CutsTop extends ChangesBox
{
    /** @return array{Placed, list<Finding>} a level board with the opening in it, and what is wrong with what is left of it */
    public function through(Placed $board, Box $box, Column $column, Terms $terms, string $id): array;
}
