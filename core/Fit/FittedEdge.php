<?php

declare(strict_types=1);

namespace Incastro\Fit;

/** An edge of a run in this space: its gap, how it is closed and why, and the scribe line where it is scribed. */
final readonly class FittedEdge
{
    public function __construct(
        public Edge $edge,
        public Gap $gap,
        public Closing $closing,
        public string $reason,
        public ?Closing $wish,
        public ?ScribeLine $scribe,
    ) {
    }
}
