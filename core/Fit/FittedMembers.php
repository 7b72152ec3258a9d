<?php

declare(strict_types=1);

namespace Incastro\Fit;

/** What stands beside the cells of a run, in its place. */
final readonly class FittedMembers
{
    /**
     * @param  list<FittedPlinth>  $plinths
     * @param  list<FittedWorktop>  $worktops
     * @param  list<FittedPanel>  $panels
     * @param  list<FittedShelf>  $shelves
     */
    public function __construct(public array $plinths, public array $worktops, public array $panels, public array $shelves)
    {
    }
}
