<?php

declare(strict_types=1);

namespace Incastro\Fit\Members;

use Incastro\Fit\Holds\SpansCells;
use Incastro\Measure\Working;

/** What lies along a run, under its cells or over them: from u along its length, and from v out to its front, mm. */
abstract readonly class LyingMember extends FittedMember
{
    public function __construct(SpansCells $holds, string $id, string $mark, public float $u, public float $v, public Working $length, public Working $depth)
    {
        parent::__construct($holds, $id, $mark);
    }

    public function end(): float
    {
        return $this->u + $this->length->result->toDouble();
    }

    public function front(): float
    {
        return $this->v + $this->depth->result->toDouble();
    }
}
