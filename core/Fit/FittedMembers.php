<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Rules\Finding;

/** What stands beside the cells of a run, in its place. */
final readonly class FittedMembers
{
    /**
     * @param  list<FittedPlinth>  $plinths
     * @param  list<FittedWorktop>  $worktops
     * @param  list<FittedPanel>  $panels
     * @param  list<FittedShelf>  $shelves
     * @param  list<Finding>  $findings  members that have no place
     */
    public function __construct(public array $plinths, public array $worktops, public array $panels, public array $shelves, public array $findings)
    {
    }
}
