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
}
