<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Holds\SpansCells;
use Incastro\Measure\Working;

/**
 * A worktop in its place: its underside at z, from u along its length and from v out to its front edge, mm. Length and depth
 * are those of its reference lines; what is scribed to the walls goes beyond.
 */
final readonly class FittedWorktop
{
    /** @param list<string> $carriers keys of the pieces that it lies on */
    public function __construct(
        public SpansCells $holds,
        public string $id,
        public string $mark,
        public float $u,
        public float $v,
        public float $z,
        public Working $length,
        public Working $depth,
        public bool $meetsLeft,
        public bool $meetsRight,
        public bool $meetsBack,
        public array $carriers,
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
