<?php

declare(strict_types=1);

namespace Incastro\Units\Cells;

use Incastro\Fit\Demand\CellDemand;
use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\Standing;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Block;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\WayOut;
use Incastro\Survey\ClearSpan;
use Incastro\Survey\Path;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;
use Incastro\Units\CellUnit;
use Incastro\Units\CylinderSides;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\SlatShelf;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\CellSite;

/**
 * Shelves of slats from wall to wall that let warm or damp air through, beside and above a hot-water cylinder: slats that would come
 * nearer to it than its air stop at bearers on both sides, and every one lifts off.
 */
#[About('slat-shelves', 'Slats on cleats', 'Slats between the walls that let air through, round a cylinder if one stands there.', 'Storage', 'N')]
final readonly class SlatShelves implements CellUnit
{
    private const LEAST = [[300.0, 12.0], [200.0, 8.0]];

    /** A shorter bit of a slat is left out, mm. */
    private const SHORTEST = 100.0;

    public function __construct(
        #[Count('Shelves', 3, 1, 12)] public int $count,
        #[Size('Width of a slat', ['44', '1 3/4'], 30, 95)] public Length $slat,
        #[Size('Gap between slats, at most', ['20', '3/4'], 8, 50)] public Length $gap,
        #[Size('Width of cleats and bearers', ['40', '1 1/2'], 25, 60)] public Length $cleat,
        #[Size('Air behind them', ['20', '3/4'], 0, 50)] public Length $behind,
        #[Size('Short of the front', ['10', '3/8'], 0, 50)] public Length $front,
        #[Size('Play at each end', ['5', '1/4'], 2, 20)] public Length $play,
        #[Size('Air round a cylinder', ['50', '2'], 25, 150, 'Its maker’s, where that is more.')] public Length $air,
        #[Choice('Beside a cylinder, slats lie on', CylinderSides::Both, 'The side of its valves, thermostat and element stays open.')] public CylinderSides $sides,
        #[Size('Slats lie free over, at most', ['900', '36'], 300, 1200)] public Length $span,
    ) {
    }

    public function standing(): Standing
    {
        return Standing::Built;
    }

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand
    {
        $each = $materials->for(Purpose::Slat)->thickness->plus($this->cleat->times(2))->plus($rules->either(60, 2.5));

        return new CellDemand(Extent::atLeast($rules->either(...self::LEAST[0]), 'slats need %s'), Extent::atLeast($each->times($this->count), 'so many shelves of slats need %s'), Extent::atLeast($rules->either(...self::LEAST[1]), 'slats need %s'));
    }

    public function build(CellSite $site): Assembly
    {
        $cell = $site->cell;
        $terms = $site->terms;
        $kt = $terms->materials->for(Purpose::Framing)->thickness->toDouble();
        $heights = $this->heights($site);
        [$left, $right] = $this->between($site, $heights);
        $low = $this->underSlope($site, $heights, $left, $right);
        if ($low !== null) {
            return new Assembly([], findings: [$low]);
        }
        $cylinder = $this->cylinder($site);
        $air = $this->air->toDouble();
        $deep = $cell->face - $cell->back - $this->front->toDouble() - $this->behind->toDouble();
        // Beside the cylinder bearers take the slats that stop there; they hang from those before it, where one goes through.
        $round = $cylinder === null ? [] : array_values(array_filter([...$this->sides === CylinderSides::Right ? [] : [[$cylinder->u0 - $air - $kt, $cylinder->u0 - $air - $left]], ...$this->sides === CylinderSides::Left ? [] : [[$cylinder->u1 + $air, $right - $cylinder->u1 - $air]]], fn (array $one) => $one[1] >= self::SHORTEST));
        $isCarried = $cylinder !== null && $this->sides === CylinderSides::Both && $cell->back + $this->behind->toDouble() + $deep - $this->slat->toDouble() >= $cylinder->v1 + $air;
        $middles = $this->middles($left, $right, $kt);
        $isBeside = array_map(fn (float $z) => $cylinder !== null && $z - 2 * $this->cleat->toDouble() < $cylinder->z1 + $air, $heights);
        $posts = [...in_array(true, $isBeside, true) && ! $isCarried ? array_column($round, 0) : [], ...in_array(false, $isBeside, true) ? $middles : []];
        $deep -= $posts === [] ? 0.0 : $kt;
        $parts = [];
        foreach ($heights as $i => $z) {
            $parts[] = (new SlatShelf($site, $this, $left, $right, $z, $deep, $i + 1))->build($isBeside[$i] ? $cylinder : null, $isBeside[$i] ? array_column($round, 0) : $middles);
        }
        $built = Assembly::all(...$parts);

        return Assembly::all($built, $this->posts($site, $posts, $heights[count($heights) - 1], $kt, $built), new Assembly([], findings: $this->findings($site, $cylinder, $left, $right, $isCarried)));
    }

    /** @return non-empty-list<float> undersides of the slats, at equal distances: each hangs its cleats below itself */
    private function heights(CellSite $site): array
    {
        $each = min($site->cell->left, $site->cell->right) / $this->count;

        return array_map(fn (int $i): float => $site->cell->z + ($i - 0.5) * $each + $this->cleat->toDouble(), range(1, max(1, $this->count)));
    }

    /**
     * From where to where all of them reach.
     *
     * @param  non-empty-list<float>  $heights
     * @return array{float, float}
     */
    private function between(CellSite $site, array $heights): array
    {
        $thick = $site->terms->materials->for(Purpose::Slat)->thickness->toDouble();
        $spans = array_map(fn (float $z) => $site->terms->room->span($site->run->frame, new Path(0.0, $site->cell->face, $z - 2 * $this->cleat->toDouble(), $z + $thick), $site->terms->rules->skirtingStays), $heights);

        return [max([$site->cell->u, ...array_map(fn (ClearSpan $span) => $span->left + $span->doubt / 2, $spans)]), min([$site->cell->end(), ...array_map(fn (ClearSpan $span) => $span->right - $span->doubt / 2, $spans)])];
    }

    /**
     * What is said where the ceiling comes lower over them than they lie.
     *
     * @param  non-empty-list<float>  $heights
     */
    private function underSlope(CellSite $site, array $heights, float $left, float $right): ?Finding
    {
        $frame = $site->run->frame;
        $lowest = min(array_merge(...array_map(fn (float $v) => array_map(fn (float $u) => $frame->ceilingAt($u, $v), $frame->ceilingBreaks($left, max($left, $right), $v)), [$site->cell->back, $site->cell->face])));
        $top = max($heights) + $site->terms->materials->for(Purpose::Slat)->thickness->toDouble();
        if ($top <= $lowest && $right - $left >= self::SHORTEST) {
            return null;
        }
        $tier = $site->cell->tier->id;

        return Finding::clash(Code::ShelfNoRoom, $right - $left < self::SHORTEST ? sprintf('The walls leave the slats of %s no room.', $site->mark) : sprintf('The highest slats of %s lie %s higher than the ceiling comes down over them.', $site->mark, $site->terms->write($top - $lowest)), $tier)
            ->withWaysOut([new WayOut('Leave an open gap instead', Edits::tier($tier)->emptied())]);
    }

    /** @return list<float> left sides of bearers under slats that would lie free too far */
    private function middles(float $left, float $right, float $kt): array
    {
        $count = (int) ceil(($right - $left) / $this->span->toDouble() - 1e-9) - 1;

        return array_map(fn (int $i): float => $left + $i * ($right - $left) / ($count + 1) - $kt / 2, $count > 0 ? range(1, $count) : []);
    }

    /**
     * In front of the slats, from the floor up to the highest bearers, which are screwed to them.
     *
     * @param  list<float>  $at
     */
    private function posts(CellSite $site, array $at, float $top, float $kt, Assembly $built): Assembly
    {
        $foot = $site->floor();
        $v = $site->cell->face - $this->front->toDouble() - $kt;
        $placed = $joints = [];
        foreach ($at as $i => $u) {
            $piece = $site->make->inner('post-'.($i + 1), 'Post', Working::start('from the floor to the highest slats', Length::ofDouble($top - $foot)), Working::start('width of the post', $this->cleat), Purpose::Framing, Grain::Length, [], ['on the floor; every bearer behind it is screwed to it']);
            $placed[] = $post = new Placed($piece, Pose::at($u + ($kt - $this->cleat->toDouble()) / 2, $v, $foot, Way::Up, Way::Right, Way::Out), Part::Cleat, $site->owner());
            foreach (array_filter($built->placed, fn (Placed $one) => str_contains($one->piece->key, ':bearer-') && $one->touches($post, 1.5)) as $bearer) {
                $joints[] = new Joint($post->piece->key, $bearer->piece->key, JointKind::Nails, 'slats');
            }
        }

        return new Assembly($placed, $joints);
    }

    /** @return list<Finding> */
    private function findings(CellSite $site, ?Block $cylinder, float $left, float $right, bool $isCarried): array
    {
        if ($cylinder === null) {
            return [];
        }
        $air = $this->air->toDouble();
        $free = max($isCarried ? $cylinder->u1 - $cylinder->u0 + 2 * $air : 0.0, $this->sides === CylinderSides::Right ? 0.0 : $cylinder->u0 - $air - $left, $this->sides === CylinderSides::Left ? 0.0 : $right - $cylinder->u1 - $air);
        $findings = $this->sides !== CylinderSides::Both ? [] : [Finding::note(Code::Caution, 'The side of the cylinder on which its valves, thermostat and element are gets no slats: choose the other side alone. Combustion appliances are never shelved in.', $site->cell->tier->id)];

        return $free <= $this->span->toDouble() ? $findings : [...$findings, Finding::clash(Code::Sags, sprintf('A slat of %s lies free over %s; %s is the most.', $site->mark, $site->terms->write($free), $site->terms->format->write($this->span)), $site->cell->tier->id)->withWaysOut([new WayOut('Leave an open gap instead', Edits::tier($site->cell->tier->id)->emptied())])];
    }

    /** What a cylinder takes up in the cell, as far as one stands there. */
    private function cylinder(CellSite $site): ?Block
    {
        $places = new ThingPlace($site->terms->room, $site->run->frame);
        foreach (array_filter($site->terms->room->things, fn (Thing $thing) => $thing->kind === ThingKind::Cylinder) as $thing) {
            $block = $places->block($thing);
            if ($block->u1 > $site->cell->u && $block->u0 < $site->cell->end() && $block->v0 < $site->cell->face) {
                return $block;
            }
        }

        return null;
    }
}
