<?php

declare(strict_types=1);

namespace Incastro\Fit\Members;

use Incastro\Fit\Holds\SpansCells;
use Incastro\Measure\Working;

/**
 * What runs round boxes that stand side by side: along their faces from u, and at a free end back to the wall; mm. `left` and
 * `right` are where it ends behind there: v; null where the boxes end at something.
 */
final readonly class Around extends FittedMember
{
    public function __construct(
        SpansCells $holds,
        string $id,
        string $mark,
        public float $u,
        public Working $length,
        public float $face,
        public ?float $left,
        public ?float $right,
        public float $foot,
        public float $head,
    ) {
        parent::__construct($holds, $id, $mark);
    }

    public function end(): float
    {
        return $this->u + $this->length->result->toDouble();
    }
}
