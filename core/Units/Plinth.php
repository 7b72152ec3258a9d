<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Box;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedPlinth;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Terms;
use Incastro\Geometry\Axis;
use Incastro\Geometry\Point;
use Incastro\Geometry\Prism;
use Incastro\Measure\Working;
use Incastro\Pieces\EdgeWork;
use Incastro\Pieces\Grain;
use Incastro\Rules\MaterialRole;
use Incastro\Rules\Rule;

/**
 * A separate plinth, levelled to the highest floor point: two long rails, cross-bearers at its ends, under every joint of the
 * boxes on it and no further apart than the rule, shims by the floor's fall, and a toe board scribed to the floor.
 */
final readonly class Plinth
{
    private PieceMaker $make;

    public function __construct(private FittedRun $run, private FittedPlinth $plinth, private Terms $terms)
    {
        $this->make = new PieceMaker($plinth->id, 'P'.$plinth->number, $terms->materials, $terms->format);
    }

    public function build(): Assembly
    {
        $t = $this->terms->board();
        $length = $this->plinth->length->result->toDouble();
        $depth = $this->plinth->depth->result->toDouble();
        $height = $this->plinth->height->toDouble();
        $v = $this->plinth->v;
        $high = Working::start('plinth height', $this->plinth->height);
        $rail = fn (string $at) => $this->make->inner("rail-$at", 'Plinth rail', $this->plinth->length, $high, MaterialRole::Carcass, Grain::Any, [], ['screwed into the bearers’ ends']);
        $at = fn (float $u, float $v, float $alongU, float $alongV) => Prism::block($u, $v, 0.0, $alongU, $alongV, $height);
        $placed = [
            new Placed($rail('front'), $at($this->plinth->u, $v + $depth - $t, $length, $t), Axis::U, Axis::Z, Part::Plinth, $this->plinth->id),
            new Placed($rail('back'), $at($this->plinth->u, $v, $length, $t), Axis::U, Axis::Z, Part::Plinth, $this->plinth->id),
        ];
        $between = $this->plinth->depth->minusTimes('two rails', 2, $this->terms->materials->carcass->thickness);
        foreach ($this->bearers() as $i => $u) {
            $bearer = $this->make->inner('bearer-'.($i + 1), 'Plinth bearer', $between, $high, MaterialRole::Carcass, Grain::Any, [], ['between the rails']);
            $placed[] = new Placed($bearer, $at($u, $v + $t, $t, $depth - 2 * $t), Axis::V, Axis::Z, Part::Plinth, $this->plinth->id);
        }
        $count = count($this->bearers());

        return new Assembly([...$placed, ...$this->toeBoard()], [new Hardware('wood screw 5 × 60', 4 * $count, 'plinth rails to bearers')]);
    }

    /** @return non-empty-list<float> u of each bearer's left */
    private function bearers(): array
    {
        $t = $this->terms->board();
        $places = [$this->plinth->u];
        $joints = array_map(fn (Box $box) => $box->right() - $t / 2, array_slice($this->plinth->boxes, 0, -1));
        foreach ([...$joints, $this->plinth->end() - $t] as $to) {
            $from = $places[count($places) - 1];
            $steps = max(1, (int) ceil(($to - $from) / $this->terms->rule(Rule::BearerSpacing)));
            for ($k = 1; $k <= $steps; $k++) {
                $places[] = $from + ($to - $from) * $k / $steps;
            }
        }

        return $places;
    }

    /** @return list<Placed> */
    private function toeBoard(): array
    {
        $edge = $this->run->edge(Side::Foot, $this->plinth->id);
        if ($edge?->scribe === null) {
            return [];
        }
        $height = Working::start('plinth height', $this->plinth->height)->plus('overhang to scribe to the floor', $edge->scribe->blank());
        $high = $this->plinth->height->toDouble();
        $outline = ScribedOutline::of($edge->gap, $high, 0.0, $this->plinth->length->result->toDouble());
        $piece = $this->make->covering('toe-board', 'Toe board', $this->plinth->length, $height, MaterialRole::Frame, $outline, [new EdgeWork('lower, long', 'scribed to the floor')]);
        $profile = array_map(fn (Point $point) => new Point($this->plinth->u + $point->x, $high - $point->y), $outline->points);
        $front = $this->plinth->front();

        return [new Placed($piece, new Prism(Axis::V, $profile, $front, $front + $this->terms->materials->frame->thickness->toDouble()), Axis::U, Axis::Z, Part::Plinth, $this->plinth->id)];
    }
}
