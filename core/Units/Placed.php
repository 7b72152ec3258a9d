<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Pieces\Piece;

/** A piece where it stands in the run's frame: its nearest corner and its extents along u, v and z, in mm. */
final readonly class Placed
{
    public function __construct(
        public Piece $piece,
        public float $u,
        public float $v,
        public float $z,
        public float $alongU,
        public float $alongV,
        public float $alongZ,
    ) {
    }
}
