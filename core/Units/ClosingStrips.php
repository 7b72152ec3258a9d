<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Box;
use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Terms;
use Incastro\Geometry\Axis;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Polyline;
use Incastro\Geometry\Prism;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\EdgeWork;
use Incastro\Pieces\Grain;
use Incastro\Rules\MaterialRole;
use Incastro\Rules\Rule;

/** What closes an edge of a box where its frame does not: a scribed filler on a cleat set back by its thickness, or a trim. */
final readonly class ClosingStrips
{
    private const CLEAT = 30;

    private PieceMaker $make;

    private float $thickness;

    private float $v;

    public function __construct(private FittedRun $run, private Box $box, private Terms $terms)
    {
        $this->make = new PieceMaker($box->id, $box->mark(), $terms->materials, $terms->format);
        $this->thickness = $terms->materials->frame->thickness->toDouble();
        $this->v = $box->face() - $this->thickness;
    }

    public function build(): Assembly
    {
        $placed = [];
        foreach ([Side::Left, Side::Right, Side::Top] as $side) {
            $edge = $this->run->edge($side, $this->box->id);
            array_push($placed, ...match ($edge?->closing) {
                Closing::Filler => $this->filler($edge),
                Closing::Trim => [$this->trim($edge)],
                default => [],
            });
        }

        return new Assembly($placed);
    }

    /** @return list<Placed> the strip, and the cleat behind it */
    private function filler(FittedEdge $edge): array
    {
        $isTop = $edge->side === Side::Top;
        $length = $this->lengthAlong($edge->side);
        $width = $edge->scribe->overhang ?? Working::start('largest gap', Length::ofDouble($edge->gap->most));
        $before = $isTop ? $this->reach(Side::Left) : 0.0;
        $outline = match (true) {
            $isTop => $this->betweenTheWalls($edge),
            $this->isScribedAbove() => $this->underTheCeiling($edge),
            default => ScribedOutline::of($edge->gap, 0.0, 0.0, $length->result->toDouble()),
        };
        $beyond = $outline->bounds()[3] - $edge->gap->most;
        $width = $beyond > 1e-6 ? $width->plus('beyond the box, where the gap is larger', Length::ofDouble($beyond)) : $width;
        $works = [new EdgeWork('outer, long', 'scribed to '.$edge->side->surface())];
        foreach ($isTop ? [Side::Left, Side::Right] : [] as $end) {
            if ($this->reach($end) > 0.0) {
                $works[] = new EdgeWork($end->value.', short', 'scribed to '.$end->surface());
            }
        }
        if (! $isTop && $this->isScribedAbove()) {
            $works[] = new EdgeWork('top, short', CeilingWork::of($this->run->frame, $this->beside($edge->side), $this->box->face(), $this->thickness));
        }
        $strip = $this->make->covering(
            'filler-'.$edge->side->value,
            $isTop ? 'Frieze' : 'Filler',
            $length,
            $width,
            MaterialRole::Frame,
            $outline,
            $works,
        );
        $cleat = $this->make->inner('cleat-'.$edge->side->value, 'Cleat', $isTop ? $length : $this->heightBeside($edge->side), Working::start('cleat width', Length::ofMillimetres(self::CLEAT)), MaterialRole::Carcass, Grain::Any, [], ['set back by the thickness of the strip']);
        $profile = $this->inPlace($outline, $edge->side, $before);
        $bounds = (new Prism(Axis::V, $profile, 0.0, 1.0))->bounds();
        $solid = $isTop
            ? Prism::block($bounds->u0, $this->v - self::CLEAT, $bounds->z0, $bounds->u1 - $bounds->u0, self::CLEAT, 1.0)
            : Prism::block($edge->side === Side::Left ? $bounds->u1 - 1.0 : $bounds->u0, $this->v - self::CLEAT, $bounds->z0, 1.0, self::CLEAT, $cleat->length->result->toDouble());
        [$along, $across] = $isTop ? [Axis::U, Axis::Z] : [Axis::Z, Axis::U];

        return [
            new Placed($strip, new Prism(Axis::V, $profile, $this->v, $this->v + $this->thickness), $along, $across, Part::Face, $this->box->id),
            new Placed($cleat, $solid, $along, Axis::V, Part::Cleat, $this->box->id),
        ];
    }

    /**
     * An outline with x along the edge and y away from the furniture, where it stands: u and z.
     *
     * @return list<Point>
     */
    private function inPlace(Polygon $outline, Side $side, float $before): array
    {
        $points = array_map(fn (Point $point) => match ($side) {
            Side::Left => new Point($this->box->u - $point->y, $this->box->z + $point->x),
            Side::Right => new Point($this->box->right() + $point->y, $this->box->z + $point->x),
            default => new Point($this->box->u + $point->x - $before, $this->box->topAt(min($this->box->right(), max($this->box->u, $this->box->u + $point->x - $before)), $this->box->face()) + $point->y),
        }, $outline->points);

        return $points;
    }

    private function trim(FittedEdge $edge): Placed
    {
        $length = $this->lengthAlong($edge->side);
        $face = $this->terms->rules->get(Rule::TrimFace);
        $piece = $this->make->covering('trim-'.$edge->side->value, 'Trim', $length, Working::start('face of the trim', $face), MaterialRole::Frame, null, [new EdgeWork('outer, long', 'touches the house')]);
        $isTop = $edge->side === Side::Top;
        $lap = $face->toDouble() - $edge->gap->most;
        $line = new Polyline($edge->gap->stations);
        $from = $isTop ? $this->reach(Side::Left) : 0.0;
        $outline = new Polygon([new Point(0.0, -$lap), new Point($length->result->toDouble(), -$lap), new Point($length->result->toDouble(), $line->at($length->result->toDouble() - $from)), new Point(0.0, $line->at(-$from))]);
        [$along, $across] = $isTop ? [Axis::U, Axis::Z] : [Axis::Z, Axis::U];

        return new Placed($piece, new Prism(Axis::V, $this->inPlace($outline, $edge->side, $from), $this->v + $this->thickness, $this->v + 2 * $this->thickness), $along, $across, Part::Face, $this->box->id);
    }

    /** Along a side: as long as the stile. Along the top: over the box and what its stiles or fillers reach beyond it. */
    private function lengthAlong(Side $side): Working
    {
        if ($side !== Side::Top) {
            $length = $this->heightBeside($side);
            $top = $this->run->edge(Side::Top, $this->box->id);
            if (! $this->isScribedAbove() || $top?->scribe === null) {
                return $length;
            }
            // Beyond the box the ceiling may be higher.
            $outer = $this->beside($side) + ($side === Side::Left ? -1.0 : 1.0) * $this->reach($side);
            $rise = $this->ceiling($outer) - $this->ceiling($this->beside($side));
            $length = $length->plus('overhang to scribe to the ceiling', $top->scribe->blank());

            return $rise > 1e-6 ? $length->plus('to its outer corner, which is higher', Length::ofDouble($rise)) : $length;
        }
        $length = Working::start('width of the box', $this->box->outerWidth());
        foreach ([Side::Left, Side::Right] as $end) {
            $length = $this->reach($end) > 0.0 ? $length->plus('to '.$end->surface(), Length::ofDouble($this->reach($end))) : $length;
        }

        return $length;
    }

    private function heightBeside(Side $side): Working
    {
        $high = $side === Side::Left ? $this->box->top->left : $this->box->top->right;

        return abs($high - $this->box->outerHeight()->toDouble()) < 1e-6 ? Working::start('height of the box', $this->box->outerHeight()) : Working::start('height of the box there', Length::ofDouble($high));
    }

    private function isScribedAbove(): bool
    {
        return $this->run->edge(Side::Top, $this->box->id)?->closing === Closing::Scribe;
    }

    private function beside(Side $side): float
    {
        return $side === Side::Left ? $this->box->u : $this->box->right();
    }

    /** Height of the ceiling over the box's foot in the plane of its face, mm. */
    private function ceiling(float $u): float
    {
        return $this->run->frame->ceilingAt($u, $this->box->face()) - $this->box->z;
    }

    /** A frieze over a box and what closes its sides, from wall to wall: x from the blank's left end. */
    private function betweenTheWalls(FittedEdge $edge): Polygon
    {
        $gap = new Polyline($edge->gap->stations);
        $wide = $this->box->outerWidth()->toDouble();
        $left = $this->gapAbove(Side::Left, $gap->at(0.0));
        $right = $this->gapAbove(Side::Right, $gap->at($wide));
        $outer = ScribedOutline::line($edge->gap, 0.0, $left, $left + $wide + $right);
        $start = $this->reach(Side::Left);

        return new Polygon([
            new Point($start - $this->gapAbove(Side::Left, 0.0), 0.0),
            new Point($start + $wide + $this->gapAbove(Side::Right, 0.0), 0.0),
            ...array_reverse(array_map(fn (Point $point) => $point->plus($start - $left, 0.0), $outer)),
        ]);
    }

    /** How far the wall stands from the box so high over its top, mm; nothing beside another box. */
    private function gapAbove(Side $side, float $over): float
    {
        $stations = $this->run->edge($side, $this->box->id)->gap->stations ?? null;

        return $stations === null ? 0.0 : (new Polyline($stations))->at($stations[count($stations) - 1]->x + $over);
    }

    /** A filler beside a box that is scribed to the ceiling goes up to it too, along its whole width. */
    private function underTheCeiling(FittedEdge $edge): Polygon
    {
        $away = $edge->side === Side::Left ? -1.0 : 1.0;
        $inner = $this->ceiling($this->beside($edge->side));
        $line = ScribedOutline::line($edge->gap, 0.0, 0.0, $inner);
        $wide = $line[count($line) - 1]->y;
        $outer = $this->ceiling($this->beside($edge->side) + $away * $wide);
        $below = array_filter($line, fn (Point $point) => $point->x < $outer - 1e-6);

        return new Polygon([new Point(0.0, 0.0), new Point($inner, 0.0), new Point($outer, $wide), ...array_reverse(array_values($below))]);
    }

    /** How far the closing of a side reaches beyond the box, in mm; nothing beside another box. */
    private function reach(Side $side): float
    {
        $edge = $this->run->edge($side, $this->box->id);

        return $edge === null ? 0.0 : $edge->scribe?->blank()->toDouble() ?? max(0.0, $edge->gap->most);
    }
}
