<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Holds\SpansCells;
use Incastro\Measure\Length;
use Incastro\Measure\Working;

/** A plinth in its place: from u along its length, with its front at the depth from `v`; it carries boxes side by side. */
final readonly class FittedPlinth
{
    /** @param non-empty-list<Box> $boxes from the left */
    public function __construct(
        public SpansCells $holds,
        public string $id,
        public string $mark,
        public float $u,
        public float $v,
        public Working $length,
        public Working $depth,
        public Length $height,
        public array $boxes,
    ) {
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
