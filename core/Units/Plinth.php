<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Edge;
use Incastro\Fit\FittedRun;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Pieces\EdgeWork;
use Incastro\Pieces\Grain;
use Incastro\Rules\HouseRules;
use Incastro\Rules\MaterialRole;
use Incastro\Rules\Materials;
use Incastro\Rules\Rule;

/**
 * A separate plinth, levelled to the highest floor point: two long rails, cross-bearers under the box, shims by the
 * floor's fall, and a toe board scribed to the floor where the fall shows.
 */
final readonly class Plinth
{
    private PieceMaker $make;

    public function __construct(
        private FittedRun $run,
        private HouseRules $rules,
        private Materials $materials,
        private LengthFormat $format,
    ) {
        $this->make = new PieceMaker($run->cell->id.'/plinth', 'P'.$run->cell->number, $materials, $format);
    }

    public function build(): Assembly
    {
        $t = $this->materials->carcass->thickness->toDouble();
        $length = $this->run->plinthLength->result->toDouble();
        $depth = $this->run->plinthDepth->result->toDouble();
        $height = $this->run->plinthHeight->toDouble();
        $u = $this->run->cell->u + ($this->run->cell->outerWidth()->toDouble() - $length) / 2;
        $high = Working::start('plinth height', $this->run->plinthHeight);
        $rail = fn (string $at) => $this->make->inner("rail-$at", 'Plinth rail', $this->run->plinthLength, $high, MaterialRole::Carcass, Grain::Any, [], ['screwed into the bearers’ ends']);
        $placed = [
            new Placed($rail('front'), $u, $depth - $t, 0.0, $length, $t, $height),
            new Placed($rail('back'), $u, 0.0, 0.0, $length, $t, $height),
        ];
        $count = $this->bearers();
        $between = $this->run->plinthDepth->minusTimes('two rails', 2, $this->materials->carcass->thickness);
        for ($i = 0; $i < $count; $i++) {
            $bearer = $this->make->inner('bearer-'.($i + 1), 'Plinth bearer', $between, $high, MaterialRole::Carcass, Grain::Any, [], ['between the rails']);
            $placed[] = new Placed($bearer, $u + $i * ($length - $t) / ($count - 1), $t, 0.0, $t, $depth - 2 * $t, $height);
        }

        return new Assembly([...$placed, ...$this->toeBoard($u, $depth)], [new Hardware('wood screw 5 × 60', 4 * $count, 'plinth rails to bearers')]);
    }

    /** Bearers no further apart than the rule, one at each end. */
    private function bearers(): int
    {
        $clear = $this->run->plinthLength->result->toDouble() - $this->materials->carcass->thickness->toDouble();

        return (int) ceil($clear / $this->rules->mm(Rule::BearerSpacing)) + 1;
    }

    /** @return list<Placed> */
    private function toeBoard(float $u, float $depth): array
    {
        $scribe = $this->run->edge(Edge::Foot)->scribe;
        if ($scribe === null) {
            return [];
        }
        $height = Working::start('plinth height', $this->run->plinthHeight)->plus('overhang to scribe to the floor', $scribe->blank());
        $length = $this->run->plinthLength;
        $outline = ScribedOutline::of($scribe->gap, $this->run->plinthHeight->toDouble(), 0.0, $length->result->toDouble());
        $piece = $this->make->covering('toe-board', 'Toe board', $length, $height, MaterialRole::Frame, $outline, [new EdgeWork('lower, long', 'scribed to the floor')]);
        $over = $scribe->blank()->toDouble();

        return [new Placed($piece, $u, $depth, -$over, $length->result->toDouble(), $this->materials->frame->thickness->toDouble(), $this->run->plinthHeight->toDouble() + $over)];
    }
}
