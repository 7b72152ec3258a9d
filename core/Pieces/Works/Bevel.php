<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Geometry\Point;

/**
 * An edge that is not square to the face: the line of its longer arris in the piece's own x and y, the piece to the left
 * of it, and how much shorter the piece is for each mm of depth below the face that this arris lies on.
 */
final readonly class Bevel
{
    /**
     * @param  list<Point>  $line  of at least two points
     * @param  float  $slope  tangent of the angle from square
     * @param  bool  $fromOrigin  whether the longer arris lies on the face that the piece's origin lies on
     */
    public function __construct(public array $line, public float $slope, public bool $fromOrigin)
    {
    }
}
