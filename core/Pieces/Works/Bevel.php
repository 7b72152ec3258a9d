<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Geometry\Point;

/**
 * An edge that is not square to the face: the line of its longer arris in the piece's own x and y, and how much
 * shorter the piece is for each mm of depth below the face that this arris lies on.
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

    /**
     * The way across a bit of the line and out of a piece whose middle lies there, of length 1.
     *
     * @return array{float, float}
     */
    public static function outwards(Point $from, Point $to, Point $middle): array
    {
        $long = $from->distanceTo($to);
        [$x, $y] = [($to->y - $from->y) / $long, ($from->x - $to->x) / $long];
        $way = ($middle->x - $from->x) * $x + ($middle->y - $from->y) * $y > 0.0 ? -1.0 : 1.0;

        return [$way * $x, $way * $y];
    }
}
