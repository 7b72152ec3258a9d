<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Geometry\Point;
use Incastro\Measure\Working;

/**
 * A shelf on cleats between two walls, at a height of its own: four true corners in u and v, mm, going round from the left
 * back, and the line of its back edge between them. `tipping` tells how it gets in where it cannot go straight.
 */
final readonly class FittedShelf
{
    /** @param non-empty-list<Point> $outline */
    public function __construct(
        public string $tierId,
        public int $index,
        public float $z,
        public array $outline,
        public Working $length,
        public Working $depth,
        public ?Tipping $tipping,
    ) {
    }
}
