<?php

declare(strict_types=1);

namespace Incastro\Units\Surfaces;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Fit\Holds\ComesOff;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\Sawn;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\HeldBy;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Raked;
use Incastro\Units\Make\Screws;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\SurfaceUnit;

/**
 * A panel over an opening that is there already, square or under a rake: it laps all round, measured square to each edge, and battens
 * behind it find the opening. What it lies on is the opening: from side to side, and up from its foot.
 */
#[About('lift-off', 'Panel over an opening', 'A panel that laps over a found opening and lifts off, square or under a rake.', 'On a wall', 'V')]
final readonly class LiftOff implements SurfaceUnit, ComesOff
{
    /** Magnets alone hold no more, kg and m². */
    private const MAGNETS = [5.0, 1.0];

    /** Over this area it takes two more of them, m². */
    private const MORE = 0.5;

    /** Nobody lifts more alone, kg. */
    private const HEAVY = 10.0;

    public function __construct(
        #[Size('Height of the opening at its left', ['400', '16'], 100, 2400)] public Length $left,
        #[Size('Height at its right', null, 100, 2400, 'As high as at its left, where nothing is given.')] public ?Length $right,
        #[Size('Laps all round', ['12', '1/2'], 8, 40)] public Length $lap,
        #[Size('Battens behind it', ['40', '1 1/2'], 20, 60)] public Length $batten,
        #[Size('Battens inside the opening by', ['4', '3/16'], 2, 8)] public Length $play,
        #[Choice('Held by', HeldBy::Magnets)] public HeldBy $held,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): SurfaceDemand
    {
        $highest = $this->right !== null && $this->right->isGreaterThan($this->left) ? $this->right : $this->left;

        return new SurfaceDemand(
            Extent::between($this->batten->times(2)->plus($rules->either(100, 4)), $rules->either(1200, 48), 'two battens and a hand between them need %s'),
            Extent::between($highest, $highest, 'its opening is %s high'),
            $materials->carcass->thickness,
            $this->lap,
            $materials->carcass->thickness,
        );
    }

    public function build(SurfaceSite $site): Assembly
    {
        $terms = $site->terms;
        $t = $terms->board();
        $wide = $site->place->width->roundedDown($terms->format);
        $ow = $wide->result->toDouble();
        $rake = new Raked($this->left->toDouble(), ($this->right ?? $this->left)->toDouble(), $ow);
        $lp = $this->lap->toDouble();
        // Heights over the panel's own foot, which laps too.
        [$low, $high] = [$lp + $rake->off(-$lp, $lp), $lp + $rake->off($ow + $lp, $lp)];
        $length = Working::start($rake->isLevel() ? 'height of the opening' : 'height at the long point over the opening, with its lap', Length::ofDouble($rake->isLevel() ? $rake->left : max($low, $high) - $lp));
        $length = $rake->isLevel() ? $length->plusTimes('laps', 2, $this->lap) : $length->plus('laps below', $this->lap);
        $width = Working::start('width of the opening', $wide->result)->plusTimes('laps', 2, $this->lap);
        $outline = $rake->isLevel() ? null : new Outline(new Polygon([new Point(0.0, 0.0), new Point($low, 0.0), new Point($high, $ow + 2 * $lp), new Point(0.0, $ow + 2 * $lp)]));
        $panel = $site->make->covering('panel', 'Lift-off panel', $length, $width, Purpose::Carcass, $outline, [new Finished('all four', Finish::Eased), ...$rake->isLevel() ? [] : [new Sawn('top', abs($rake->angle), ' to the rake')]], ['lifted off; a finger hole of 25 mm or 1 in']);
        $x = ($site->place->width->result->toDouble() - $ow) / 2;
        $placed = $site->placed($panel, $x - $lp, 0.0, -$lp, Way::Up, Way::Right, Part::Face);
        $battens = $this->battens($site, $rake, $ow, $x, $t);

        return new Assembly([$placed, ...$battens], array_map(fn (Placed $batten) => new Joint($batten->piece->key, $panel->key, JointKind::Glue, 'panels that lift off'), $battens), $this->hardware($site, $low, $high, $ow), ['Low side, '.$site->place->mark => Working::start('height of the lower side of the panel', Length::ofDouble(min($low, $high)))->roundedUp($terms->format)], $this->findings($site, array_sum([$panel->weight(), ...array_map(fn (Placed $one) => $one->piece->weight(), $battens)]), ($low + $high) / 2 * ($ow + 2 * $lp) / 1e6));
    }

    /** @return list<Placed> left, right and foot; the foot one lies on the sill */
    private function battens(SurfaceSite $site, Raked $rake, float $wide, float $x, float $t): array
    {
        [$bw, $pc] = [$this->batten->toDouble(), $this->play->toDouble()];
        $width = Working::start('width of the batten', $this->batten);
        $upright = function (string $role, string $name, float $from) use ($site, $rake, $x, $t, $bw, $pc, $width): Placed {
            [$low, $high] = [$rake->off($from, -$pc) - $bw, $rake->off($from + $bw, -$pc) - $bw];
            $length = Working::start('to the rake at its long point, less play, over the foot batten', Length::ofDouble(max($low, $high)))->roundedDown($site->terms->format);
            // What rounding takes goes off the top, along the rake.
            $less = max($low, $high) - $length->result->toDouble();
            $outline = $rake->isLevel() ? null : new Outline(new Polygon([new Point(0.0, 0.0), new Point($low - $less, 0.0), new Point($high - $less, $bw), new Point(0.0, $bw)]));
            $works = $rake->isLevel() ? [] : [new Sawn('top', abs($rake->angle), ' to the rake')];

            return $site->placed($site->make->inner($role, $name, $length, $width, Purpose::Carcass, Grain::Length, $works, ['glued and screwed to the back of the panel'], $outline), $x + $from, -$t, $bw, Way::Up, Way::Right, Part::Lining);
        };
        $foot = $site->make->inner('locator-foot', 'Locating batten, foot', Working::start('width of the opening', Length::ofDouble($wide))->minusTimes('play', 2, $this->play), $width, Purpose::Carcass, Grain::Length, [], ['glued and screwed to the back of the panel; it stands on the sill']);

        return [
            $upright('locator-L', 'Locating batten, left', $pc),
            $upright('locator-R', 'Locating batten, right', $wide - $pc - $bw),
            $site->placed($foot, $x + ($wide - $foot->length->result->toDouble()) / 2, -$t, 0.0, Way::Right, Way::Up, Part::Lining),
        ];
    }

    /** @return list<Hardware> */
    private function hardware(SurfaceSite $site, float $low, float $high, float $wide): array
    {
        $area = ($low + $high) / 2 * $wide / 1e6;
        $use = 'panels that lift off';

        return match ($this->held) {
            HeldBy::Magnets => [new Hardware('magnet catch', $area > self::MORE ? 6 : 4, $use, ArticleKind::Magnet)],
            HeldBy::Buttons => [new Hardware('magnet catch', 2, $use, ArticleKind::Magnet), new Hardware('turn button', 2, $use, ArticleKind::TurnButton)],
            HeldBy::Screws => [(new Screws($site->terms->materials, $site->terms->format))->toTimber($site->terms->board(), 6, $use)],
        };
    }

    /** @return list<Finding> */
    private function findings(SurfaceSite $site, float $weight, float $area): array
    {
        $id = $site->place->surface->id;
        $findings = [];
        if ($this->held === HeldBy::Magnets && ($weight > self::MAGNETS[0] || $area > self::MAGNETS[1])) {
            $findings[] = Finding::clash(Code::HatchHeavy, sprintf('%s weighs %.1f kg and is %.2f m²: magnets alone hold %d kg and %d m².', $site->place->mark, $weight, $area, self::MAGNETS[0], self::MAGNETS[1]), $id)
                ->withWaysOut([new WayOut(HeldBy::Buttons->label(), Edits::surface($id)->setting(['held' => HeldBy::Buttons->value])), new WayOut(HeldBy::Screws->label(), Edits::surface($id)->setting(['held' => HeldBy::Screws->value]))]);
        }
        if ($weight > self::HEAVY) {
            $findings[] = Finding::warning(Code::HatchHeavy, sprintf('%s weighs %.1f kg: lift it off with two, or make two of it.', $site->place->mark, $weight), $id);
        }

        return [...$findings, Finding::note(Code::Caution, 'A place that a child fits into opens from inside too. An opened space under a stair may need a fire-resisting lining: the local code rules.', $id)];
    }
}
