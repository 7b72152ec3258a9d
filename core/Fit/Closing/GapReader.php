<?php

declare(strict_types=1);

namespace Incastro\Fit\Closing;

use Incastro\Fit\Box;
use Incastro\Fit\Terms;
use Incastro\Geometry\Point;
use Incastro\Geometry\SmoothLine;
use Incastro\Geometry\WavyLine;
use Incastro\Rules\Rule;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Slot;
use Incastro\Survey\Tool;

/**
 * Reads the gaps between furniture in its place and the room as found, at the plane of each edge's face. Where offsets were
 * taken by rule beside an edge, its line is the smoothing fit through them; else it follows what the tape's readings say.
 */
final readonly class GapReader
{
    /** Most between two stations of a scribe line, mm. */
    private const STATIONS = 200.0;

    /** A straightedge this near to an edge speaks for it, mm. */
    private const BESIDE = 100.0;

    /** A level held to a ceiling keeps so far from the walls, and is no longer than this, mm. */
    private const FROM_ENDS = 50.0;

    private const LONGEST_LEVEL = 1800.0;

    /** A wall is looked at this far before its end, mm. */
    private const BEFORE_END = 1.0;

    /** A step in a gap rises over this much, mm. */
    private const STEEP = 1e-3;

    /** Fewer stations make no line. */
    private const LEAST_STATIONS = 2;

    /** Along an edge a surface swings by so many σ between its highest and its lowest place, at 95 % of edges. */
    private const SWINGS = 4.5;

    /** A rule is read to half a millimetre: σ of the rounding, mm. */
    private const ROUNDING = 0.144;

    public function __construct(private Terms $terms, private RunFrame $frame)
    {
    }

    /** An upright edge against the wall on its side: u of the reference edge, v of its face, and its foot and head. */
    public function upright(Side $side, float $u, float $v, float $from, float $to): Gap
    {
        $towards = $side === Side::Left ? 1.0 : -1.0;
        $gapAt = fn (float $z): float => $towards * ($u - $this->wall($side, $v, $z));
        $bends = $this->withNotch($this->frame->bendsBetween($from, $to), $from, $to);
        $heights = $this->spread($bends);
        $sigma = max([0.0, ...array_map(fn (float $z) => $this->frame->sigmaAt($side->value, $v, $z), [$from, ($from + $to) / 2, $to])]);
        $beside = $this->frame->sideWall($side->value, $v);
        $taken = $beside === null ? [] : $this->taken($beside[0], false, $beside[1]);
        $knots = array_map(fn (Slot $slot) => new Point((float) $slot->height, $towards * ($u - $this->bare($side, $v, (float) $slot->height))), $taken);

        return $this->gap($heights, $from, $gapAt, $sigma, $this->rough($beside[0] ?? null), $knots, fn (float $z): float => -$this->skirting($z));
    }

    /** What would make the template of an upright edge sure; null where it is taken already, or no wall stands there. */
    public function uprightOffsets(Side $side, float $v): ?Straightedge
    {
        $beside = $this->frame->sideWall($side->value, $v);

        return $beside === null || count($this->taken($beside[0], false, $beside[1])) >= self::LEAST_STATIONS ? null : new Straightedge($beside[0], false, $this->terms->format->nearestPlace($beside[1]), 0.0);
    }

    /** The top of a box against the ceiling, at the plane of its face. */
    public function ceiling(Box $box): Gap
    {
        $v = $box->face();

        return $this->gap(
            $this->spread($this->frame->ceilingBreaks($box->u, $box->right(), $v)),
            $box->u,
            fn (float $u): float => $this->frame->ceilingAt($u, $v) - $box->topAt($u, $v),
            max($this->frame->ceilingSigmaAt($box->u, $v), $this->frame->ceilingSigmaAt($box->right(), $v)),
            $this->terms->room->textures->ofCeiling(),
        );
    }

    /** A level held to the ceiling at the plane of a box's face; null where one is read, or the ceiling slopes. */
    public function ceilingOffsets(Box $box): ?Straightedge
    {
        if ($this->terms->room->shape->ceiling->isSloped()) {
            return null;
        }
        foreach ($this->terms->room->offsets as $slot) {
            $spot = $slot->onCeiling ? $slot->spots[0] ?? null : null;
            if ($spot !== null && $spot->wall === $this->frame->wall && abs($spot->depth - $box->face()) <= self::BESIDE) {
                return null;
            }
        }
        // The longest level that goes in along the ceiling: what it tells of one box it tells of all.
        $length = min($this->frame->length() - 2 * self::FROM_ENDS, self::LONGEST_LEVEL);

        return $length < 2 * self::FROM_ENDS ? null : new Straightedge($this->frame->wall, true, self::FROM_ENDS, $this->terms->format->nearestPlace($length), $this->terms->format->nearestPlace($box->face()));
    }

    /** A level foot at the datum against the floor, along a stretch of the run. */
    public function floor(float $from, float $to, float $v): Gap
    {
        return $this->gap(
            $this->spread([$from, $to]),
            $from,
            fn (float $u): float => -$this->frame->floorAt($u, $v),
            max($this->frame->floorSigmaAt($from, $v), $this->frame->floorSigmaAt($to, $v)),
            $this->terms->room->textures->ofCeiling(),
        );
    }

    /** A level edge at a height against the run's own wall: v is its reference line. */
    public function back(float $from, float $to, float $v, float $z): Gap
    {
        $wall = $this->frame->wall;
        $taken = $this->taken($wall, true, $z);
        $knots = array_map(fn (Slot $slot) => new Point((float) $slot->along, $v - $this->frame->backAt((float) $slot->along, $z)), $taken);

        return $this->gap($this->spread([$from, $to]), $from, fn (float $u): float => $v - $this->frame->backAt($u, $z), $this->backSigma($from, $to, $z), $this->rough($wall), $knots);
    }

    public function backOffsets(float $z): ?Straightedge
    {
        return count($this->taken($this->frame->wall, true, $z)) >= self::LEAST_STATIONS ? null : new Straightedge($this->frame->wall, true, 0.0, $this->terms->format->nearestPlace($z));
    }

    /** An upright back edge against the run's own wall: u of the panel, v of its reference line. */
    public function backUpright(float $u, float $v, float $from, float $to): Gap
    {
        $taken = $this->taken($this->frame->wall, false, $u);
        $knots = array_map(fn (Slot $slot) => new Point((float) $slot->height, $v - $this->frame->backAt($u, (float) $slot->height)), $taken);

        return $this->gap(
            $this->spread($this->withNotch([$from, $to], $from, $to)),
            $from,
            fn (float $z): float => $v - $this->frame->backAt($u, $z) - $this->skirting($z),
            $this->backSigma($u, $u, ($from + $to) / 2),
            $this->rough($this->frame->wall),
            $knots,
            fn (float $z): float => -$this->skirting($z),
        );
    }

    public function backUprightOffsets(float $u): ?Straightedge
    {
        return count($this->taken($this->frame->wall, false, $u)) >= self::LEAST_STATIONS ? null : new Straightedge($this->frame->wall, false, $this->terms->format->nearestPlace($u), 0.0);
    }

    /** A level end at a height against the wall on its side, from the back out. */
    public function end(Side $side, float $u, float $from, float $to, float $z): Gap
    {
        $towards = $side === Side::Left ? 1.0 : -1.0;
        // What stands out past the wall's end goes on straight.
        $end = $this->frame->mouth() - self::BEFORE_END;
        $gapAt = fn (float $v): float => $towards * ($u - $this->bare($side, min($v, $end), $z));
        $beside = $this->frame->sideWall($side->value, ($from + $to) / 2);
        $knots = [];
        $wall = $beside[0] ?? -1;
        foreach ($wall < 0 ? [] : $this->taken($wall, true, $z) as $slot) {
            [$at, $v] = $this->frame->place($this->terms->room->wallPoint($wall, (float) $slot->along, $z));
            $knots[] = new Point($v, $towards * ($u - $at));
        }
        usort($knots, fn (Point $a, Point $b) => $a->x <=> $b->x);
        $knots = array_values(array_filter($knots, fn (Point $knot) => $knot->x > $from - self::BESIDE && $knot->x < $to + self::BESIDE));

        return $this->gap($this->spread([$from, $to]), $from, $gapAt, max($this->frame->sigmaAt($side->value, $from, $z), $this->frame->sigmaAt($side->value, $to, $z)), $this->rough($beside[0] ?? null), $knots);
    }

    public function endOffsets(Side $side, float $v, float $z): ?Straightedge
    {
        $beside = $this->frame->sideWall($side->value, $v);

        return $beside === null || count($this->taken($beside[0], true, $z)) >= self::LEAST_STATIONS ? null : new Straightedge($beside[0], true, 0.0, $this->terms->format->nearestPlace($z));
    }

    /** How far into the room a wall comes at the face, along the height of an edge: u in mm. */
    public function wallLimit(Side $side, float $v, float $from, float $to): float
    {
        $places = array_map(fn (float $z) => $this->wall($side, $v, $z), $this->spread($this->withNotch($this->frame->bendsBetween($from, $to), $from, $to)));

        return $side === Side::Left ? max($places) : min($places);
    }

    /**
     * @param  non-empty-list<float>  $places
     * @param  \Closure(float): float  $gapAt
     * @param  float  $rough  σ of one place of the surface off its own plane, mm
     * @param  list<Point>  $knots  stations taken by rule: x the place, y the gap to the bare surface
     * @param  ?\Closure(float): float  $less  what stands before the bare surface
     */
    private function gap(array $places, float $from, \Closure $gapAt, float $sigma, float $rough, array $knots = [], ?\Closure $less = null): Gap
    {
        if (count($knots) < self::LEAST_STATIONS) {
            // Nobody saw how the surface goes between the places that a tape touched.
            return new Gap(array_map(fn (float $at) => new Point($at - $from, $gapAt($at)), $places), $sigma, remains: max(Gap::TAPED, self::SWINGS * $rough));
        }
        $of = hypot(Tool::Rule->sigma(0.0), self::ROUNDING);
        $waves = $rough > 0.0 ? WavyLine::through($knots, $of, $rough) : null;
        $line = $waves ?? SmoothLine::through($knots, $of);
        $stations = array_map(fn (float $at) => new Point($at - $from, $line->at($at) + ($less === null ? 0.0 : $less($at))), $places);
        // As much as the other readings say that the surface is elsewhere.
        $strays = max(array_map(fn (Point $station) => abs($station->y - $gapAt($station->x + $from)), $stations));
        $unseen = $waves === null ? 0.0 : self::SWINGS * max([$of, ...array_map(fn (float $at) => hypot($waves->sigmaAt($at), $of), $this->between($places))]);

        return new Gap($stations, $sigma, $of, true, max($waves === null ? Gap::SAWN : $unseen, $strays));
    }

    /**
     * @param  non-empty-list<float>  $places
     * @return list<float> half way between them
     */
    private function between(array $places): array
    {
        return array_map(fn (float $a, float $b) => ($a + $b) / 2, array_slice($places, 0, -1), array_slice($places, 1));
    }

    /** σ of one place of a wall off its own plane, mm. */
    private function rough(?int $wall): float
    {
        return $wall === null ? 0.0 : $this->terms->room->textures->of($wall);
    }

    /** @return list<Slot> the stations of the nearest straightedge beside a place, in rising order */
    private function taken(int $wall, bool $isLevel, float $at): array
    {
        $near = $best = null;
        $byEdge = [];
        foreach ($this->terms->room->offsets as $slot) {
            if (! $slot->onCeiling && $slot->wall === $wall && $slot->isLevel === $isLevel) {
                $byEdge[$slot->straightedge ?? ''][] = $slot;
            }
        }
        foreach ($byEdge as $slots) {
            $off = abs(($isLevel ? (float) $slots[0]->height : (float) $slots[0]->along) - $at);
            if ($off <= self::BESIDE && ($near === null || $off < $near)) {
                [$near, $best] = [$off, $slots];
            }
        }
        $best ??= [];
        usort($best, fn (Slot $a, Slot $b) => $isLevel ? $a->along <=> $b->along : $a->height <=> $b->height);

        return $best;
    }

    /**
     * Stations between bends: at each of them, and between them no further apart than the rule.
     *
     * @param  non-empty-list<float>  $bends  rising
     * @return non-empty-list<float>
     */
    private function spread(array $bends): array
    {
        $places = [$bends[0]];
        for ($i = 1; $i < count($bends); $i++) {
            $steps = max(1, (int) ceil(($bends[$i] - $bends[$i - 1]) / self::STATIONS));
            for ($k = 1; $k <= $steps; $k++) {
                $places[] = $bends[$i - 1] + ($bends[$i] - $bends[$i - 1]) * $k / $steps;
            }
        }

        return $places;
    }

    /**
     * @param  non-empty-list<float>  $bends
     * @return non-empty-list<float> with a step at the top of skirting that stays
     */
    private function withNotch(array $bends, float $from, float $to): array
    {
        $notch = $this->notchTop();
        if ($notch - 2 * self::STEEP <= $from || $notch + self::STEEP >= $to) {
            return $bends;
        }
        // A bend right beside the step is the step.
        $bends = [...array_filter($bends, fn (float $bend) => abs($bend - $notch) > 2 * self::STEEP), $notch - self::STEEP, $notch];
        sort($bends);

        return $bends;
    }

    private function notchTop(): float
    {
        return $this->terms->rules->skirtingStays && $this->frame->skirtingThickness() > 0
            ? $this->frame->skirtingTop() + $this->terms->rule(Rule::NotchPlay)
            : -INF;
    }

    /** What skirting that stays takes of a gap at a height, with the play of its notch, mm. */
    private function skirting(float $z): float
    {
        return $z < $this->notchTop() ? $this->frame->skirtingThickness() + $this->terms->rule(Rule::NotchPlay) : 0.0;
    }

    private function bare(Side $side, float $v, float $z): float
    {
        return $side === Side::Left ? $this->frame->leftAt($v, $z) : $this->frame->rightAt($v, $z);
    }

    /** Where the wall stands, or the skirting on it with the play of its notch. */
    private function wall(Side $side, float $v, float $z): float
    {
        return $this->bare($side, $v, $z) + ($side === Side::Left ? 1.0 : -1.0) * $this->skirting($z);
    }

    /** A wall that nobody looked at may stand off its line as walls do. */
    private function backSigma(float $from, float $to, float $z): float
    {
        return max($this->frame->backSigmaAt($from, $z), $this->frame->backSigmaAt($to, $z));
    }
}
