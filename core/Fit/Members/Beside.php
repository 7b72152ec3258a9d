<?php

declare(strict_types=1);

namespace Incastro\Fit\Members;

use Incastro\Fit\Holds\SpansCells;
use Incastro\Geometry\Point;
use Incastro\Measure\Working;

/** What stands beside the outer box of a run where no wall is: from v out to the face: its back edge is scribed to the run's wall. */
final readonly class Beside extends FittedMember
{
    /**
     * @param  string  $side  key of the side that it is screwed to
     * @param  list<Point>  $slope  over its foot, in v and z, where the top of the box slopes from the wall
     */
    public function __construct(
        SpansCells $holds,
        string $id,
        string $mark,
        public float $u,
        public float $v,
        public float $z,
        public Working $height,
        public Working $depth,
        public string $side,
        public array $slope = [],
        public float $angle = 0.0,
    ) {
        parent::__construct($holds, $id, $mark);
    }
}
