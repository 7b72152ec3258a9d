<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Holds\SpansCells;
use Incastro\Geometry\Point;
use Incastro\Measure\Working;

/** An end panel beside the last box of a run, from v out to the face: its back edge is scribed to the run's wall. */
final readonly class FittedPanel
{
    /**
     * @param  string  $side  key of the side that it is screwed to
     * @param  list<Point>  $slope  over its foot, in v and z, where the top of the box slopes from the wall
     */
    public function __construct(
        public SpansCells $holds,
        public string $id,
        public string $mark,
        public float $u,
        public float $v,
        public float $z,
        public Working $height,
        public Working $depth,
        public string $side,
        public array $slope = [],
        public float $angle = 0.0,
    ) {
    }
}
