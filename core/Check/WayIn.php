<?php

declare(strict_types=1);

namespace Incastro\Check;

/** One thing on the way from the street to the space: a door, a passage, a turn of a corridor, a stair. Clear sizes, mm. */
final readonly class WayIn
{
    public function __construct(
        public string $kind,
        public string $name,
        public float $width,
        public float $height,
        public float $secondWidth = 0.0,
    ) {
    }
}
