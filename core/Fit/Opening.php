<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Holds\HoldsOpening;
use Incastro\Fit\Layout\Front;
use Incastro\Fit\Layout\Option;
use Incastro\Measure\Working;

/**
 * A tier inside a box: its clear height, at the lower side under a slope, and how far its bottom lies above the box's foot,
 * mm. One that is spanned is closed by the front of an opening below it.
 */
final readonly class Opening
{
    /** @param list<Option> $options */
    public function __construct(
        public string $tierId,
        public Working $height,
        public float $z,
        public HoldsOpening $holds,
        public ?Front $front = null,
        public array $options = [],
        public bool $isSpanned = false,
    ) {
    }
}
