<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Fit\Box;
use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Layout\RunEnd;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polyline;

/**
 * Puts what was planned into the true room: rigid boxes along their path, closings on every edge, scribed pieces pushed home
 * to first contact. It takes from the plan what one would carry into the room, sizes and outlines, and nothing of how they
 * were reckoned.
 */
final class Judge
{
    /** A box slides home that is no more than this too large, mm: it is pushed. */
    private const PUSH = 0.2;

    /** Between two places that are tried, mm. */
    private const STEP = 100.0;

    /** A box is lifted by this to go onto its plinth, mm: what its allowance above is for, less what a careful lift needs. */
    private const LIFT = 1.0;

    /** Beyond this, narrower than what would have gone in, a box is padded, mm. */
    private const PADDED = 18.0;

    private const COMPASS = 0.4;

    private const COMPASS_STATIONS = 200.0;

    /** @var list<string> what did not go in */
    public array $jams = [];

    public int $boxes = 0;

    public int $padded = 0;

    /** @var list<float> what every box could have been wider by, mm */
    public array $slack = [];

    public int $edges = 0;

    public int $covered = 0;

    /** @var list<float> */
    public array $templateGaps = [];

    /** @var list<float> those of edges along walls that were read by rule from a straightedge */
    public array $ruleGaps = [];

    /** Scribed edges, and those of them at which no more remains open than was said. */
    public int $scribed = 0;

    public int $withinSaid = 0;

    /** @var list<float> */
    public array $inPlaceGaps = [];

    /** @var array<string, array{float, float}> by run: how far it is pushed sideways from where it was planned, and where its plinth is level */
    public array $stands = [];

    /**
     * @param  bool  $asPlanned  whether runs are set where they were marked out, as far as the walls let them, and levelled to one
     *                           line; else midway between the walls, each from its own floor
     * @param  bool  $skirtingStays  whether skirting stands on the walls
     */
    public function __construct(private readonly TrueRoom $room, private readonly Dice $dice, private readonly bool $asPlanned = false, private readonly bool $skirtingStays = false)
    {
    }

    /** @param float $front thickness of the face frame, which goes on afterwards, mm */
    public function run(FittedRun $run, float $front, float $plinth): void
    {
        if ($run->boxes === []) {
            // Worktops and shelves alone are set to the line that was drawn for them.
            $this->stands[$run->run->id] = [0.0, $this->room->datum()];

            return;
        }
        $wall = $run->frame->wall;
        $left = $this->room->shape->after($wall);
        $right = $this->room->shape->before($wall);
        $mouth = $this->room->mouth($wall);
        // Several boxes come in one by one; as wide as the run they are from their own depth in front of their place on.
        $starts = array_unique(array_map(fn (Box $box) => round($box->u), $run->boxes));
        $slide = count($starts) > 1 ? min($mouth, 2 * max(array_map(fn (Box $box) => $box->face(), $run->boxes))) : $mouth;
        // A run may be pushed sideways as one: it goes when it is no wider than what is free.
        [$leftmost, $rightmost] = [-INF, INF];
        foreach ($run->boxes as $box) {
            foreach ($this->places($box, $slide) as [$v, $z]) {
                if (abs($box->u - $run->left) < 1.0 && $z <= $box->z + $box->top->left + self::LIFT) {
                    $leftmost = max($leftmost, $this->side($left, $wall, $v, $z));
                }
                if (abs($box->right() - $run->right) < 1.0 && $z <= $box->z + $box->top->right + self::LIFT) {
                    $rightmost = min($rightmost, $this->side($right, $wall, $v, $z));
                }
            }
        }
        // An end at which no box stands is held by what was planned there.
        $isBetween = is_finite($leftmost) && is_finite($rightmost) && $run->run->left !== RunEnd::Stops && $run->run->right !== RunEnd::Stops;
        [$leftmost, $rightmost] = [is_finite($leftmost) ? $leftmost : $run->left, is_finite($rightmost) ? $rightmost : $run->right];
        $free = $rightmost - $leftmost;
        $width = $run->right - $run->left;
        $slack = $free - $width;
        if ($slack < -self::PUSH) {
            $this->jams[] = sprintf('jams between the walls: %.1f wide, %.1f free', $width, $free);
        }
        $pushed = max(min(0.0, $rightmost - $run->right), $leftmost - $run->left);
        $by = $this->asPlanned ? $pushed : ($leftmost + $rightmost) / 2 - ($run->left + $run->right) / 2;
        // Runs that meet are levelled to one line, from where the floor is highest.
        $level = $this->asPlanned ? $this->room->datum() : $this->highestFloor($run, $by);
        $this->stands[$run->run->id] = [$pushed, $level];
        foreach ($run->boxes as $box) {
            $this->boxes++;
            if ($isBetween) {
                $this->slack[] = $slack - $run->reserved;
                $this->padded += $slack - $run->reserved > self::PADDED ? 1 : 0;
            }
            $this->overhead($wall, $box, $by, $level + $box->z, $mouth, $front, $box->z > $plinth + 1.0 ? 0.0 : $plinth);
        }
        foreach ($run->edges as $edge) {
            $this->edge($run, $edge, $wall, $by, $level);
        }
    }

