<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

use Incastro\Fit\Demand\Standing;
use Incastro\Fit\Holds\HoldsCell;
use Incastro\Fit\Holds\HoldsOpening;
use Incastro\Measure\Length;

/**
 * A cell of a bay, counted from the bottom. `joined` says whether it shares a board with the tier below it: if not, another
 * box begins here. `snap` names a tier of another bay with whose top its own lines up.
 */
final readonly class Tier
{
    /** @param list<Option> $options */
    public function __construct(
        public string $id,
        public Size $size,
        public bool $joined,
        public HoldsOpening|HoldsCell $holds,
        public ?Length $depth = null,
        public ?string $snap = null,
        public ?Front $front = null,
        public array $options = [],
    ) {
    }

    /** Whether a box stands round it. */
    public function isBoxed(): bool
    {
        return $this->holds instanceof HoldsOpening;
    }

    /** Whether anything is built in it. */
    public function isBuilt(): bool
    {
        return ! $this->holds instanceof HoldsCell || $this->holds->standing() !== Standing::Nothing;
    }
}
