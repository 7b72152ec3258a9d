<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Layout\Bay;
use Incastro\Measure\Working;

/**
 * A bay in its place: from u to end, mm, its width as divided, and what height there is over its foot at its left, at its
 * right and at its back, allowances and doubt taken off.
 */
final readonly class FittedBay
{
    public function __construct(
        public Bay $bay,
        public float $u,
        public float $end,
        public Working $width,
        public Working $left,
        public Working $right,
        public Working $back,
    ) {
    }
}