    /** Where a side of the space stands along a run, its skirting where that stays. */
    private function side(int $edge, int $wall, float $v, float $z): float
    {
        $skirting = $this->skirtingStays ? $this->room->skirtingAt($z) : 0.0;

        return $this->room->meets($edge, $wall, $v, $z) + ($edge === $this->room->shape->after($wall) ? $skirting : -$skirting);
    }

    /**
     * Depths and heights that a box sweeps: from the floor, where it stands, to where it is lifted, from the mouth to its
     * place.
     *
     * @return list<array{float, float}>
     */
    private function places(Box $box, float $mouth): array
    {
        $places = [];
        $top = $box->highest() + self::LIFT;
        foreach (self::spread(0.0, $mouth) as $v) {
            foreach (self::spread($box->z > 200.0 ? $box->z : 0.0, $top) as $z) {
                $places[] = [$v, $z];
            }
        }

        return $places;
    }

    /** @return non-empty-list<float> */
    private static function spread(float $from, float $to): array
    {
        $steps = max(1, (int) ceil(($to - $from) / self::STEP));

        return array_map(fn (int $i) => $from + ($to - $from) * $i / $steps, range(0, $steps));
    }

    /** The plinth is levelled to the highest floor under the run. */
    private function highestFloor(FittedRun $run, float $by): float
    {
        $highest = -INF;
        foreach ([$run->left, $run->right] as $u) {
            foreach ([0.0, $run->depth->result->toDouble()] as $v) {
                $highest = max($highest, $this->room->floorAt($this->room->along($run->frame->wall, $u + $by, $v)));
            }
        }

        return $highest;
    }

    private function overhead(int $wall, Box $box, float $by, float $foot, float $mouth, float $front, float $plinth): void
    {
        $face = $box->face() - $front;
        // Ceilings and tops are planes: they come nearest at the ends and where they break.
        // From where it stands whole before the space; before a rake or a slope the room is higher.
        foreach ([0.0, max(0.0, $mouth - $box->face()) / 2, max(0.0, $mouth - $box->face()), ...($this->room->shape->ceiling->isSloped() ? [] : [$mouth])] as $out) {
            foreach ([$box->u, ($box->u + $box->right()) / 2, $box->right()] as $u) {
                foreach ([$box->v, min($face, $box->v + $box->top->breaks), ($box->v + $face) / 2, $face] as $v) {
                    $over = $this->room->ceilingAt($this->room->along($wall, $u + $by, $v + $out)) - $foot - ($box->topAt($u, $v) - $box->z);
                    if ($over < self::LIFT) {
                        $this->jams[] = sprintf('%s meets the ceiling on its way, %.1f short', $box->mark, self::LIFT - $over);

                        return;
                    }
                }
            }
        }
        $high = $box->outerHeight()->toDouble();
        $deep = $face - $box->v;
        if ($high > $deep && $high > $box->outerWidth()->toDouble()) {
            $clear = $this->whereTilted($wall, $mouth);
            if (hypot($high, $deep) > $clear) {
                $this->jams[] = sprintf('%s cannot be stood up: %.1f against %.1f', $box->mark, hypot($high, $deep), $clear);
            }
        }
    }

