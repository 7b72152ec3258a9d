<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

use Incastro\Measure\Length;

/**
 * A cell of a bay, counted from the bottom. `joined` says whether it shares a board with the tier below it: if not, another
 * box begins here. `snap` names a tier of another bay with whose top its own lines up.
 */
final readonly class Tier
{
    public function __construct(
        public string $id,
        public Size $size,
        public bool $joined,
        public UnitKind $unit,
        public int $fixedShelves = 0,
        public int $adjustableShelves = 0,
        public ?Length $depth = null,
        public ?string $snap = null,
    ) {
    }
}
