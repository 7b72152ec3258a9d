<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Finding;
use Incastro\Survey\ClearSpan;

/** A run fitted into the room as found: its box, its plinth and its edges. */
final readonly class FittedRun
{
    /**
     * @param  array<string, FittedEdge>  $edges  by edge
     * @param  list<Finding>  $findings
     */
    public function __construct(
        public Cell $cell,
        public ClearSpan $span,
        public Working $plinthLength,
        public Length $plinthHeight,
        public Working $plinthDepth,
        public array $edges,
        public array $findings,
    ) {
    }

    public function edge(Edge $edge): FittedEdge
    {
        return $this->edges[$edge->value];
    }
}
