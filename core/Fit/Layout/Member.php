<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

use Incastro\Fit\Holds\SpansCells;

/**
 * A board or frame that spans cells: a plinth under bays, a worktop over tiers, an end panel beside a bay. It names the
 * cells that it spans: bays for a plinth and an end panel, tiers for a worktop.
 */
final readonly class Member
{
    /** @param list<string> $cells */
    public function __construct(
        public string $id,
        public SpansCells $holds,
        public array $cells,
    ) {
    }
}
