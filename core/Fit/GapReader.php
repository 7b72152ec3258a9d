<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Geometry\Point;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Rule;
use Incastro\Survey\Room\RunFrame;

/** Reads the gaps between a box in its place and the room as found, at the plane of each edge's face. */
final readonly class GapReader
{
    /** Most between two stations of a scribe line, mm. */
    private const STATIONS = 200.0;

    public function __construct(private RunFrame $frame, private HouseRules $rules)
    {
    }

    public function along(Edge $edge, Cell $cell): Gap
    {
        $depth = $cell->outerDepth()->toDouble();
        $left = $cell->u;
        $right = $cell->u + $cell->outerWidth()->toDouble();
        $top = $cell->z + $cell->outerHeight()->toDouble();
        $toe = $depth - $this->rules->mm(Rule::PlinthSetback);

        return match ($edge) {
            Edge::Left => new Gap(
                $this->stations($cell->z, $top, fn (float $z) => $left - $this->wall(Edge::Left, $depth, $z)),
                $this->sigma(Edge::Left, $depth, $cell->z, $top),
            ),
            Edge::Right => new Gap(
                $this->stations($cell->z, $top, fn (float $z) => $this->wall(Edge::Right, $depth, $z) - $right),
                $this->sigma(Edge::Right, $depth, $cell->z, $top),
            ),
            Edge::Top => new Gap(
                array_map(fn (float $u) => new Point($u - $left, $this->frame->ceilingAt($u, $depth) - $top), $this->spread($left, $right)),
                max($this->frame->ceilingSigmaAt($left, $depth), $this->frame->ceilingSigmaAt($right, $depth)),
            ),
            Edge::Foot => new Gap(
                array_map(fn (float $u) => new Point($u - $left, -$this->frame->floorAt($u, $toe)), $this->spread($left, $right)),
                max($this->frame->floorSigmaAt($left, $toe), $this->frame->floorSigmaAt($right, $toe)),
            ),
        };
    }

    /** How far into the room a wall comes at the face, along the height of a box: u in mm. */
    public function wallLimit(Edge $edge, float $depth, float $height): float
    {
        $z = $this->rules->mm(Rule::PlinthHeight);
        $places = array_map(fn (Point $station) => $station->y, $this->stations($z, $z + $height, fn (float $at) => $this->wall($edge, $depth, $at)));

        return $edge === Edge::Left ? max($places) : min($places);
    }

    /**
     * Stations along an upright edge, measured from its foot: at the ends, where the wall bends, at the top of skirting
     * that stays, and between them.
     *
     * @param  \Closure(float): float  $gapAt
     * @return non-empty-list<Point>
     */
    private function stations(float $from, float $to, \Closure $gapAt): array
    {
        $bends = $this->frame->bendsBetween($from, $to);
        $notch = $this->notchTop();
        if ($notch > $from && $notch < $to) {
            $bends = [...$bends, $notch - 1e-3, $notch];
            sort($bends);
        }
        $heights = [];
        for ($i = 1; $i < count($bends); $i++) {
            $heights = [...$heights, ...array_slice($this->spread($bends[$i - 1], $bends[$i]), 0, -1)];
        }

        return array_map(fn (float $z) => new Point($z - $from, $gapAt($z)), [...$heights, $to]);
    }

    /** @return non-empty-list<float> */
    private function spread(float $from, float $to): array
    {
        $steps = max(1, (int) ceil(($to - $from) / self::STATIONS));

        return array_map(fn (int $i) => $from + ($to - $from) * $i / $steps, range(0, $steps));
    }

    private function notchTop(): float
    {
        return $this->rules->skirtingStays && $this->frame->skirtingThickness() > 0
            ? $this->frame->skirtingTop() + $this->rules->mm(Rule::NotchPlay)
            : -INF;
    }

    /** Where the wall stands, or the skirting on it with the play of its notch. */
    private function wall(Edge $edge, float $v, float $z): float
    {
        $skirting = $z < $this->notchTop() ? $this->frame->skirtingThickness() + $this->rules->mm(Rule::NotchPlay) : 0.0;

        return $edge === Edge::Left ? $this->frame->leftAt($v, $z) + $skirting : $this->frame->rightAt($v, $z) - $skirting;
    }

    private function sigma(Edge $edge, float $v, float $from, float $to): float
    {
        $side = $edge === Edge::Left ? 'left' : 'right';

        return max([0.0, ...array_map(fn (float $z) => $this->frame->sigmaAt($side, $v, $z), $this->frame->bendsBetween($from, $to))]);
    }
}