    /** Clear height where a box is stood up: under a flat ceiling the lowest place in the space, under a slope the highest. */
    private function whereTilted(int $wall, float $mouth): float
    {
        $heights = [];
        foreach ([0.0, $this->room->length($wall) / 2, $this->room->length($wall)] as $u) {
            foreach ([$mouth / 2, $mouth] as $v) {
                $at = $this->room->along($wall, $u, $v);
                $heights[] = $this->room->ceilingAt($at) - $this->room->floorAt($at);
            }
        }

        return $this->room->shape->ceiling->isSloped() ? max($heights) : min($heights);
    }

    private function edge(FittedRun $run, FittedEdge $edge, int $wall, float $by, float $level): void
    {
        $length = $edge->gap->stations[count($edge->gap->stations) - 1]->x;
        $true = $this->trueGaps($run, $edge, $wall, $by, $level, self::spread(0.0, $length));
        if (count($true) < 2) {
            return;
        }
        $this->edges++;
        $gaps = array_map(fn (Point $station) => $station->y, $true);
        $reach = match ($edge->closing) {
            Closing::Nothing => 1.5,
            Closing::Caulk => 4.0,
            Closing::Scribe, Closing::Filler => $edge->scribe?->blank()->toDouble() ?? 0.0,
            default => INF,
        };
        $this->covered += max($gaps) <= $reach + 1e-6 ? 1 : 0;
        if ($edge->scribe === null) {
            return;
        }
        $cut = new Polyline($edge->scribe->line());
        $template = array_map(fn (Point $station) => $station->y - $cut->at($station->x), $true);
        $home = min($template);
        array_push($this->templateGaps, ...array_map(fn (float $gap) => $gap - $home, $template));
        $isByRule = $edge->offsets === null && in_array($edge->side, [Side::Left, Side::Right], true);
        array_push($this->ruleGaps, ...($isByRule ? array_map(fn (float $gap) => $gap - $home, $template) : []));
        $this->scribed++;
        $this->withinSaid += max($template) - $home <= $edge->scribe->mayRemain() + 1e-6 ? 1 : 0;
        $errors = [new Point(-1.0, 0.0)];
        for ($at = 0.0; $at <= $length + self::COMPASS_STATIONS; $at += self::COMPASS_STATIONS) {
            $errors[] = new Point($at, $this->dice->between(-self::COMPASS, self::COMPASS));
        }
        $drawn = new Polyline($errors);
        $places = array_map(fn (Point $station) => $drawn->at($station->x), $true);
        $home = min($places);
        array_push($this->inPlaceGaps, ...array_map(fn (float $gap) => $gap - $home, $places));
    }

    /**
     * @param  non-empty-list<float>  $stations
     * @return list<Point>
     */
    private function trueGaps(FittedRun $run, FittedEdge $edge, int $wall, float $by, float $level, array $stations): array
    {
        $box = $run->box($edge->owner);
        $gaps = [];
        foreach ($stations as $at) {
            $gap = match (true) {
                $box !== null && $edge->side === Side::Left => $box->u + $by - $this->side($this->room->shape->after($wall), $wall, $box->face(), $box->z + $at),
                $box !== null && $edge->side === Side::Right => $this->side($this->room->shape->before($wall), $wall, $box->face(), $box->z + $at) - $box->right() - $by,
                $box !== null && $edge->side === Side::Top => $this->room->ceilingAt($this->room->along($wall, $box->u + $at + $by, $box->face())) - $level - $box->topAt($box->u + $at, $box->face()),
                $edge->side === Side::Foot => $this->toFloor($run, $edge, $wall, $by, $level, $at),
                default => null,
            };
            if ($gap !== null) {
                $gaps[] = new Point($at, $gap);
            }
        }

        return $gaps;
    }

    private function toFloor(FittedRun $run, FittedEdge $edge, int $wall, float $by, float $level, float $at): ?float
    {
        foreach ($run->under() as $plinth) {
            if ($plinth->id === $edge->owner) {
                return $level - $this->room->floorAt($this->room->along($wall, $plinth->u + $at + $by, $plinth->front()));
            }
        }

        return null;
    }
}
