<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\WayOut;
use Incastro\Strength\Beam;
use Incastro\Strength\Loads;
use Incastro\Strength\Section;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * A roof over a bed, which is a shelf too, on an end panel at either side: parts that are bolted together and come apart again. It is
 * lifted over the panels, so that its ribs and a hand want room under the ceiling.
 */
final readonly class Canopy
{
    /** Cross supports no further apart; back rails, how wide and where the upper one lies; the lip over the roof; mm and inches. */
    private const APART = [600.0, 24.0];

    private const RAIL = [120.0, 5.0];

    private const UPPER = [1000.0, 40.0];

    private const LIP = [40.0, 1.5];

    /** To lift it over its panels, mm. */
    private const LIFT = 20.0;

    /** The lower back rail over a skirting that stays, mm. */
    private const OVER_SKIRTING = 10.0;

    /** Ribs higher than this are none, mm. */
    private const HIGHEST = 250.0;

    /** What one person carries, and two, kg. */
    private const ONE = 25.0;

    private const TWO = 50.0;

    public function __construct(private BedSizes $sizes)
    {
    }

    public function build(): Assembly
    {
        $s = $this->sizes;
        $terms = $s->site->terms;
        $is = fn (array $size): Length => $terms->rules->either(...$size);
        [$t, $tr] = [$terms->materials->carcass->thickness, $terms->materials->for(Purpose::Top)->thickness];
        $thick = $t->toDouble();
        $outer = Working::start('width of its place', $s->site->cell->width->result)->roundedDown($terms->format);
        $deep = Working::start('depth of the bed', $s->deep()->result);
        $between = $s->long();
        $under = Working::start('height of the roof', $s->bed->roof)->minus('roof board', $tr);
        [$long, $wide, $high] = [$between->result->toDouble(), $deep->result->toDouble(), $under->result->toDouble()];
        $rib = Working::start('height of a rib', $s->bed->rib);
        $low = $high - $s->bed->rib->toDouble();
        $panels = [$this->put($this->piece('end-panel-L', 'End panel', $under, $deep, 'four bolts to the roof'), -$thick, 0.0, 0.0, Way::Up, Way::Out, Way::Right), $this->put($this->piece('end-panel-R', 'End panel', $under, $deep, 'four bolts to the roof'), $long, 0.0, 0.0, Way::Up, Way::Out, Way::Right)];
        $roof = $this->put($this->piece('roof', 'Roof, the shelf above', $outer, $deep, 'screwed down to ribs and cross supports', Purpose::Top), -$thick, 0.0, $high, Way::Right, Way::Out, Way::Up, Part::Worktop);
        $ribs = [$this->put($this->piece('rib-back', 'Rib', $between, $rib, 'glued and screwed to the roof'), 0.0, 0.0, $low, Way::Right, Way::Up, Way::Out), $this->put($this->piece('rib-front', 'Rib', $between, $rib, 'glued and screwed to the roof'), 0.0, $wide - $thick, $low, Way::Right, Way::Up, Way::Out, Part::Face)];
        $crosses = $joints = [];
        $count = (int) ceil(($long - $thick) / $is(self::APART)->toDouble() - 1e-9) + 1;
        for ($i = 0; $i < $count; $i++) {
            $crosses[] = $cross = $this->put($this->piece('cross-'.($i + 1), 'Cross support', $deep->minusTimes('ribs', 2, $t), $rib, $i === 0 || $i === $count - 1 ? 'bolted to the end panel' : 'between the ribs'), $i * ($long - $thick) / ($count - 1), $thick, $low, Way::Out, Way::Up, Way::Right);
            array_push($joints, ...array_map(fn (Placed $one) => new Joint($cross->piece->key, $one->piece->key, JointKind::Pocket, 'roofs of beds'), $ribs));
        }
        foreach ([...$ribs, ...$crosses] as $one) {
            $joints[] = new Joint($roof->piece->key, $one->piece->key, JointKind::Screws, 'roofs of beds');
        }
        $skirting = $terms->rules->skirtingStays ? $s->site->run->frame->skirtingTop() + self::OVER_SKIRTING : 0.0;
        $rails = [];
        foreach (['low' => $skirting, 'up' => $is(self::UPPER)->toDouble()] as $at => $z) {
            $rails[] = $this->put($this->piece("back-rail-$at", 'Back rail', $between, Working::start('width of a rail', $is(self::RAIL)), $at === 'up' ? 'bolted to the end panels; into two studs, so that it does not sway' : 'bolted to the end panels'), 0.0, 0.0, $z, Way::Right, Way::Up, Way::Out);
        }
        $lip = $this->put($this->piece('roof-lip', 'Lip of the roof', $outer, Working::start('over the roof', $is(self::LIP))->plus('roof board', $tr), 'screwed from behind, taken off for moving', Purpose::Frame), -$thick, $wide, $high, Way::Right, Way::Up, Way::Out, Part::Face);
        $joints[] = new Joint($roof->piece->key, $lip->piece->key, JointKind::Screws, 'lips of roofs');
        $weigh = fn (Placed ...$all): float => array_sum(array_map(fn (Placed $one) => $one->piece->weight(), $all));
        $module = $weigh($roof, ...$ribs, ...$crosses);

        return new Assembly([...$panels, $roof, ...$ribs, ...$crosses, ...$rails, $lip], $joints, [
            new Hardware('connecting bolt M6', 2 * 4 + 2 * 4, 'roof and rails of the bed to its end panels', ArticleKind::Connector),
            new Hardware('angle bracket', 4 + 2, 'roof of the bed, and its upper rail to studs', ArticleKind::AngleBracket),
        ], [], [...$this->lifted(), ...$this->carried($module, $panels[0]->piece->weight()), ...$this->strong($weigh($roof), $weigh(...$ribs, ...$crosses), $long)]);
    }

    private function piece(string $role, string $name, Working $length, Working $width, string $how, Purpose $of = Purpose::Carcass): Piece
    {
        return $this->sizes->site->make->inner($role, $name, $length, $width, $of, Grain::Length, $of === Purpose::Carcass ? [] : [new Finished('front, long', Finish::Banded)], [$how]);
    }

    private function put(Piece $piece, float $x, float $y, float $z, Way $length, Way $width, Way $thickness, Part $part = Part::Body): Placed
    {
        $cell = $this->sizes->site->cell;

        return new Placed($piece, Pose::at($this->sizes->from() + $x, $cell->back + $y, $z, $length, $width, $thickness), $part, $cell->tier->id);
    }

    /** @return list<Finding> whether it can be lifted over its panels */
    private function lifted(): array
    {
        $s = $this->sizes;
        $cell = $s->site->cell;
        $frame = $s->site->run->frame;
        $ceiling = min(array_merge(...array_map(fn (float $u) => [$frame->ceilingAt($u, $cell->back), $frame->ceilingAt($u, $cell->face)], [$cell->u, $cell->end()])));
        $most = Length::ofDouble(max(0.0, $ceiling - $s->bed->rib->toDouble() - self::LIFT))->roundedDown($s->site->terms->format->step);
        $tier = $cell->tier->id;

        return ! $s->bed->roof->isGreaterThan($most) ? [] : [Finding::clash(Code::RoofLift, sprintf('The roof is lifted over its panels: with its ribs it wants a ceiling %s high, and %s is there.', $s->site->terms->write($s->bed->roof->toDouble() + $s->bed->rib->toDouble() + self::LIFT), $s->site->terms->write($ceiling)), $tier)
            ->withWaysOut([new WayOut(sprintf('A roof at %s', $s->site->terms->format->write($most)), Edits::tier($tier)->measuring('with.roof', $most)), new WayOut('No roof', Edits::tier($tier)->setting(['canopy' => false]))])];
    }

    /** @return list<Finding> */
    private function carried(float $roof, float $panel): array
    {
        $tier = $this->sizes->site->cell->tier->id;
        $who = sprintf('The roof weighs %.0f kg with its ribs, an end panel %.0f: what is over %.0f is carried by two.', $roof, $panel, self::ONE);

        return match (true) {
            $roof > self::TWO => [Finding::warning(Code::RoofHeavy, $who.sprintf(' The roof is too heavy for two, who lift %.0f kg over their heads at most: make it of a thinner board.', self::TWO), $tier)],
            max($roof, $panel) > self::ONE => [Finding::note(Code::RoofHeavy, $who, $tier)],
            default => [],
        };
    }

    /** @return list<Finding> two ribs under what lies on the roof; the roof board is not reckoned */
    private function strong(float $board, float $ribs, float $long): array
    {
        $s = $this->sizes;
        $carcass = $s->site->terms->materials->carcass;
        $wood = $carcass->wood?->strength();
        if ($wood === null || $long < 1.0) {
            return [];
        }
        $thick = $carcass->thickness->toDouble();
        $chosen = $s->bed->rib->toDouble();
        $things = Loads::ROOF * ($long + 2 * $thick) / 1000;
        // Higher ribs weigh more, too.
        $holds = function (float $high) use ($board, $ribs, $long, $thick, $chosen, $things, $wood): bool {
            $load = Loads::newtons($things + $board + $ribs * $high / $chosen) / $long;

            return Beam::sagSpread($load, $long, Section::rectangle(2 * $thick, $high, $wood->along)->stiffness()) <= $long / (350 * (1 + $wood->creep));
        };
        if ($holds($chosen)) {
            return [];
        }
        $step = $s->site->terms->format->step;
        for ($high = $s->bed->rib->plus($step); ! $holds($high->toDouble()) && $high->toDouble() < self::HIGHEST; $high = $high->plus($step));
        $tier = $s->site->cell->tier->id;

        return [Finding::warning(Code::Sags, sprintf('Under %.0f kg on a metre the ribs of the roof sag too far over %s; ribs of %s hold. Guidance for furniture, not for the house.', Loads::ROOF, $s->site->terms->write($long), $s->site->terms->format->write($high)), $tier)
            ->withWaysOut([new WayOut(sprintf('Ribs of %s', $s->site->terms->format->write($high)), Edits::tier($tier)->measuring('with.rib', $high))])];
    }
}
