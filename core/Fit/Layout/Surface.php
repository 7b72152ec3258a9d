<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

use Incastro\Fit\Holds\LiesOnSurface;
use Incastro\Measure\Length;

/** What lies on a wall, or on what stands before it: from and to along that, from its left end; foot and head over the datum; null to its end. */
final readonly class Surface
{
    public function __construct(
        public string $id,
        public LiesOnSurface $holds,
        public int $wall,
        public ?Length $from = null,
        public ?Length $to = null,
        public ?Length $foot = null,
        public ?Length $head = null,
        public ?string $of = null,
    ) {
    }
}
