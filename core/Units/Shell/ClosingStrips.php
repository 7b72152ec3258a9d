<?php

declare(strict_types=1);

namespace Incastro\Units\Shell;

use Incastro\Fit\Box;
use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Terms;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Polyline;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Materials\Moulding;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\BoxJoints;
use Incastro\Units\Make\InFace;
use Incastro\Units\Make\ScribedOutline;
use Incastro\Units\Make\Scribing;
use Incastro\Units\Make\Workshop;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/** What closes an edge of a box where its frame does not: a scribed filler on a cleat set back by its thickness, or a trim. */
final readonly class ClosingStrips
{
    private const CLEAT = 30;

    /** Air between a cleat and the house, mm. */
    private const PLAY = 1.0;

    private Workshop $make;

    private float $thickness;

    private float $v;

    private Scribing $scribing;

    public function __construct(private FittedRun $run, private Box $box, private Terms $terms)
    {
        $this->make = new Workshop($box->id, $box->mark, $terms->materials, $terms->format);
        $this->thickness = $terms->materials->frame->thickness->toDouble();
        $this->v = $box->face() - $this->thickness;
        $this->scribing = new Scribing($run->frame, $box->face(), $this->thickness);
    }

    public function build(): Assembly
    {
        $assemblies = [];
        foreach ([Side::Left, Side::Right, Side::Top] as $side) {
            $edge = $this->run->edge($side, $this->box->id);
            $assemblies[] = match ($edge?->closing) {
                Closing::Filler => $side === Side::Top ? $this->frieze($edge) : $this->filler($edge),
                Closing::Trim => new Assembly([$side === Side::Top ? $this->trimAbove($edge) : $this->trim($edge)]),
                default => new Assembly([]),
            };
        }

        return Assembly::all(...$assemblies);
    }

    /** The strip beside a box, and the cleat behind it. */
    private function filler(FittedEdge $edge): Assembly
    {
        $length = $this->lengthAlong($edge->side);
        $outline = $this->isScribedAbove() || $this->box->top->isRaked()
            ? $this->underWhatIsAbove($edge)
            : ScribedOutline::of($edge->gap, 0.0, 0.0, $length->result->toDouble());
        $outer = array_slice($outline->points, 2);
        $works = [$this->scribing->wall('outer, long', $edge->side, $this->box->z, $this->box->z + $edge->gap->stations[count($edge->gap->stations) - 1]->x, $outer)];
        if ($this->isScribedAbove()) {
            $works[] = $this->scribing->ceiling('top, short', $this->beside($edge->side), $this->beside($edge->side), [$outline->points[1], $outline->points[2]]);
        }
        $strip = $this->make->covering('filler-'.$edge->side->value, 'Filler', $length, $this->widthOf($edge, $outline), Purpose::Frame, new Outline($outline), $works);
        $placed = [new Placed($strip, Pose::at($this->beside($edge->side), $this->v, $this->box->z, Way::Up, $edge->side === Side::Left ? Way::Left : Way::Right, Way::Out), Part::Face, $this->box->id)];
        $joints = [$this->held($strip, $edge->side === Side::Left ? 'stile-L' : 'stile-R', $edge->side === Side::Left ? 'side-L' : 'side-R')];
        $cleat = $this->cleat($edge, $this->underTheCeilingBehind($this->heightBeside($edge->side), $edge->side));
        if ($cleat !== null) {
            [$u, $t] = [$this->beside($edge->side), $this->terms->board()];
            $placed[] = new Placed($cleat, Pose::at($edge->side === Side::Left ? $u - $t : $u, $this->v - self::CLEAT, $this->box->z, Way::Up, Way::Out, Way::Right), Part::Cleat, $this->box->id);
            $joints[] = new Joint($cleat->key, $this->box->id.($edge->side === Side::Left ? ':side-L' : ':side-R'), JointKind::Screws, 'cleats to boxes');
        }

        return new Assembly($placed, $joints);
    }

    /** A strip is held in the plane of the face by the frame beside it, or through the board of a banded box into its edge. */
    private function held(Piece $strip, string $ofFrame, string $board): Joint
    {
        return $this->terms->frame()->isZero()
            ? new Joint($this->box->id.':'.$board, $strip->key, JointKind::Screws, 'fillers to boxes')
            : BoxJoints::inFace($this->terms, $strip->key, $this->box->id.':'.$ofFrame, 'fillers to the face frame');
    }

    /** The strip above a box, from wall to wall over what closes its sides, and the cleat behind it. */
    private function frieze(FittedEdge $edge): Assembly
    {
        $length = $this->lengthAlong(Side::Top);
        $shape = $this->betweenTheWalls($edge);
        $before = $this->reach(Side::Left);
        $profile = $this->standing($shape, $before);
        $face = new InFace($profile, $this->v, $this->turn());
        $works = [$this->scribing->ceiling('outer, long', $this->box->u, $this->box->right(), $face->line(array_slice($profile, 2)))];
        foreach ([Side::Left, Side::Right] as $end) {
            if ($this->reach($end) > 0.0) {
                $line = $end === Side::Left ? [$profile[count($profile) - 1], $profile[0]] : [$profile[1], $profile[2]];
                $works[] = $this->scribing->wall($end->value.', short', $end, $this->box->highest(), $this->box->highest() + $edge->gap->most, $face->line($line));
            }
        }
        [, $long, , $wide] = $face->outline->bounds();
        $length = $this->along($length, $long);
        $width = $this->widthOf($edge, $shape);
        $width = $wide > $width->result->toDouble() ? $width->plus('along the rake', Length::ofDouble($wide - $width->result->toDouble())) : $width;
        $strip = $this->make->covering('filler-top', 'Frieze', $length, $width, Purpose::Frame, $face->outline, $works);
        $placed = [new Placed($strip, $face->pose, Part::Face, $this->box->id)];
        $joints = [$this->held($strip, 'rail-top', 'top')];
        $cleat = $this->cleat($edge, Working::start('width of the box', $this->box->outerWidth()));
        if ($cleat !== null && ! $this->box->top->isRaked()) {
            $placed[] = new Placed($cleat, Pose::at($this->box->u, $this->v - self::CLEAT, $this->box->highest(), Way::Right, Way::Out, Way::Up), Part::Cleat, $this->box->id);
            $joints[] = new Joint($cleat->key, $this->box->id.':top', JointKind::Screws, 'cleats to boxes');
        }

        return new Assembly($placed, $joints);
    }

    /** The cleat that a strip is screwed to, set back by its thickness; null where the gap behind the strip has no room for it. */
    private function cleat(FittedEdge $edge, Working $length): ?Piece
    {
        $least = min(array_map(fn (float $v) => $this->leastGap($edge, $v), [$this->v - self::CLEAT, $this->v]));

        return $least < $this->terms->board() + self::PLAY ? null
            : $this->make->inner('cleat-'.$edge->side->value, 'Cleat', $length, Working::start('cleat width', Length::ofMillimetres(self::CLEAT)), Purpose::Carcass, Grain::Any, [], ['set back by the thickness of the strip']);
    }

    /** The least gap along an edge, at another depth than that of its face, mm. */
    private function leastGap(FittedEdge $edge, float $v): float
    {
        return min(array_map(fn (Point $station) => $this->gapAt($edge, $station->x, $v), $edge->gap->stations));
    }

    /** The gap so far along an edge, at another depth than that of its face, mm. */
    private function gapAt(FittedEdge $edge, float $at, float $v): float
    {
        $frame = $this->run->frame;

        return match ($edge->side) {
            Side::Left => $this->box->u - $frame->leftAt($v, $this->box->z + $at, $this->terms->rules->skirtingStays),
            Side::Right => $frame->rightAt($v, $this->box->z + $at, $this->terms->rules->skirtingStays) - $this->box->right(),
            default => $frame->ceilingAt($this->box->u + $at, $v) - $this->box->topAt($this->box->u + $at, $this->box->face()),
        };
    }

    private function widthOf(FittedEdge $edge, Polygon $outline): Working
    {
        $width = $edge->scribe->overhang ?? Working::start('largest gap', Length::ofDouble($edge->gap->most));
        $beyond = $outline->bounds()[3] - $edge->gap->most;

        return $beyond > 1e-6 ? $width->plus('beyond the box, where the gap is larger', Length::ofDouble($beyond)) : $width;
    }

    /** A length measured along the run, as long as it is along a rake. */
    private function along(Working $length, float $long): Working
    {
        $more = $long - $length->result->toDouble();

        return $this->box->top->isRaked() && $more > 0.0 ? $length->plus('along the rake, to its long points', Length::ofDouble($more)) : $length;
    }

    private function turn(): float
    {
        $angle = $this->box->top->isRaked() ? $this->box->top->angle($this->box->outerWidth()->toDouble()) : 0.0;

        return $this->box->top->right >= $this->box->top->left ? $angle : -$angle;
    }

    /**
     * A shape with x along the top of the box and y over it, where it stands: u and z.
     *
     * @return list<Point>
     */
    private function standing(Polygon $shape, float $before): array
    {
        $top = fn (float $u): float => $this->box->topAt($u, $this->box->face());

        return array_map(fn (Point $point) => new Point($this->box->u + $point->x - $before, $top($this->box->u + $point->x - $before) + $point->y), $shape->points);
    }

    /** A straight strip before the face that touches the house where it stands farthest in, and leans as the house does. */
    private function trim(FittedEdge $edge): Placed
    {
        [$first, $slope] = $this->touching($edge);
        $face = $this->trimFace();
        $piece = $this->make->covering('trim-'.$edge->side->value, 'Trim', $this->lengthAlong($edge->side), Working::start('face of the trim', $face), Purpose::Trim, null, [new Finished('outer, long', Finish::TouchesHouse)]);
        $away = $edge->side === Side::Left ? -1.0 : 1.0;
        $long = hypot(1.0, $slope);
        $along = new Vector($away * $slope / $long, 0.0, 1.0 / $long);
        $across = new Vector($away / $long, 0.0, -$slope / $long);
        $at = (new Vector($this->beside($edge->side) + $away * $first, $this->v + $this->thickness, $this->box->z))->minus($across->times($piece->width->result->toDouble()));

        return new Placed($piece, new Pose($at, $along, $across, Way::Out->vector()), Part::Face, $this->box->id);
    }

    private function trimAbove(FittedEdge $edge): Placed
    {
        [$first, $slope] = $this->touching($edge);
        $length = $this->lengthAlong(Side::Top);
        $before = $this->reach(Side::Left);
        $long = $length->result->toDouble();
        $face = $this->trimFace()->toDouble();
        $at = fn (float $x): float => $first + $slope * ($x - $before);
        $profile = $this->standing(new Polygon([new Point(0.0, $at(0.0) - $face), new Point($long, $at($long) - $face), new Point($long, $at($long)), new Point(0.0, $at(0.0))]), $before);
        $shape = new InFace($profile, $this->v + $this->thickness, atan2($profile[1]->y - $profile[0]->y, $profile[1]->x - $profile[0]->x));
        $piece = $this->make->covering('trim-top', 'Trim', $this->along($length, $shape->outline->bounds()[1]), Working::start('face of the trim', $this->trimFace()), Purpose::Trim, $shape->outline, [new Finished('outer, long', Finish::TouchesHouse)]);

        return new Placed($piece, $shape->pose, Part::Face, $this->box->id);
    }

    /** How wide a trim shows: a moulding is as wide as it is. */
    private function trimFace(): Length
    {
        $material = $this->terms->materials->for(Purpose::Trim);

        return $material instanceof Moulding ? $material->width : $this->terms->rules->get(Rule::TrimFace);
    }

    /**
     * The straight line along which a trim touches the house, as near as both its faces allow: how far from the box at its
     * first station, and how much further for each mm along.
     *
     * @return array{float, float}
     */
    private function touching(FittedEdge $edge): array
    {
        $stations = $edge->gap->stations;
        [$first, $slope] = count($stations) > 1 ? Polyline::bestLine($stations) : [$stations[0]->y, 0.0];
        $less = 0.0;
        foreach ($stations as $station) {
            $less = max($less, $first + $slope * $station->x - min($station->y, $this->gapAt($edge, $station->x, $this->box->face() + $this->terms->materials->for(Purpose::Trim)->thickness->toDouble())));
        }

        return [$first - $less, $slope];
    }

    /** Along a side: as long as the stile. Along the top: over the box and what its stiles or fillers reach beyond it. */
    private function lengthAlong(Side $side): Working
    {
        if ($side !== Side::Top) {
            $length = $this->heightBeside($side);
            $top = $this->run->edge(Side::Top, $this->box->id);
            $isScribed = $this->isScribedAbove() && $top?->scribe !== null;
            if (! $isScribed && ! $this->box->top->isRaked()) {
                return $length;
            }
            // Beyond the box the ceiling, or its rake, may be higher.
            $outer = $this->beside($side) + ($side === Side::Left ? -1.0 : 1.0) * $this->reach($side);
            $rise = $this->above($outer) - $this->above($this->beside($side));
            $length = $isScribed ? $length->plus('overhang to scribe to the ceiling', $top->scribe->blank()) : $length;

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

    /** A height beside the box, no more than the ceiling leaves where a cleat stands behind the face. */
    private function underTheCeilingBehind(Working $height, Side $side): Working
    {
        $frame = $this->run->frame;
        $least = min($frame->ceilingAt($this->beside($side), $this->v - self::CLEAT), $frame->ceilingAt($this->beside($side) + ($side === Side::Left ? -1.0 : 1.0) * $this->terms->board(), $this->v - self::CLEAT));

        return $height->atMost('under the ceiling, where it stands', Length::ofDouble(max(1.0, $least - $this->box->z - self::PLAY)));
    }

    private function isScribedAbove(): bool
    {
        return $this->run->edge(Side::Top, $this->box->id)?->closing === Closing::Scribe;
    }

    private function beside(Side $side): float
    {
        return $side === Side::Left ? $this->box->u : $this->box->right();
    }

    /** How high what closes a side goes, over the box's foot, mm. */
    private function above(float $u): float
    {
        return $this->isScribedAbove() ? $this->ceiling($u) : $this->box->topAt($u, $this->box->face()) - $this->box->z;
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

    /** A filler beside a box that is scribed to the ceiling goes up to it too, along its whole width; beside a raked top it follows the rake. */
    private function underWhatIsAbove(FittedEdge $edge): Polygon
    {
        $away = $edge->side === Side::Left ? -1.0 : 1.0;
        $inner = $this->above($this->beside($edge->side));
        $line = ScribedOutline::line($edge->gap, 0.0, 0.0, $inner);
        $wide = $line[count($line) - 1]->y;
        $outer = $this->above($this->beside($edge->side) + $away * $wide);
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
