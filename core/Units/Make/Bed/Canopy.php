<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\WayOut;
use Incastro\Strength\Beam;
use Incastro\Strength\Bolts;
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
    /** Back rails, how wide and where the upper one lies; the lip over the roof; mm and inches. */
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
        $parts = new CanopyParts($s);
        $is = $parts->is(...);
        [$t, $tr] = [$terms->materials->carcass->thickness, $terms->materials->for(Purpose::Top)->thickness];
        $thick = $t->toDouble();
        $outer = Working::start('width of its place', $s->site->cell->width->result)->roundedDown($terms->format);
        $deep = Working::start('depth of the bed', $s->deep()->result);
        $between = $s->long();
        $under = Working::start('height of the roof', $s->bed->roof)->minus('roof board', $tr);
        [$long, $wide, $high] = [$between->result->toDouble(), $deep->result->toDouble(), $under->result->toDouble()];
        $low = $high - $s->bed->rib->toDouble();
        $panels = array_map(fn (string $hand, float $x) => $parts->put($parts->piece("end-panel-$hand", 'End panel', $under, $deep, 'four bolts to the roof'), $x, 0.0, 0.0, Way::Up, Way::Out, Way::Right), ['L', 'R'], [-$thick, $long]);
        $modules = (new CanopyRoof($s, $outer, $deep, $low, $high))->modules();
        $roof = Assembly::all(...$modules);
        $skirting = $terms->rules->skirtingStays ? $s->site->run->frame->skirtingTop() + self::OVER_SKIRTING : 0.0;
        $rails = [];
        foreach (['low' => $skirting, 'up' => $is(self::UPPER)->toDouble()] as $at => $z) {
            $rails[] = $parts->put($parts->piece("back-rail-$at", 'Back rail', $between, Working::start('width of a rail', $is(self::RAIL)), $at === 'up' ? 'bolted to the end panels; into two studs, so that it does not sway' : 'bolted to the end panels'), 0.0, 0.0, $z, Way::Right, Way::Up, Way::Out);
        }
        $lip = $parts->put($parts->piece('roof-lip', 'Lip of the roof', $outer, Working::start('over the roof', $is(self::LIP))->plus('roof board', $tr), 'screwed from behind, taken off for moving', Purpose::Frame), -$thick, $wide, $high, Way::Right, Way::Up, Way::Out, Part::Face);
        $boards = array_values(array_filter($roof->placed, fn (Placed $one) => $one->part === Part::Worktop));
        $joints = array_map(fn (Placed $board) => new Joint($board->piece->key, $lip->piece->key, JointKind::Screws, 'lips of roofs'), $boards);
        $weigh = fn (Placed ...$all): float => array_sum(array_map(fn (Placed $one) => $one->piece->weight(), $all));
        [$board, $whole] = [$weigh(...$boards), $weigh(...$roof->placed)];

        return Assembly::all($roof, new Assembly([...$panels, ...$rails, $lip], $joints, [
            new Hardware('connecting bolt M6', 2 * 4 + 2 * 4, 'roof and rails of the bed to its end panels', ArticleKind::Connector),
            new Hardware('angle bracket', 4 + 2, 'roof of the bed, and its upper rail to studs', ArticleKind::AngleBracket),
        ], [], [...$this->lifted(), ...$this->carried(CanopyRoof::heaviest(...$modules), $panels[0]->piece->weight()), ...$this->strong($board, $whole - $board, $long), ...$this->joined($whole, $long)]));
    }

    /** @return list<Finding> whether the bolts hold where two halves of a rib meet, in its middle, where it is bent most */
    private function joined(float $weight, float $long): array
    {
        $s = $this->sizes;
        if (! $s->bed->halves) {
            return [];
        }
        $load = Loads::newtons(Loads::ROOF * $long / 1000 + $weight) / $long;
        $force = Bolts::inColumn($load * $long ** 2 / 8 / 2, CanopyRoof::COLUMNS);
        $most = 2 * Bolts::M6;
        $tier = $s->site->cell->tier->id;

        return $force <= $most ? [] : [Finding::clash(Code::RoofJoint, sprintf('Where both halves of a rib meet its bolts would carry %.0f N in a column; two of M6 carry %.0f. Make the roof in one, or its board thinner.', $force, $most), $tier)->withWaysOut([new WayOut('The roof in one', Edits::tier($tier)->setting(['halves' => false]))])];
    }

    /** @return list<Finding> whether it can be lifted over its panels */
    private function lifted(): array
    {
        $s = $this->sizes;
        $cell = $s->site->cell;
        $frame = $s->site->run->frame;
        $ceiling = min(array_merge(...array_map(fn (float $u) => [$frame->ceilingAt($u, $s->back), $frame->ceilingAt($u, $cell->face)], [$cell->u, $cell->end()])));
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
