<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedCell;
use Incastro\Fit\FittedPanel;
use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedWorktop;
use Incastro\Fit\Terms;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Polyline;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\Sawn;
use Incastro\Pieces\Works\Scribed;
use Incastro\Rules\MaterialRole;

/** Single boards that are cut to the house: worktops, end panels and filler panels. */
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
        $works = [new Finished('front, long', Finish::Straight)];
        $left = 0.0;
        foreach ([Side::Left, Side::Right] as $side) {
            $edge = $this->edge($side, $worktop->id);
            if ($edge?->scribe !== null) {
                $length = $length->plus('overhang to scribe at the '.$side->value, $edge->scribe->blank());
                $works[] = new Scribed($side->value.', short', $side);
                $left = $side === Side::Left ? $edge->scribe->blank()->toDouble() : $left;
            }
        }
        $back = $this->edge(Side::Back, $worktop->id);
        if ($back?->scribe !== null) {
            $depth = $depth->plus('overhang to scribe to the wall behind', $back->scribe->blank());
            $works[] = new Scribed('back, long', Side::Back);
        }
        // The corner of the blank: what it is cut from stands over the finished edges.
        $profile = new Outline(new Polygon($this->worktopOutline($worktop)));
        [$least, , $foremost] = $profile->bounds();
        [$u, $v] = [min($least, $worktop->u - $left), min($foremost, $worktop->v - ($back?->scribe?->blank()->toDouble() ?? 0.0))];
        $piece = $this->maker($worktop->id, $worktop->mark)->covering('top', 'Worktop', $length, $depth, MaterialRole::Carcass, $profile->moved(-$u, -$v), $works, ['screwed from below']);
        $placed = new Placed($piece, Pose::at($u, $v, $worktop->z, Way::Right, Way::Out, Way::Up), Part::Worktop, $worktop->id);

        return new Assembly([$placed], array_map(fn (string $top) => new Joint($top, $piece->key, JointKind::Screws, 'worktop from below'), $worktop->carriers));
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

    /** An end panel from the floor up, its back edge scribed to the wall behind, its top as that of the box beside it. */
    public function endPanel(FittedPanel $panel): Assembly
    {
        $edge = $this->edge(Side::Back, $panel->id);
        $high = $panel->height->result->toDouble();
        $deep = $panel->depth->result->toDouble();
        $width = $edge?->scribe === null ? $panel->depth : $panel->depth->plus('overhang to scribe to the wall behind', $edge->scribe->blank());
        $works = $edge === null ? [] : [new Scribed('back, long', Side::Back)];
        $outline = $edge === null ? Outline::rectangle(0.0, 0.0, $high, $deep) : new Outline(ScribedOutline::of($edge->gap, $deep, 0.0, $high));
        if ($panel->slope !== []) {
            // Over the box's top: y goes from the face back.
            $above = array_map(fn (Point $point) => new Point($point->y, $panel->v + $deep - $point->x), $panel->slope);
            [$first, $last] = [$above[0], $above[count($above) - 1]];
            $outline = $outline->minus(new Polygon([...$above, new Point($high + 1.0, $last->y), new Point($high + 1.0, $first->y)]))[0] ?? $outline;
            $works[] = new Sawn('back of the top', $panel->angle, ' to the slope');
        }
        $piece = $this->maker($panel->id, $panel->mark)->covering('panel', 'End panel', $panel->height, $width, MaterialRole::Carcass, $edge === null && $panel->slope === [] ? null : $outline, $works, ['screwed from inside the box']);
        $placed = new Placed($piece, Pose::at($panel->u, $panel->v + $deep, $panel->z, Way::Up, Way::In, Way::Right), Part::Face, $panel->id);

        return new Assembly([$placed], [new Joint($panel->side, $piece->key, JointKind::Screws, 'end panels')]);
    }

    /** A panel in the plane of the face that closes a cell, on cleats behind it. */
    public function filler(FittedCell $cell, string $mark): Assembly
    {
        $t = $this->terms->materials->frame->thickness->toDouble();
        $board = $this->terms->board();
        $make = $this->maker($cell->tier->id, $mark);
        $frame = $this->run->frame;
        // Where the ceiling comes down towards the wall, it is lower behind the panel's face.
        $drop = fn (float $u, float $behind): float => max(0.0, $frame->ceilingAt($u, $cell->face) - $frame->ceilingAt($u, $cell->face - $behind));
        [$left, $right] = [$cell->left - $drop($cell->u, $t), $cell->right - $drop($cell->end(), $t)];
        $length = abs($left - $right) < 1e-6 ? $cell->height : Working::start('height at its high side', Length::ofDouble(max($cell->left, $cell->right)));
        $less = max($cell->left, $cell->right) - max($left, $right);
        $length = $less > 1e-6 ? $length->minus('the slope behind its face', Length::ofDouble($less)) : $length;
        $wide = $cell->width->result->toDouble();
        $outline = new Outline(new Polygon([new Point(0.0, 0.0), new Point($left, 0.0), new Point($right, $wide), new Point(0.0, $wide)]));
        $piece = $make->inner('panel', 'Filler panel', $length, $cell->width, MaterialRole::Frame, Grain::Length, [], ['on cleats set back by its thickness'], $outline);
        $placed = [new Placed($piece, Pose::at($cell->u, $cell->face - $t, $cell->z, Way::Up, Way::Right, Way::Out), Part::Face, $cell->tier->id)];
        $joints = [];
        $line = new Polyline([new Point($cell->u, $cell->left), new Point($cell->end(), $cell->right)]);
        $places = ['left' => $cell->u, 'right' => $cell->end() - $board];
        foreach ($wide < 3 * $board ? array_slice($places, 0, 1) : $places as $at => $u) {
            if ($wide < $board || $cell->face - $cell->back < $t + self::CLEAT) {
                continue;
            }
            $fits = min($line->at($u) - $drop($u, $t + self::CLEAT), $line->at($u + $board) - $drop($u + $board, $t + self::CLEAT));
            $cleat = $make->inner("cleat-$at", 'Cleat', Working::start('height of the panel there', Length::ofDouble($fits)), Working::start('cleat width', Length::ofMillimetres(self::CLEAT)), MaterialRole::Carcass, Grain::Any);
            $placed[] = new Placed($cleat, Pose::at($u, $cell->face - $t - self::CLEAT, $cell->z, Way::Up, Way::Out, Way::Right), Part::Cleat, $cell->tier->id);
            $joints[] = new Joint($cleat->key, $piece->key, JointKind::Screws, 'filler panels to cleats');
        }

        return new Assembly($placed, $joints);
    }
}
