<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedCell;
use Incastro\Fit\FittedPanel;
use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedShelf;
use Incastro\Fit\FittedWorktop;
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

/** Single boards that are cut to the house: worktops, end panels, filler panels, and shelves on cleats. */
final readonly class Boards
{
    private const CLEAT = 30;

    /** Times that a corner between two scribed edges is looked for: each brings it ten times nearer and more. */
    private const MEETS = 4;

    public function __construct(private FittedRun $run, private Terms $terms)
    {
    }

    private function maker(string $owner, string $mark): PieceMaker
    {
        return new PieceMaker($owner, $mark, $this->terms->materials, $this->terms->format);
    }

    private function edge(Side $side, string $owner): ?FittedEdge
    {
        $edge = $this->run->edge($side, $owner);

        return $edge?->scribe === null ? null : $edge;
    }

    /** A worktop scribed to the wall behind it and to those at its ends; its front edge is straight. */
    public function worktop(FittedWorktop $worktop): Assembly
    {
        $length = $worktop->length;
        $depth = $worktop->depth;
        $works = [new EdgeWork('front, long', 'straight')];
        foreach ([Side::Left, Side::Right] as $side) {
            $edge = $this->edge($side, $worktop->id);
            if ($edge?->scribe !== null) {
                $length = $length->plus('overhang to scribe at the '.$side->value, $edge->scribe->blank());
                $works[] = new EdgeWork($side->value.', short', 'scribed to '.$side->surface());
            }
        }
        $back = $this->edge(Side::Back, $worktop->id);
        if ($back?->scribe !== null) {
            $depth = $depth->plus('overhang to scribe to the wall behind', $back->scribe->blank());
            $works[] = new EdgeWork('back, long', 'scribed to the wall behind');
        }
        $profile = $this->worktopOutline($worktop);
        $t = $this->terms->board();
        $piece = $this->maker($worktop->id, 'W'.$worktop->number)->covering('top', 'Worktop', $length, $depth, MaterialRole::Carcass, self::moved($profile), $works, ['screwed from below']);

        return new Assembly([new Placed($piece, new Prism(Axis::Z, $profile, $worktop->z, $worktop->z + $t), Axis::U, Axis::V, Part::Worktop, $worktop->id)], [new Hardware('wood screw 4 × 30', 8, 'worktop from below')]);
    }

    /** @return non-empty-list<Point> u and v, from the left back round */
    private function worktopOutline(FittedWorktop $worktop): array
    {
        $at = fn (?FittedEdge $edge, float $x): float => $edge === null ? 0.0 : (new Polyline($edge->gap->stations))->at($x);
        $back = $this->edge(Side::Back, $worktop->id);
        $left = $this->edge(Side::Left, $worktop->id);
        $right = $this->edge(Side::Right, $worktop->id);
        $leftAt = fn (float $v) => $worktop->u - $at($left, $v - $worktop->v);
        $rightAt = fn (float $v) => $worktop->end() + $at($right, $v - $worktop->v);
        // Both back corners lie where a side meets the wall behind: beside an oblique wall that is not where the box ends.
        [$from, $to] = [$leftAt($worktop->v), $rightAt($worktop->v)];
        for ($k = 0; $k < self::MEETS; $k++) {
            $from = $leftAt($worktop->v - $at($back, $from - $worktop->u));
            $to = $rightAt($worktop->v - $at($back, $to - $worktop->u));
        }
        $points = [new Point($from, $worktop->v - $at($back, $from - $worktop->u))];
        foreach ($back === null ? [] : $back->gap->stations as $station) {
            $u = $worktop->u + $station->x;
            if ($u > $from + 1.0 && $u < $to - 1.0) {
                $points[] = new Point($u, $worktop->v - $station->y);
            }
        }
        $points[] = new Point($to, $worktop->v - $at($back, $to - $worktop->u));
        foreach ($right === null ? [] : array_slice($right->gap->stations, 1, -1) as $station) {
            $points[] = new Point($worktop->end() + $station->y, $worktop->v + $station->x);
        }
        array_push($points, new Point($rightAt($worktop->front()), $worktop->front()), new Point($leftAt($worktop->front()), $worktop->front()));
        foreach ($left === null ? [] : array_reverse(array_slice($left->gap->stations, 1, -1)) as $station) {
            $points[] = new Point($worktop->u - $station->y, $worktop->v + $station->x);
        }

        return $points;
    }

    /** An end panel from the floor up, its back edge scribed to the wall behind. */
    public function endPanel(FittedPanel $panel): Assembly
    {
        $edge = $this->edge(Side::Back, $panel->id);
        $high = $panel->height->result->toDouble();
        $deep = $panel->depth->result->toDouble();
        $width = $edge?->scribe === null ? $panel->depth : $panel->depth->plus('overhang to scribe to the wall behind', $edge->scribe->blank());
        $outline = $edge === null ? Polygon::rectangle(0.0, 0.0, $high, $deep) : ScribedOutline::of($edge->gap, $deep, 0.0, $high);
        $profile = array_map(fn (Point $point) => new Point($panel->v + $deep - $point->y, $panel->z + $point->x), $outline->points);
        $works = $edge === null ? [] : [new EdgeWork('back, long', 'scribed to the wall behind')];
        $piece = $this->maker($panel->id, 'E'.$panel->number)->covering('panel', 'End panel', $panel->height, $width, MaterialRole::Carcass, $edge === null ? null : $outline, $works, ['screwed from inside the box']);

        return new Assembly([new Placed($piece, new Prism(Axis::U, $profile, $panel->u, $panel->u + $this->terms->board()), Axis::Z, Axis::V, Part::Face, $panel->id)]);
    }

    /** A panel in the plane of the face that closes a cell. */
    public function filler(FittedCell $cell, int $number): Assembly
    {
        $t = $this->terms->materials->frame->thickness->toDouble();
        $highest = max($cell->left, $cell->right);
        $points = $cell->outline();
        $length = abs($cell->left - $cell->right) < 1e-6 ? $cell->height : Working::start('height at its high side', Length::ofDouble($highest));
        $outline = new Polygon(array_map(fn (Point $point) => new Point($point->y - $cell->z, $point->x - $cell->u), [$points[0], $points[3], $points[2], $points[1]]));
        $piece = $this->maker($cell->tier->id, 'F'.$number)->inner('panel', 'Filler panel', $length, $cell->width, MaterialRole::Frame, Grain::Length, [], ['on cleats set back by its thickness'], $outline);
        $cleat = $this->maker($cell->tier->id, 'F'.$number)->inner('cleat', 'Cleat', $length, Working::start('cleat width', Length::ofMillimetres(self::CLEAT)), MaterialRole::Carcass, Grain::Any);

        return new Assembly([
            new Placed($piece, new Prism(Axis::V, $points, $cell->face - $t, $cell->face), Axis::Z, Axis::U, Part::Face, $cell->tier->id),
            new Placed($cleat, Prism::block($cell->u, $cell->face - $t - self::CLEAT, $cell->z, 1.0, self::CLEAT, $cell->left), Axis::Z, Axis::V, Part::Cleat, $cell->tier->id),
        ]);
    }

    /** A shelf cut to its own four corners, and the cleats that carry it on three sides. */
    public function shelf(FittedShelf $shelf, int $number): Assembly
    {
        $make = $this->maker($shelf->tierId, 'S'.$number);
        $outline = self::moved($shelf->outline);
        $works = [new EdgeWork('ends, short', 'cut to the walls: four corners of its own'), new EdgeWork('front, long', 'banded')];
        if ($shelf->tipping !== null) {
            $works[] = new EdgeWork('going in', sprintf('tipped %.0f°, which needs %s of free height', rad2deg($shelf->tipping->angle), $this->terms->write($shelf->tipping->height)));
        }
        $piece = $make->covering("shelf-$shelf->index", 'Shelf', $shelf->length, $shelf->depth, MaterialRole::Carcass, $outline, $works, ['on cleats']);
        $t = $this->terms->board();
        $placed = [new Placed($piece, new Prism(Axis::Z, $shelf->outline, $shelf->z, $shelf->z + $t), Axis::U, Axis::V, Part::Loose, $shelf->tierId)];
        $bounds = $placed[0]->bounds;
        $width = Working::start('cleat width', Length::ofMillimetres(self::CLEAT));
        foreach (['left' => [$bounds->u0, $t, $bounds->v1 - $bounds->v0 - 2 * $t], 'right' => [$bounds->u1 - $t, $t, $bounds->v1 - $bounds->v0 - 2 * $t]] as $at => [$u, $alongU, $alongV]) {
            $cleat = $make->inner("cleat-$at-$shelf->index", 'Cleat', Working::start('depth of the shelf, less its front', Length::ofDouble($alongV)), $width, MaterialRole::Carcass, Grain::Any, [], ['screwed to the wall, level']);
            $placed[] = new Placed($cleat, Prism::block($u, $bounds->v0 + $t, $shelf->z - self::CLEAT, $alongU, $alongV, self::CLEAT), Axis::V, Axis::Z, Part::Cleat, $shelf->tierId);
        }
        $back = $make->inner("cleat-back-$shelf->index", 'Cleat', Working::start('length of the shelf', $shelf->length->result)->minus('play', Length::ofMillimetres(2)), $width, MaterialRole::Carcass, Grain::Any, [], ['screwed to studs, level']);
        $placed[] = new Placed($back, Prism::block($bounds->u0, $bounds->v0, $shelf->z - self::CLEAT, $bounds->u1 - $bounds->u0, $t, self::CLEAT), Axis::U, Axis::Z, Part::Cleat, $shelf->tierId);

        return new Assembly($placed, [new Hardware('wood screw 5 × 60', 8, 'cleats to the wall')]);
    }

    /**
     * An outline moved so that its lowest x and y are 0; its y starts at the back.
     *
     * @param  non-empty-list<Point>  $points
     */
    private static function moved(array $points): Polygon
    {
        $x = min(array_map(fn (Point $point) => $point->x, $points));
        $y = min(array_map(fn (Point $point) => $point->y, $points));

        return new Polygon(array_map(fn (Point $point) => $point->plus(-$x, -$y), $points));
    }
}
