<?php

declare(strict_types=1);

namespace Incastro\Fit\Members;

use Incastro\Fit\Holds\SpansCells;

/** What spans cells of a run, in its place; a class for each form, by which the unit that it holds makes its pieces. */
abstract readonly class FittedMember
{
    public function __construct(public SpansCells $holds, public string $id, public string $mark)
    {
    }

    /** The id of the member that asked for it: of one that is placed more than once, each place bears the member's id, a stroke and what tells it from the first. */
    public function memberId(): string
    {
        return explode('/', $this->id)[0];
    }
}
