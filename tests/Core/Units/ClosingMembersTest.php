<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Pieces\Piece;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Units\Make\SlopeNiche;
use Incastro\Units\Placed;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;
use Tests\Core\TestLayout;

/** What closes the space over cabinets, and the wedge behind a top. */
final class ClosingMembersTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function layout(string $kind, float $high, array $with = []): array
    {
        $bay = TestLayout::bay('a', ['top' => 'below'], [Doc::tier('a-1', ['holds' => Recipe::box(0, 2), 'size' => TestLayout::mm($high)]), Doc::tier('a-2', ['joined' => false, 'holds' => Recipe::gap()])]);

        return ['runs' => [Doc::run('r', 0, [$bay], ['depth' => TestLayout::mm(350)])], 'members' => [Recipe::plinth('p', ['a']), array_replace(Doc::member('m', $kind, ['a-1']), ['with' => $with])]] + Doc::none();
    }

    private static function plan(string $kind, float $high, array $with = []): SpacePlan
    {
        return TestLayout::of([])->with(self::layout($kind, $high, $with))->plan();
    }

    private static function piece(SpacePlan $plan, string $name): Piece
    {
        return array_values(array_filter($plan->pieces(), fn (Piece $piece) => $piece->name === $name))[0];
    }

    /** @return list<string> */
    private static function clashes(SpacePlan $plan): array
    {
        return array_values(array_map(fn (Finding $one) => $one->sentence, array_filter($plan->findings, fn (Finding $one) => $one->severity === Severity::Clash)));
    }

    public function test_a_fascia_closes_what_is_over_a_cabinet(): void
    {
        $plan = self::plan('top-bridge', 2050.0);
        self::assertSame([], self::clashes($plan));
        $fascia = self::piece($plan, 'Fascia');
        $box = $plan->layout?->boxes()[0] ?? self::fail('There is no box.');
        // From the box's top, 70 + 2050 over the floor, to 2400: 280, and 9 to scribe.
        self::assertEqualsWithDelta(2120.0, $box->highest(), 1e-6);
        self::assertSame(289.0, $fascia->width->result->toDouble());
        self::assertSame($box->outerWidth()->toDouble(), $fascia->length->result->toDouble());
        // Cleats 20 short at each end; the upper one lies under the ceiling.
        foreach (['Foot cleat', 'Ceiling cleat'] as $name) {
            self::assertEqualsWithDelta($box->outerWidth()->toDouble() - 40.0, self::piece($plan, $name)->length->result->toDouble(), 1.0);
            self::assertSame(30.0, self::piece($plan, $name)->width->result->toDouble());
        }
    }

    public function test_one_cleat_serves_where_both_would_meet_and_a_trim_closes_less(): void
    {
        // 2400 − 70 − 2290 = 40: less than 20 + 30 + 5.
        $names = array_map(fn (Piece $piece) => $piece->name, self::plan('top-bridge', 2290.0)->pieces());
        self::assertContains('Foot cleat', $names);
        self::assertNotContains('Ceiling cleat', $names);
        self::assertContains('Over Z1 the ceiling leaves 15 mm; it closes 20 mm at least: a trim closes less.', self::clashes(self::plan('top-bridge', 2315.0)));
    }

    public function test_under_a_rake_it_follows_the_ceiling(): void
    {
        $room = new TestKind(SpaceKind::UnderStair, 31);
        $plan = $room->plan(self::layout('top-bridge', 400.0));
        $placed = array_values(array_filter($plan->assemblies[0]->placed, fn (Placed $one) => $one->piece->name === 'Fascia'))[0] ?? self::fail(implode(' ', self::clashes($plan)));
        $frame = $plan->layout->runs[0]->frame ?? self::fail('There is no run.');
        foreach ($placed->piece->outline->outer->points as $point) {
            $at = $placed->pose->place($point, 0.0);
            if ($point->y > 1.0) {
                self::assertEqualsWithDelta(min($frame->ceilingAt($at->x, $at->y), $frame->ceilingAt($at->x, $at->y - 18.0)), $at->z, 1e-6);
            }
        }
        self::assertNotEmpty(array_filter($plan->pieces(), fn (Piece $piece) => $piece->name === 'Slope cleat'));
    }

    public function test_it_goes_on_over_a_gap_between_two_boxes_on_a_deck(): void
    {
        $bay = fn (string $id): array => TestLayout::bay($id, ['top' => 'below'], [Doc::tier("$id-1", ['holds' => Recipe::box(0, 2), 'size' => TestLayout::mm(2050)]), Doc::tier("$id-2", ['joined' => false, 'holds' => Recipe::gap()])]);
        $open = TestLayout::bay('g', ['size' => TestLayout::mm(600)], [Doc::tier('g-1', ['holds' => Recipe::gap()])]);
        $layout = ['runs' => [Doc::run('r', 0, [$bay('a'), $open, $bay('b')], ['depth' => TestLayout::mm(350)])], 'members' => [Recipe::plinth('p', ['a', 'b']), Doc::member('m', 'top-bridge', ['a-1', 'b-1'])]] + Doc::none();
        $plan = TestLayout::of([], width: 2000.0)->with($layout)->plan();
        self::assertSame([], self::clashes($plan));
        $fascias = array_filter($plan->pieces(), fn (Piece $piece) => $piece->name === 'Fascia');
        self::assertCount(1, $fascias);
        [$left, $right] = $plan->layout?->boxes() ?? self::fail('There are no boxes.');
        $gap = $right->u - $left->right();
        $deck = self::piece($plan, 'Deck over a gap');
        // 60 on each box; 350 − 18 of the fascia − 30 of the cleat = 302.
        self::assertEqualsWithDelta($gap + 120.0, $deck->length->result->toDouble(), 1.0);
        self::assertSame(302.0, $deck->width->result->toDouble());
        // Over more than 1800 each box is closed by itself.
        $wide = array_replace($layout, ['runs' => [Doc::run('r', 0, [$bay('a'), ['size' => TestLayout::mm(1900)] + $open, $bay('b')], ['depth' => TestLayout::mm(350)])]]);
        self::assertCount(2, array_filter(TestLayout::of([], width: 3000.0)->with($wide)->plan()->pieces(), fn (Piece $piece) => $piece->name === 'Fascia'));
    }

    public function test_a_niche_under_a_slope_has_a_lid_an_end_and_a_back_in_parts(): void
    {
        // 70 at the low end and 45°, tops at 74, 1/8 free: a = 70 − 74 − 1/8 = −4 1/8; 48 long, 3/4 nominal boards of 23/32, parts of the back meet at 28.
        $in = fn (float $inches): Length => Length::ofDouble($inches * 25.4);
        $niche = new SlopeNiche(-4.125 * 25.4, 1.0, Working::start('over the box', $in(48)), 23 / 32 * 25.4, $in(1.25), $in(28));
        $down = fn (Working $one): float => $one->roundedDown(LengthFormat::inches(16))->result->toDouble() / 25.4;
        // (48 − 4 1/8)/cos 45° = 62.05; 43 7/8 − 23/32/cos 45° = 42.86; 28 − 4 1/8 = 23 7/8; 23 7/8 − 1.017 − 2 · 1 1/4 = 20.36.
        self::assertEqualsWithDelta([62.0, 42.8125, 20.3125], [$down($niche->lid()), $down($niche->end()), $down($niche->nailer(28 * 25.4))], 1e-6);
        [[$from, $joint], [, $to]] = $niche->backs(48 * 25.4);
        self::assertEqualsWithDelta([23.875, 20.0], [($joint - $from) / 25.4, ($to - $joint) / 25.4], 1e-6);
    }

    public function test_a_niche_fits_under_a_stair_between_its_tops_and_the_slope(): void
    {
        foreach ([31, 32, 33] as $seed) {
            $room = new TestKind(SpaceKind::UnderStair, $seed);
            foreach ([250.0, 380.0] as $high) {
                $bay = fn (string $id): array => TestLayout::bay($id, ['top' => 'below'], [Doc::tier("$id-1", ['holds' => Recipe::box(0, 0), 'size' => TestLayout::mm($high)]), Doc::tier("$id-2", ['joined' => false, 'holds' => Recipe::gap()])]);
                $bays = array_map($bay, ['a', 'b', 'c', 'd']);
                $layout = ['runs' => [Doc::run('r', 0, $bays, ['depth' => TestLayout::mm(350)])], 'members' => [Recipe::plinth('p', ['a', 'b', 'c', 'd']), array_replace(Doc::member('m', 'top-bridge', ['a-1', 'b-1']), ['with' => ['form' => 'niche']])]] + Doc::none();
                $plan = $room->plan($layout);
                self::assertSame([], self::clashes($plan), "$seed, $high");
                $lid = self::piece($plan, 'Sloped lid');
                $frame = $plan->layout->runs[0]->frame ?? self::fail('There is no run.');
                foreach ($plan->assemblies[0]->placed as $placed) {
                    foreach (str_starts_with($placed->owner, 'm') ? $placed->solid()->parts : [] as $part) {
                        foreach ($part->corners() as [$u, $v, $z]) {
                            self::assertLessThanOrEqual($frame->ceilingAt($u, $v) - 3.0 + 1e-6, $z, "{$placed->piece->mark} in room $seed");
                        }
                    }
                }
                self::assertGreaterThan(0.0, $lid->length->result->toDouble());
            }
        }
        // Under a level ceiling there is no slope to follow.
        self::assertContains('A niche over Z1 needs a slope of 15° at least; the ceiling rises by 0°. A panel closes it.', self::clashes(self::plan('top-bridge', 2050.0, ['form' => 'niche'])));
    }

    public function test_a_cap_laps_on_a_top_and_reaches_the_wall_behind_it(): void
    {
        $room = new TestKind(SpaceKind::Alcove, 34);
        $plan = $room->plan(self::layout('gap-cap', 900.0));
        $caps = array_values(array_filter($plan->assemblies[0]->placed, fn (Placed $one) => $one->piece->name === 'Gap cap'));
        self::assertNotEmpty($caps);
        [$cap] = $caps;
        $frame = $plan->layout->runs[0]->frame ?? self::fail('There is no run.');
        $over = $plan->layout->runs[0]->over()[0] ?? self::fail('There is no cap.');
        // 20 on the top; behind it as far as the wall.
        self::assertEqualsWithDelta($over->v + 20.0, $cap->bounds->v1, 1e-6);
        foreach ($cap->piece->outline->outer->points as $point) {
            $at = $cap->pose->place($point, 0.0);
            self::assertGreaterThan($frame->backAt($at->x, $at->z) - 1.0, $at->y);
        }
        self::assertGreaterThanOrEqual(20.0, $cap->piece->width->result->toDouble());
        // Where the wall is straight and near there is nothing to close.
        self::assertContains('Behind Q1 there is no gap that a strip would close: up to 4 mm is caulked.', array_map(fn (Finding $one) => $one->sentence, self::plan('gap-cap', 900.0)->findings));
    }
}
