<?php

declare(strict_types=1);

namespace Incastro\Survey\Space;

use Incastro\Survey\ReadingKind;

/**
 * A reading that the person added to the sheet: what it is taken between, in the numbers of the space's shape; mm. Offsets
 * come as a straightedge, held level at a height or plumb so far along a wall, with a row of stations. A fall is that of the
 * ceiling: `height` is how far the level reaches along the wall.
 */
final readonly class ExtraSlot
{
    public function __construct(
        public string $id,
        public ReadingKind $kind,
        public ?int $from = null,
        public ?int $to = null,
        public ?int $wall = null,
        public ?float $along = null,
        public ?float $height = null,
        public ?float $depth = null,
        public bool $isLevel = false,
        public int $plane = 0,
    ) {
    }
}
