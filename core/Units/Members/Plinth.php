<?php

declare(strict_types=1);

namespace Incastro\Units\Members;

use Incastro\Fit\Box;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Members\Under;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Scribed;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\ScribedOutline;
use Incastro\Units\MemberUnit;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/**
 * A separate plinth, levelled to the highest floor point: two long rails, cross-bearers at its ends, under every joint of the
 * boxes on it and no further apart than the rule, shims by the floor's fall, and a toe board scribed to the floor.
 */
#[About('plinth', 'Plinth', 'A frame under boxes, levelled to the highest point of the floor.', 'Boards', 'P')]
final readonly class Plinth implements MemberUnit
{
    public function form(): MemberForm
    {
        return MemberForm::Under;
    }

    public function demand(HouseRules $rules, Catalogue $materials): MemberDemand
    {
        return new MemberDemand($rules->get(Rule::PlinthHeight), Length::zero());
    }

    public function build(MemberSite $site): Assembly
    {
        $plinth = $site->place;
        if (! $plinth instanceof Under) {
            return new Assembly([]);
        }
        $t = $site->terms->board();
        $depth = $plinth->depth->result->toDouble();
        $v = $plinth->v;
        $high = Working::start('plinth height', $plinth->height);
        $placed = $joints = [];
        foreach (['front' => $v + $depth - $t, 'back' => $v] as $at => $from) {
            $rail = $site->make->inner("rail-$at", 'Plinth rail', $plinth->length, $high, Purpose::Carcass, Grain::Any, [], ['screwed into the bearers’ ends']);
            $placed[] = new Placed($rail, Pose::at($plinth->u, $from, 0.0, Way::Right, Way::Up, Way::Out), Part::Plinth, $plinth->id);
        }
        $between = $plinth->depth->minusTimes('two rails', 2, $site->terms->materials->carcass->thickness);
        foreach (self::bearers($site, $plinth) as $i => $u) {
            $bearer = $site->make->inner('bearer-'.($i + 1), 'Plinth bearer', $between, $high, Purpose::Carcass, Grain::Any, [], ['between the rails']);
            $placed[] = new Placed($bearer, Pose::at($u, $v + $t, 0.0, Way::Out, Way::Up, Way::Right), Part::Plinth, $plinth->id);
            foreach (['front', 'back'] as $at) {
                $joints[] = new Joint($plinth->id.":rail-$at", $bearer->key, JointKind::Screws, 'plinth rails to bearers');
            }
        }
        $toe = self::toeBoard($site, $plinth);
        $joints = $toe === null ? $joints : [...$joints, new Joint($toe->piece->key, $plinth->id.':rail-front', JointKind::Screws, 'toe boards to plinths')];

        return new Assembly($toe === null ? $placed : [...$placed, $toe], $joints);
    }

    /** @return non-empty-list<float> u of each bearer's left */
    private static function bearers(MemberSite $site, Under $plinth): array
    {
        $t = $site->terms->board();
        $places = [$plinth->u];
        $joints = array_map(fn (Box $box) => $box->right() - $t / 2, array_slice($plinth->boxes, 0, -1));
        $joints = array_filter($joints, fn (float $u) => $u > $plinth->u + $t && $u < $plinth->end() - 2 * $t);
        foreach ([...$joints, $plinth->end() - $t] as $to) {
            $from = $places[count($places) - 1];
            $steps = max(1, (int) ceil(($to - $from) / $site->terms->rule(Rule::BearerSpacing)));
            for ($k = 1; $k <= $steps; $k++) {
                $places[] = $from + ($to - $from) * $k / $steps;
            }
        }

        return $places;
    }

    private static function toeBoard(MemberSite $site, Under $plinth): ?Placed
    {
        $edge = $site->scribed(Side::Foot);
        if ($edge?->scribe === null) {
            return null;
        }
        $height = Working::start('plinth height', $plinth->height)->plus('overhang to scribe to the floor', $edge->scribe->blank());
        $high = $plinth->height->toDouble();
        $outline = ScribedOutline::of($edge->gap, $high, 0.0, $plinth->length->result->toDouble());
        $piece = $site->make->covering('toe-board', 'Toe board', $plinth->length, $height, Purpose::Frame, new Outline($outline), [new Scribed('lower, long', Side::Foot)]);

        return new Placed($piece, Pose::at($plinth->u, $plinth->front(), $high, Way::Right, Way::Down, Way::Out), Part::Plinth, $plinth->id);
    }
}
