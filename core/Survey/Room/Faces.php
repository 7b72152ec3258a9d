<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Geometry\Point;

/** What lies close on walls of a room, as a frame in it meets that; mm. */
final readonly class Faces
{
    /** @param list<Face> $all */
    public function __construct(private Room $room, public array $all)
    {
    }

    /** How far the farthest on a wall stands out, of those that reach between two places and two heights; −∞ where none does. */
    public function out(int $wall, float $from, float $to, float $bottom, float $top): float
    {
        $out = -INF;
        foreach ($this->all as $face) {
            if ($face->wall === $wall && $face->u0 <= $to && $face->u1 >= $from && $face->z0 <= $top && $face->z1 >= $bottom) {
                $out = max($out, $face->v);
            }
        }

        return $out;
    }

    /** @return list<float> heights between two at which one begins or ends */
    public function endsBetween(float $from, float $to): array
    {
        $ends = array_merge([], ...array_map(fn (Face $face): array => [$face->z0, $face->z1], $this->all));

        return array_values(array_filter($ends, fn (float $z) => $z > $from && $z < $to));
    }

    /** @return list<Point> where they begin and end, in the plan */
    public function corners(): array
    {
        return array_merge([], ...array_map($this->ends(...), $this->all));
    }

    /**
     * Where a wall at a side of a frame is met at a depth, or what lies on it there.
     *
     * @param  ?float  $met  the wall itself, null where it is not
     * @param  int  $sign  1 at the left, −1 at the right
     */
    public function met(RunFrame $frame, int $wall, ?float $met, int $sign, float $v, float $z): ?float
    {
        foreach ($met === null ? [] : $this->all as $face) {
            if ($face->wall !== $wall || $z < $face->z0 || $z > $face->z1) {
                continue;
            }
            // Its face is a plumb line in plan, from end to end.
            [[$fromU, $fromV], [$toU, $toV]] = array_map($frame->place(...), $this->ends($face));
            if ($v >= min($fromV, $toV) && $v <= max($fromV, $toV) && abs($toV - $fromV) > 1e-6) {
                $u = $fromU + ($v - $fromV) * ($toU - $fromU) / ($toV - $fromV);
                $met = $sign * $u > $sign * $met ? $u : $met;
            }
        }

        return $met;
    }

    /** @return array{Point, Point} */
    private function ends(Face $face): array
    {
        $frame = $this->room->frame($face->wall);

        return [$frame->point($face->u0, $face->v), $frame->point($face->u1, $face->v)];
    }
}
