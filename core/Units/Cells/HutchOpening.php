<?php

declare(strict_types=1);

namespace Incastro\Units\Cells;

use Incastro\Fit\Demand\CellDemand;
use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\Standing;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\CellUnit;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\HutchPlace;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\CellSite;

/**
 * The height to work at between a cupboard and another hung over it: a gable at either side that stands on the worktop and carries the
 * front of the upper one, a board behind, a rail that hides a lamp, and strips that hide the joints.
 */
#[About('hutch-opening', 'Opening of a hutch', 'Gables and a board behind, between a base and what hangs over it.', 'Storage', 'H')]
final readonly class HutchOpening implements CellUnit
{
    /** Lower than this nobody works in it, mm and inches. */
    private const LOW = [250.0, 10.0];

    private const WIDE = [300.0, 12.0];

    private const DEEP = [150.0, 6.0];

    public function __construct(
        #[Toggle('Board behind', true)] public bool $back,
        #[Size('Rail under the upper one, height', ['40', '1 1/2'], 0, 80, 'It hides a lamp. None where it is 0.')] public Length $rail,
        #[Size('Strips over the joints, width', ['45', '1 3/4'], 0, 100, 'None where it is 0.')] public Length $strip,
        #[Made('Board behind of', Purpose::Back)] public ?string $made = null,
    ) {
    }

    public function standing(): Standing
    {
        return Standing::Built;
    }

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand
    {
        return new CellDemand(
            Extent::atLeast($rules->either(...self::WIDE), 'a hutch needs %s'),
            Extent::atLeast($rules->either(...self::LOW), 'hands need %s'),
            Extent::atLeast($rules->either(...self::DEEP), 'its gables need %s'),
        );
    }

    public function build(CellSite $site): Assembly
    {
        $site = $site->madeOf(Purpose::Back, $this->made);
        $place = HutchPlace::of($site);
        if ($place->high() < $site->terms->rules->either(...self::LOW)->toDouble()) {
            return new Assembly([], findings: [Finding::clash(Code::HutchLow, sprintf('Between the worktop and what hangs over it %s are left; hands need %s.', $site->terms->write(max(0.0, $place->high())), $site->terms->format->write($site->terms->rules->either(...self::LOW))), $site->owner())->withWaysOut([new WayOut('Leave an open gap instead', Edits::tier($site->owner())->emptied())])]);
        }
        $gables = ['L' => $this->gable($site, $place, 'L', $place->u), 'R' => $this->gable($site, $place, 'R', $place->end - $site->terms->board())];
        $placed = [...array_values($gables), ...$this->strips($site, $place)];
        $joints = [];
        foreach ($gables as $hand => $gable) {
            $joints[] = new Joint($place->standsOn, $gable->piece->key, JointKind::Screws, 'gables from below');
            if ($place->upper !== null) {
                $joints[] = new Joint($place->upper->id.':bottom', $gable->piece->key, JointKind::Screws, 'gables from above');
            }
            if (! $this->strip->isZero()) {
                $joints[] = new Joint($site->owner().":strip-$hand", $gable->piece->key, JointKind::Glue, 'strips over joints');
            }
        }
        $between = Working::start('width of the box', $place->width)->minusTimes('gables', 2, $site->terms->materials->carcass->thickness);
        if ($this->back) {
            $piece = $site->make->inner('back-board', 'Board behind', $between, $place->height, Purpose::Back, Grain::Length, [], ['adhesive and brads, when the gables stand']);
            $placed[] = $board = new Placed($piece, Pose::at($place->u + $site->terms->board(), $place->v, $place->foot, Way::Right, Way::Up, Way::Out), Part::Back, $site->owner());
            array_push($joints, ...array_map(fn (Placed $gable) => new Joint($board->piece->key, $gable->piece->key, JointKind::Glue, 'boards behind hutches'), array_values($gables)));
        }
        if (! $this->rail->isZero() && $place->upper !== null) {
            $piece = $site->make->inner('light-rail', 'Light rail', $between, Working::start('height of the rail', $this->rail), Purpose::Frame, Grain::Length, [new Finished('foot, long', Finish::Eased)], ['screwed up through the bottom over it']);
            $placed[] = new Placed($piece, Pose::at($place->u + $site->terms->board(), $place->front - $piece->thickness->toDouble(), $place->head - $piece->width->result->toDouble(), Way::Right, Way::Up, Way::Out), Part::Face, $site->owner());
            $joints[] = new Joint($place->upper->id.':bottom', $piece->key, JointKind::Screws, 'light rails');
        }

        return new Assembly($placed, $joints, findings: $this->findings($site, $place));
    }

    private function gable(CellSite $site, HutchPlace $place, string $hand, float $u): Placed
    {
        $piece = $site->make->inner("gable-$hand", 'Gable', $place->height, $place->depth, Purpose::Carcass, Grain::Length, [new Finished('front, long', Finish::Banded)], ['screwed up through the worktop and down through the bottom over it']);

        return new Placed($piece, Pose::at($u, $place->v, $place->foot, Way::Up, Way::Out, Way::Right), Part::Body, $site->owner());
    }

    /**
     * Over the gables' edges, and on over the sides of the upper one where neither a frame nor doors are there.
     *
     * @return list<Placed>
     */
    private function strips(CellSite $site, HutchPlace $place): array
    {
        if ($this->strip->isZero()) {
            return [];
        }
        $high = $place->isPlain && $place->upper !== null ? $place->height->plus('what hangs over it', $place->upper->outerHeight()) : $place->height;
        $placed = [];
        foreach (['L', 'R'] as $hand) {
            $piece = $site->make->inner("strip-$hand", 'Strip over the joint', $high, Working::start('width of the strip', $this->strip), Purpose::Frame, Grain::Length, [], ['brads and glue; it hides the joint']);
            $placed[] = new Placed($piece, Pose::at($hand === 'L' ? $place->u : $place->end - $piece->width->result->toDouble(), $place->front, $place->foot, Way::Up, Way::Right, Way::Out), Part::Face, $site->owner());
        }

        return $placed;
    }

    /** @return list<Finding> */
    private function findings(CellSite $site, HutchPlace $place): array
    {
        return $place->upper !== null ? [] : [Finding::note(Code::HutchAlone, 'Nothing hangs over this opening: its gables carry nothing.', $site->owner())];
    }
}
