<?php

declare(strict_types=1);

namespace Incastro\Pieces;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;

/**
 * Notches, slots and halves of holes in the outline of a piece; mm, in the piece's own x (length) and y (width). A notch is
 * given by its head: the line of its far end, from left to right, which is the upper line of what it goes around.
 */
final class CutOut
{
    private const ON_EDGE = 1e-6;

    /** A back edge that follows a wall stays within this, mm. */
    private const BACK = 15.0;

    /** @return list<Point> the head of a straight notch from x to x, so deep */
    public static function square(float $from, float $to, float $depth): array
    {
        return [new Point($from, $depth), new Point($to, $depth)];
    }

    /**
     * An outline with a notch from its back edge, which lies along y = 0 or close to it. At the end of the edge the notch
     * takes the corner with it. Null where no such edge is.
     *
     * @param  list<Point>  $head
     */
    public static function notch(Polygon $outline, array $head): ?Polygon
    {
        if ($head === []) {
            return null;
        }
        [$least, $most] = $outline->bounds();
        [$from, $to] = [$head[0]->x, $head[count($head) - 1]->x];
        $from = $from <= $least + self::ON_EDGE ? -INF : $from;
        $to = $to >= $most - self::ON_EDGE ? INF : $to;
        // Anticlockwise, the back edge runs from left to right.
        $isForward = $outline->signedArea() > 0.0;
        $head = $isForward ? $head : array_reverse($head);
        [$enters, $leaves] = $isForward ? [$from, $to] : [$to, $from];
        $cut = [];
        $entry = $exit = false;
        foreach ($outline->points as $i => $a) {
            $b = $outline->points[($i + 1) % count($outline->points)];
            if ($a->y >= self::BACK || $a->x <= $from + self::ON_EDGE || $a->x >= $to - self::ON_EDGE) {
                $cut[] = [$a];
            }
            if ($a->y >= self::BACK || $b->y >= self::BACK || $a->x === $b->x) {
                continue;
            }
            $at = fn (float $x): Point => new Point($x, $a->y + ($x - $a->x) / ($b->x - $a->x) * ($b->y - $a->y));
            [$low, $high] = [min($a->x, $b->x), max($a->x, $b->x)];
            if ($enters >= $low && $enters <= $high && $enters !== $b->x) {
                $entry = count($cut);
                $cut[] = [$at($enters)];
            }
            if ($leaves >= $low && $leaves <= $high && $leaves !== $a->x) {
                $exit = count($cut);
                $cut[] = [$at($leaves)];
            }
        }
        if ($entry === false && $exit === false) {
            return null;
        }
        // The far end follows the side at which one enters; where a corner goes with the notch, it comes before the other side.
        $cut = $entry === false ? [...array_slice($cut, 0, $exit), $head, ...array_slice($cut, $exit)] : [...array_slice($cut, 0, $entry + 1), $head, ...array_slice($cut, $entry + 1)];

        return new Polygon(self::tidied(array_merge(...$cut)));
    }

    /**
     * Without points that lie twice in one place.
     *
     * @param  list<Point>  $points
     * @return list<Point>
     */
    private static function tidied(array $points): array
    {
        $kept = [];
        foreach ($points as $point) {
            $last = $kept === [] ? null : $kept[count($kept) - 1];
            if ($last === null || $last->distanceTo($point) > self::ON_EDGE) {
                $kept[] = $point;
            }
        }
        if (count($kept) > 1 && $kept[0]->distanceTo($kept[count($kept) - 1]) <= self::ON_EDGE) {
            array_pop($kept);
        }

        return $kept;
    }

    /**
     * A rectangle split across its length through the middle of a hole: both halves, each with its half of it, so that they
     * can be pushed together around what stands there. The second one's x starts at the cut.
     *
     * @return array{Polygon, Polygon}
     */
    public static function split(float $length, float $width, Polygon $hole): array
    {
        [$least, $most] = $hole->bounds();
        $middle = ($least + $most) / 2;
        // Seen from the cut: y runs along it, x away from it into the half.
        $half = function (float $long, float $into) use ($hole, $middle, $width): Polygon {
            $seen = new Polygon(array_map(fn (Point $point) => new Point($point->y, $into * ($point->x - $middle)), $hole->points));
            $head = array_map(fn (Point $point) => new Point($point->x, max(0.0, $point->y)), $seen->upperLine(0.0, $width));

            return self::notch(Polygon::rectangle(0.0, 0.0, $width, $long), $head) ?? Polygon::rectangle(0.0, 0.0, $width, $long);
        };
        $first = $half($middle, -1.0);
        $second = $half($length - $middle, 1.0);

        return [
            new Polygon(array_map(fn (Point $point) => new Point($middle - $point->y, $point->x), $first->points)),
            new Polygon(array_map(fn (Point $point) => new Point($point->y, $point->x), array_reverse($second->points))),
        ];
    }
}
