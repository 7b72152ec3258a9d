<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Cell;
use Incastro\Fit\Closing;
use Incastro\Fit\Edge;
use Incastro\Fit\FittedEdge;
use Incastro\Fit\FittedRun;
use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Pieces\EdgeWork;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Rules\HouseRules;
use Incastro\Rules\MaterialRole;
use Incastro\Rules\Materials;
use Incastro\Rules\Rule;

/**
 * The face frame of a box and what closes its edges: stiles full height, the outer ones wider where they are scribed,
 * rails between them; fillers on cleats, and cover trim.
 */
final readonly class FaceFrame
{
    private const CLEAT = 30;

    private PieceMaker $make;

    private Cell $cell;

    private float $thickness;

    private float $v;

    public function __construct(
        private FittedRun $run,
        private HouseRules $rules,
        Materials $materials,
        LengthFormat $format,
    ) {
        $this->cell = $run->cell;
        $this->make = new PieceMaker($this->cell->id, $this->cell->mark(), $materials, $format);
        $this->thickness = $materials->frame->thickness->toDouble();
        $this->v = $this->cell->outerDepth()->toDouble() - $this->thickness;
    }

    public function build(): Assembly
    {
        return new Assembly(array_values([
            $this->stile(Edge::Left), $this->stile(Edge::Right), $this->bottomRail(), $this->topRail(),
            ...$this->closing(Edge::Left), ...$this->closing(Edge::Right), ...$this->closing(Edge::Top),
        ]));
    }

    private function overhang(Edge $edge): ?Working
    {
        $fitted = $this->run->edge($edge);

        return $fitted->closing === Closing::Scribe ? $fitted->scribe?->overhang : null;
    }

    /** Frames that are scribed to the ceiling stand over the box by the overhang, stiles and top rail alike. */
    private function stileLength(): Working
    {
        $length = Working::start('height of the box', $this->cell->outerHeight());
        $top = $this->overhang(Edge::Top);

        return $top === null ? $length : $length->plus('overhang to scribe to the ceiling', $top->result);
    }

    private function stile(Edge $edge): Placed
    {
        $hand = $edge === Edge::Left ? 'L' : 'R';
        $overhang = $this->overhang($edge);
        $width = Working::start('stile over the box', $this->rules->get(Rule::StileWidth));
        $works = [new EdgeWork('inner, long', 'straight')];
        $outline = null;
        $over = 0.0;
        if ($overhang !== null) {
            $width = $width->plus('overhang to scribe', $overhang->result);
            $outline = $this->outline($edge, $this->rules->mm(Rule::StileWidth), $this->stileLength()->result->toDouble());
            $works[] = new EdgeWork('outer, long', 'scribed to the '.$edge->value.' wall');
            $over = $overhang->result->toDouble();
        }
        if ($this->overhang(Edge::Top) !== null) {
            $works[] = new EdgeWork('top, short', 'scribed to the ceiling');
        }
        $piece = $overhang === null
            ? $this->make->inner("stile-$hand", 'Stile', $this->stileLength(), $width, MaterialRole::Frame, Grain::Length, $works, ['pocket screws from the rails'])
            : $this->make->covering("stile-$hand", 'Stile', $this->stileLength(), $width, MaterialRole::Frame, $outline, $works);
        $u = $edge === Edge::Left
            ? $this->cell->u - $over
            : $this->cell->u + $this->cell->outerWidth()->toDouble() - $this->rules->mm(Rule::StileWidth);

        return new Placed($piece, $u, $this->v, $this->cell->z, $width->result->toDouble(), $this->thickness, $this->stileLength()->result->toDouble());
    }

    private function betweenStiles(): Working
    {
        return Working::start('width of the box', $this->cell->outerWidth())
            ->minusTimes('two stiles over the box', 2, $this->rules->get(Rule::StileWidth));
    }

    private function bottomRail(): Placed
    {
        $width = Working::start('rail width', $this->rules->get(Rule::RailWidth));
        $piece = $this->make->inner('rail-bottom', 'Rail', $this->betweenStiles(), $width, MaterialRole::Frame, Grain::Length, [], ['pocket screws into the stiles']);

        return $this->rail($piece, $this->cell->z);
    }

    private function topRail(): Placed
    {
        $width = Working::start('rail width', $this->rules->get(Rule::RailWidth));
        $overhang = $this->overhang(Edge::Top);
        $z = $this->cell->z + $this->cell->outerHeight()->toDouble() - $width->result->toDouble();
        if ($overhang === null) {
            return $this->rail($this->make->inner('rail-top', 'Rail', $this->betweenStiles(), $width, MaterialRole::Frame, Grain::Length, [], ['pocket screws into the stiles']), $z);
        }
        $piece = $this->make->covering('rail-top', 'Rail', $this->betweenStiles(), $width->plus('overhang to scribe to the ceiling', $overhang->result), MaterialRole::Frame, null, [new EdgeWork('upper, long', 'scribed to the ceiling')]);

        return $this->rail($piece, $z);
    }

    private function rail(Piece $piece, float $z): Placed
    {
        return new Placed($piece, $this->cell->u + $this->rules->mm(Rule::StileWidth), $this->v, $z, $piece->length->result->toDouble(), $this->thickness, $piece->width->result->toDouble());
    }

    /**
     * The strips that close an edge where the frame itself does not.
     *
     * @return list<Placed>
     */
    private function closing(Edge $edge): array
    {
        return match ($this->run->edge($edge)->closing) {
            Closing::Filler => $this->filler($this->run->edge($edge)),
            Closing::Trim => [$this->trim($edge)],
            default => [],
        };
    }

    /** @return list<Placed> the strip, and the cleat behind it */
    private function filler(FittedEdge $edge): array
    {
        $isTop = $edge->edge === Edge::Top;
        $length = $this->lengthAlong($edge->edge);
        $width = $edge->scribe->overhang ?? Working::start('largest gap', Length::ofDouble($edge->gap->most));
        $before = $isTop ? $this->reach(Edge::Left) : 0.0;
        $strip = $this->make->covering(
            'filler-'.$edge->edge->value,
            $isTop ? 'Frieze' : 'Filler',
            $length,
            $width,
            MaterialRole::Frame,
            ScribedOutline::of($edge->gap, 0.0, $before, $length->result->toDouble()),
            [new EdgeWork('outer, long', $isTop ? 'scribed to the ceiling' : 'scribed to the '.$edge->edge->value.' wall')]
        );
        $cleat = $this->make->inner('cleat-'.$edge->edge->value, 'Cleat', $length, Working::start('cleat width', Length::ofMillimetres(self::CLEAT)), MaterialRole::Carcass, Grain::Any, [], ['set back by the thickness of the strip']);
        [$u, $z] = $this->corner($edge->edge, $width->result->toDouble());
        $across = $width->result->toDouble();
        $along = $length->result->toDouble();

        return [
            new Placed($strip, $u, $this->v, $z, $isTop ? $along : $across, $this->thickness, $isTop ? $across : $along),
            new Placed($cleat, $u, $this->v - self::CLEAT, $z, $isTop ? $along : 1.0, self::CLEAT, $isTop ? 1.0 : $along),
        ];
    }

    private function trim(Edge $edge): Placed
    {
        $length = $this->lengthAlong($edge);
        $face = $this->rules->get(Rule::TrimFace);
        $piece = $this->make->covering('trim-'.$edge->value, 'Trim', $length, Working::start('face of the trim', $face), MaterialRole::Frame, null, [new EdgeWork('outer, long', 'touches the house')]);
        [$u, $z] = $this->corner($edge, $this->run->edge($edge)->gap->most);
        $isTop = $edge === Edge::Top;

        return new Placed($piece, $u, $this->v + $this->thickness, $z, $isTop ? $length->result->toDouble() : $face->toDouble(), $this->thickness, $isTop ? $face->toDouble() : $length->result->toDouble());
    }

    /** Along a side: as long as the stile. Along the top: over the box and what its stiles or fillers reach beyond it. */
    private function lengthAlong(Edge $edge): Working
    {
        if ($edge !== Edge::Top) {
            return $this->stileLength();
        }

        return Working::start('width of the box', $this->cell->outerWidth())
            ->plus('to the left wall', Length::ofDouble($this->reach(Edge::Left)))
            ->plus('to the right wall', Length::ofDouble($this->reach(Edge::Right)));
    }

    /** How far the closing of a side reaches beyond the box, in mm. */
    private function reach(Edge $edge): float
    {
        $fitted = $this->run->edge($edge);

        return $fitted->scribe?->blank()->toDouble() ?? max(0.0, $fitted->gap->most);
    }

    /**
     * Lower left corner of a strip beyond an edge: u and z in mm.
     *
     * @return array{float, float}
     */
    private function corner(Edge $edge, float $across): array
    {
        return match ($edge) {
            Edge::Left => [$this->cell->u - $across, $this->cell->z],
            Edge::Right => [$this->cell->u + $this->cell->outerWidth()->toDouble(), $this->cell->z],
            default => [$this->cell->u - $this->reach(Edge::Left), $this->cell->z + $this->cell->outerHeight()->toDouble()],
        };
    }

    private function outline(Edge $edge, float $inner, float $length): Polygon
    {
        return ScribedOutline::of($this->run->edge($edge)->gap, $inner, 0.0, $length);
    }
}
