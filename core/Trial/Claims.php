<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Fit\Box;
use Incastro\Fit\FittedRun;
use Incastro\Survey\Network\Normal;

/** What the survey says of a room, with its doubt, held against the room: clear spans between walls, and clear heights. */
final readonly class Claims
{
    /** A claim holds that is no more than this too large, mm. */
    private const TOUCH = 0.05;

    /** Between two places that are looked at, mm. */
    private const STEP = 100.0;

    public function __construct(private TrueRoom $room)
    {
    }

    /** Whether as much is clear between a run's walls, as far as it goes up and out, as is claimed; null where it is not between walls. */
    public function isSpanTrue(FittedRun $run): ?bool
    {
        $wall = $run->frame->wall;
        if (! $run->ends->isWall('left') || ! $run->ends->isWall('right') || $run->boxes === []) {
            return null;
        }
        [$left, $right] = [-INF, INF];
        [$first, $last] = [$run->boxes[0], $run->boxes[count($run->boxes) - 1]];
        // Several boxes come in one by one: as wide as the run they are from their own depth in front of their place on.
        $deep = count($run->boxes) > 1 ? min($this->room->mouth($wall), 2 * max(array_map(fn (Box $box) => $box->face(), $run->boxes))) : $this->room->mouth($wall);
        for ($v = 0.0; $v <= $deep; $v += self::STEP) {
            // Over the furniture, and over its slope where it is lower behind, nothing need go in.
            $tops = [$first->topAt($first->u, min($v, $first->face())), $last->topAt($last->right(), min($v, $last->face()))];
            for ($z = 0.0; $z <= max($tops); $z += self::STEP) {
                $left = $z > $tops[0] ? $left : max($left, $this->room->meets($this->room->shape->after($wall), $wall, $v, $z));
                $right = $z > $tops[1] ? $right : min($right, $this->room->meets($this->room->shape->before($wall), $wall, $v, $z));
            }
        }

        return $right - $left >= $run->span->width - $run->span->doubt - self::TOUCH;
    }

    /** Whether the ceiling over a run is nowhere lower than is claimed: over the highest floor, from its wall to its face. */
    public function isHeightTrue(FittedRun $run): bool
    {
        $wall = $run->frame->wall;
        $deep = $run->depth->result->toDouble();
        [$height, $sigma] = $run->frame->lowestCeiling($deep);
        $lowest = INF;
        for ($u = 0.0; $u <= $this->room->length($wall); $u += self::STEP) {
            for ($v = 0.0; $v <= $deep; $v += self::STEP) {
                $lowest = min($lowest, $this->room->ceilingAt($this->room->along($wall, $u, $v)));
            }
        }

        return $lowest - $this->room->datum() >= $height - Normal::ONE_SIDED_95 * $sigma - self::TOUCH;
    }
}
