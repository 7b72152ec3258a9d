<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Box;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedPlinth;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Terms;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Scribed;
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
        $this->make = new PieceMaker($plinth->id, $plinth->mark, $terms->materials, $terms->format);
    }

    public function build(): Assembly
    {
        $t = $this->terms->board();
        $depth = $this->plinth->depth->result->toDouble();
        $v = $this->plinth->v;
        $high = Working::start('plinth height', $this->plinth->height);
        $placed = $joints = [];
        foreach (['front' => $v + $depth - $t, 'back' => $v] as $at => $from) {
            $rail = $this->make->inner("rail-$at", 'Plinth rail', $this->plinth->length, $high, MaterialRole::Carcass, Grain::Any, [], ['screwed into the bearers’ ends']);
            $placed[] = new Placed($rail, Pose::at($this->plinth->u, $from, 0.0, Way::Right, Way::Up, Way::Out), Part::Plinth, $this->plinth->id);
        }
        $between = $this->plinth->depth->minusTimes('two rails', 2, $this->terms->materials->carcass->thickness);
        foreach ($this->bearers() as $i => $u) {
            $bearer = $this->make->inner('bearer-'.($i + 1), 'Plinth bearer', $between, $high, MaterialRole::Carcass, Grain::Any, [], ['between the rails']);
            $placed[] = new Placed($bearer, Pose::at($u, $v + $t, 0.0, Way::Out, Way::Up, Way::Right), Part::Plinth, $this->plinth->id);
            foreach (['front', 'back'] as $at) {
                $joints[] = new Joint($this->plinth->id.":rail-$at", $bearer->key, JointKind::Screws, 'plinth rails to bearers');
            }
        }
        $toe = $this->toeBoard();
        $joints = $toe === null ? $joints : [...$joints, new Joint($toe->piece->key, $this->plinth->id.':rail-front', JointKind::Screws, 'toe boards to plinths')];

        return new Assembly($toe === null ? $placed : [...$placed, $toe], $joints);
    }

    /** @return non-empty-list<float> u of each bearer's left */
    private function bearers(): array
    {
        $t = $this->terms->board();
        $places = [$this->plinth->u];
        $joints = array_map(fn (Box $box) => $box->right() - $t / 2, array_slice($this->plinth->boxes, 0, -1));
        $joints = array_filter($joints, fn (float $u) => $u > $this->plinth->u + $t && $u < $this->plinth->end() - 2 * $t);
        foreach ([...$joints, $this->plinth->end() - $t] as $to) {
            $from = $places[count($places) - 1];
            $steps = max(1, (int) ceil(($to - $from) / $this->terms->rule(Rule::BearerSpacing)));
            for ($k = 1; $k <= $steps; $k++) {
                $places[] = $from + ($to - $from) * $k / $steps;
            }
        }

        return $places;
    }

    private function toeBoard(): ?Placed
    {
        $edge = $this->run->edge(Side::Foot, $this->plinth->id);
        if ($edge?->scribe === null) {
            return null;
        }
        $height = Working::start('plinth height', $this->plinth->height)->plus('overhang to scribe to the floor', $edge->scribe->blank());
        $high = $this->plinth->height->toDouble();
        $outline = ScribedOutline::of($edge->gap, $high, 0.0, $this->plinth->length->result->toDouble());
        $piece = $this->make->covering('toe-board', 'Toe board', $this->plinth->length, $height, MaterialRole::Frame, new Outline($outline), [new Scribed('lower, long', Side::Foot)]);

        return new Placed($piece, Pose::at($this->plinth->u, $this->plinth->front(), $high, Way::Right, Way::Down, Way::Out), Part::Plinth, $this->plinth->id);
    }
}
