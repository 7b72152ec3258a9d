<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

use Incastro\Fit\Holds\SpansCells;
use Incastro\Rules\Parameters\Blueprint;

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

    /** The letter that its mark begins with. */
    public function letter(): string
    {
        return Blueprint::of($this->holds::class)->about->mark ?? 'U';
    }

    /** As it is called within a sentence. */
    public function name(): string
    {
        return lcfirst(Blueprint::of($this->holds::class)->about->label);
    }
}
