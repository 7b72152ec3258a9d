<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\Closing\Gap;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Polyline;

/** The true outline of a strip whose outer edge follows a gap. x along the length, y across; the inner edge is y = 0. */
final class ScribedOutline
{
    /**
     * @param  float  $inner  width in mm between the inner edge and the reference edge that the gap starts from
     * @param  float  $before  how far the strip starts before the gap's first station
     * @param  float  $length  the strip's length; beyond the gap's stations the line goes on straight
     */
    public static function of(Gap $gap, float $inner, float $before, float $length): Polygon
    {
        $outer = self::line($gap, $inner, $before, $length);

        return new Polygon([new Point(0.0, 0.0), new Point($length, 0.0), ...array_reverse($outer)]);
    }

    /**
     * The scribed edge alone, from the strip's start to its end.
     *
     * @return non-empty-list<Point>
     */
    public static function line(Gap $gap, float $inner, float $before, float $length): array
    {
        $line = new Polyline(array_map(fn (Point $station) => new Point($station->x + $before, $inner + $station->y), $gap->stations));
        $between = array_values(array_filter($line->points, fn (Point $point) => $point->x > 1e-6 && $point->x < $length - 1e-6));

        return [new Point(0.0, $line->at(0.0)), ...$between, new Point($length, $line->at($length))];
    }
}
