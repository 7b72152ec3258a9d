<?php

declare(strict_types=1);

namespace Incastro\Fit\Members;

use Incastro\Fit\FittedShelf;
use Incastro\Rules\Finding;

/** What spans cells of a run, and what lies in them from wall to wall, in its place. */
final readonly class FittedMembers
{
    /**
     * @param  list<FittedMember>  $members
     * @param  list<FittedShelf>  $shelves
     * @param  list<Finding>  $findings  of those that have no place
     */
    public function __construct(public array $members, public array $shelves, public array $findings)
    {
    }
}
