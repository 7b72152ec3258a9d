<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Convex;
use Incastro\Geometry\Point;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;

/** What a board sweeps that turns by a right angle about a level line along a run. */
final class LevelTurn
{
    /** It goes round by steps of 15°. */
    private const STEPS = 6;

    /**
     * A little too large between two steps, so that it holds all of the round.
     *
     * @param  Vector  $pivot  where the line begins
     * @param  float  $reach  of its farthest point from the line, mm
     * @param  Way  $from  where it points before, and then
     * @return non-empty-list<Solid>
     */
    public static function swept(Vector $pivot, float $wide, float $reach, Way $from, Way $to): array
    {
        [$a, $b] = [$from->vector(), $to->vector()];
        $radius = $reach / cos(M_PI / 4 / self::STEPS);
        $at = function (int $step) use ($pivot, $a, $b, $radius): Point {
            $turned = M_PI / 2 * $step / self::STEPS;
            $way = $a->times($radius * cos($turned))->plus($b->times($radius * sin($turned)));

            return new Point($pivot->y + $way->y, $pivot->z + $way->z);
        };
        $isRound = $a->y * $b->z - $a->z * $b->y > 0.0;
        $swept = [];
        for ($i = 1; $i <= self::STEPS; $i++) {
            $corners = [new Point($pivot->y, $pivot->z), $at($i - 1), $at($i)];
            // A section across the run: out, and up.
            $swept[] = new Solid([Convex::plate($isRound ? $corners : array_reverse($corners), $wide, new Pose(new Vector($pivot->x, 0.0, 0.0), Way::Out->vector(), Way::Up->vector(), Way::Right->vector()))]);
        }

        return $swept;
    }
}
