<?php

declare(strict_types=1);

namespace Incastro\Fit\Closing;

/**
 * An edge of the furniture in this space: whose it is, its gap, how it is closed and why, and the scribe line where it is
 * scribed. `offsets` is the straightedge that would make its template sure, where it does not stand yet.
 */
final readonly class FittedEdge
{
    public function __construct(
        public Side $side,
        public string $owner,
        public string $label,
        public Gap $gap,
        public Closing $closing,
        public string $reason,
        public ?Closing $wish,
        public ?ScribeLine $scribe,
        public ?Straightedge $offsets = null,
    ) {
    }

    public function key(): string
    {
        return $this->side->of($this->owner);
    }
}
