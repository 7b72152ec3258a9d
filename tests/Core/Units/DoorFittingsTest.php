<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Geometry\Point;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Pieces\Marks\Mark;
use Incastro\Pieces\Marks\MarkKind;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\LeafBuild;
use Incastro\Rules\Schools\Mount;
use Incastro\Rules\Schools\Schools;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\HingeKind;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Joinery;
use Incastro\Units\Placed;
use Incastro\Units\Pull;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestTerms;

/** What doors hang on, are opened by and stopped by, and where that is bored. */
final class DoorFittingsTest extends TestCase
{
    /** @return array<string, int> how many of what is bought for doors */
    private static function bought(Assembly $built): array
    {
        $all = Hardware::counted(array_values(array_filter($built->hardware, fn (Hardware $one) => $one->use === 'doors')));

        return array_combine(array_map(fn (Hardware $one) => $one->name, $all), array_map(fn (Hardware $one) => $one->quantity, $all));
    }

    /** @return list<Mark> of a kind, on the piece whose key ends so, with what its joints mark */
    private static function marks(Assembly $built, string $piece, MarkKind $kind, Unit $unit = Unit::Millimetre): array
    {
        $format = $unit === Unit::Inch ? LengthFormat::inches() : LengthFormat::millimetres();
        $made = (new Joinery(new HouseRules($unit), TestTerms::materials(), $format))->made($built);
        $found = array_values(array_filter($made->placed, fn (Placed $one) => str_ends_with($one->piece->key, ":$piece")));

        return array_values(array_filter($found[0]->piece->marks, fn (Mark $mark) => $mark->kind === $kind));
    }

    /** @return list<array{float, float}> */
    private static function places(Mark $mark): array
    {
        return array_map(fn (Point $point) => [round($point->x, 2), round($point->y, 2)], $mark->at);
    }

    public function test_an_inset_leaf_on_a_board_takes_the_plate_of_its_reveal(): void
    {
        // −5 + 5 + 2.5 = 2.5: a plate of 2, and 0.5 is left to the screw.
        $box = new UnitBox('800', '900', '560', schools: new Schools(edges: Edges::Band));
        $bought = self::bought($box->build(new Shelves(0, 2), UnitBox::door(1, Hand::Left, Pull::Bar)));
        self::assertSame(3, $bought['concealed hinge for an inset leaf, fully cranked, plate of 2 mm']);
        // Half of 17.7 less a gap, 7 over its board: 4 + 5 − 7 = 2.
        $half = self::bought($box->build(new Shelves(0, 2), UnitBox::door(1, Hand::Left, Pull::Bar, Mount::Overlay, '7')));
        self::assertArrayHasKey('concealed hinge for a leaf over its board, half cranked, plate of 2 mm', $half);
        $codes = fn (string $lap): array => array_map(fn (Finding $finding) => $finding->code, $box->build(new Shelves(0, 2), UnitBox::door(1, Hand::Left, Pull::Bar, Mount::Overlay, $lap))->findings);
        self::assertNotContains(Code::HingeMisfit, $codes('7'));
    }

    public function test_a_pull_is_bored_for_at_the_free_edge(): void
    {
        // The leaf of 805 stands low: the upper of two holes 128 apart lies 70 under its edge, 32 from the free edge of 719.
        $built = UnitBox::metric()->build(new Shelves(0, 2), UnitBox::door(1, Hand::Left, Pull::Bar));
        self::assertSame([[607.0, 687.0], [735.0, 687.0]], self::places(self::marks($built, 'door-L', MarkKind::Hole)[0]));
        $knob = UnitBox::metric()->build(new Shelves(0, 2), UnitBox::door(1, Hand::Right, Pull::Knob));
        self::assertSame([[735.0, 32.0]], self::places(self::marks($knob, 'door-R', MarkKind::Hole)[0]));
        // A high one is opened at the height of a hand: 1050 over the floor, and its foot is 17.7 + 29.8 over it.
        $tall = (new UnitBox('600', '1900', '560'))->build(new Shelves(0, 2), UnitBox::door(1, Hand::Left, Pull::Knob));
        self::assertSame(1002.5, self::places(self::marks($tall, 'door-L', MarkKind::Hole)[0])[0][0]);
        // A framed one in the middle of its free stile.
        $framed = UnitBox::metric()->build(new Shelves(0, 0), UnitBox::door(1, Hand::Left, Pull::Knob, build: LeafBuild::Grooved));
        self::assertSame(28.5, self::places(self::marks($framed, 'door-L-stile-R', MarkKind::Hole)[0])[0][1]);
        self::assertSame([], self::marks(UnitBox::metric()->build(new Shelves(0, 2), UnitBox::door(1, Hand::Left, Pull::None)), 'door-L', MarkKind::Plate));
    }

    public function test_cups_have_their_screws_beside_them(): void
    {
        $box = new UnitBox('800', '900', '560', schools: new Schools(edges: Edges::Band));
        $holes = self::marks($box->build(new Shelves(0, 2), UnitBox::door(2, Hand::Left, Pull::None)), 'door-L', MarkKind::Hole);
        // A leaf of 864.6 − 5, down to 859.5, has cups at 100 and 759.5, 22.5 in: screws 22.5 to both sides of them along the edge, 9.5 farther in.
        self::assertSame([[77.5, 32.0], [122.5, 32.0], [737.0, 32.0], [782.0, 32.0]], self::places($holes[0]));
    }

    public function test_a_push_takes_a_latch_and_hinges_without_spring(): void
    {
        $bought = self::bought(UnitBox::metric()->build(new Shelves(0, 2), UnitBox::door(1, Hand::Left, Pull::None)));
        self::assertSame(['concealed hinge for a face frame, without spring' => 3, 'push latch' => 1], $bought);
        // Over the edges it stands 3 before them instead of 2, so that it can go in.
        $box = UnitBox::metric();
        self::assertSame([557.0, 575.0], array_slice($box->pieces($box->build(new Shelves(0, 2), UnitBox::door(1, Hand::Left, Pull::None, Mount::Overlay)))['door-L'][2], 2, 2));
    }

    public function test_butt_hinges_are_let_into_both_edges_and_stopped(): void
    {
        $box = UnitBox::metric();
        $built = $box->build(new Shelves(0, 2), UnitBox::door(2, Hand::Left, Pull::Knob, build: LeafBuild::Grooved, hinges: HingeKind::Butt));
        // Leaves of 805, up to 1200: hinges of 65, their middles 1.5 · 65 = 97.5 from the ends, so that they begin their own length from them.
        self::assertSame(4, self::bought($built)['butt hinge 65 mm']);
        self::assertSame(2, self::bought($built)['magnet catch']);
        $banded = (new UnitBox('800', '900', '560', schools: new Schools(edges: Edges::Band)))->build(new Shelves(0, 2), UnitBox::door(2, Hand::Left, Pull::Knob, build: LeafBuild::Grooved, hinges: HingeKind::Butt));
        self::assertSame([[[65.0, 0.0], [130.0, 0.0]], [[729.5, 0.0], [794.5, 0.0]]], array_map(self::places(...), self::marks($banded, 'door-L-stile-L', MarkKind::Mortise)));
        // Stops as thick as the boards behind 536 − 17.7, 25 over the rail that stands 27.3 over the bottom: 52.3, down to 52.
        $pieces = $box->pieces($built);
        self::assertSame([52.0, 20.0, [518.3, 536.0, 0.0, 52.0]], [...array_slice($pieces['door-stop-foot-1'], 0, 2), array_slice($pieces['door-stop-foot-1'][2], 2)]);
        self::assertEqualsWithDelta(380.8 - 15.0, ($pieces['door-stop-foot-1'][2][0] + $pieces['door-stop-foot-1'][2][1]) / 2, 0.01);
        self::assertSame(864.6, $pieces['door-stop-head-2'][2][5]);
        // Shelves keep clear of them: 536 − (18 + 17.7 + 1 − 18) = 517.3, down to 517.
        self::assertSame(517.0, $pieces['shelf-1'][1]);
        self::assertSame([], $built->findings);
    }

    public function test_butt_hinges_are_as_long_as_their_leaf_asks(): void
    {
        // Up to 600, up to 1200, and beyond.
        $named = fn (string $high): array => array_keys(self::bought((new UnitBox('500', $high, '560'))->build(new Shelves(0, 1), UnitBox::door(1, Hand::Left, Pull::Knob, build: LeafBuild::Grooved, hinges: HingeKind::Butt))));
        self::assertSame(['butt hinge 50 mm', 'butt hinge 65 mm', 'butt hinge 75 mm'], [$named('600')[0], $named('1200')[0], $named('2000')[0]]);
    }

    public function test_butt_hinges_do_not_carry_a_leaf_over_its_edges(): void
    {
        $found = UnitBox::metric()->build(new Shelves(0, 2), UnitBox::door(1, Hand::Left, Pull::Knob, Mount::Overlay, hinges: HingeKind::Butt))->findings;
        self::assertSame(Code::HingeMisfit, $found[0]->code);
        self::assertSame(['hinges' => 'concealed'], $found[0]->waysOut[0]->edit->value);
    }

    public function test_a_piano_hinge_is_nearly_as_long_as_the_leaf(): void
    {
        self::assertSame(1, self::bought(UnitBox::metric()->build(new Shelves(0, 2), UnitBox::door(1, Hand::Left, Pull::Knob, hinges: HingeKind::Piano)))['piano hinge 795 mm']);
    }

    public function test_a_lipped_leaf_by_hand_in_inches(): void
    {
        // 28 9/16 + 2 · 1/2 = 29 9/16 wide; behind the lip 28 9/16 − 2 · 1/16 = 28 7/16: rabbets 9/16 wide and 3/8 deep.
        $box = UnitBox::banded();
        $built = $box->build(new Shelves(0, 2), UnitBox::door(1, Hand::Left, Pull::Knob, Mount::Lipped, unit: Unit::Inch));
        $leaf = array_values(array_filter($built->placed, fn (Placed $one) => str_ends_with($one->piece->key, ':door-L')))[0];
        self::assertSame([34.3125, 29.5625], array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($box->pieces($built)['door-L'], 0, 2)));
        self::assertSame('rabbet in the back, 9/16 in wide and 3/8 in deep', $leaf->piece->rebate()?->words(LengthFormat::inches()));
        [$lip, $core] = $leaf->solid()->parts;
        $wide = fn (array $corners): float => (max(array_column($corners, 0)) - min(array_column($corners, 0))) / 25.4;
        self::assertEqualsWithDelta([29.5625, 28.4375], [$wide($lip->corners()), $wide($core->corners())], 1e-6);
        // In the box it stands 3/8 in, and meets nothing: shelves end 21 25/32 − 3/8 − 1/4 = 21 5/32, down to 21 1/8.
        self::assertSame(21.125, round($box->pieces($built)['shelf-1'][1] / 25.4, 6));
        foreach ($built->placed as $one) {
            if ($one !== $leaf) {
                self::assertLessThan(0.05, $one->overlap($leaf, 0.01), $one->piece->key);
            }
        }
    }

    public function test_lipped_leaves_have_no_lip_where_they_meet(): void
    {
        $box = UnitBox::metric();
        $built = $box->build(new Shelves(0, 2), UnitBox::door(2, Hand::Left, Pull::Knob, Mount::Lipped));
        // (724 + 2 · 12 − 2.5)/2 = 372.75, down to 372.5.
        self::assertSame(372.5, $box->pieces($built)['door-L'][1]);
        $edges = [];
        foreach ($built->placed as $one) {
            $edges[substr($one->piece->key, 5)] = $one->piece->rebate()?->edge();
        }
        self::assertSame(['foot, head, left, long', 'foot, head, right, long'], [$edges['door-L'], $edges['door-R']]);
    }

    public function test_hinges_keep_off_a_fixed_shelf(): void
    {
        // Between two shelves that are fixed at a third and two thirds none is near to 100 or 705; the middle one of a high leaf gives way.
        $built = (new UnitBox('600', '1300', '560', schools: new Schools(edges: Edges::Band)))->build(new Shelves(1, 0), UnitBox::door(1, Hand::Left, Pull::Knob));
        $shelf = array_values(array_filter($built->placed, fn (Placed $one) => str_contains($one->piece->key, ':shelf')))[0];
        $hinges = array_values(array_filter($built->joints, fn (Joint $joint) => $joint->kind === JointKind::Hinge))[0]->at;
        self::assertCount(3, $hinges);
        foreach ($hinges as $z) {
            self::assertGreaterThanOrEqual(30.0 - 1e-6, abs($z - ($shelf->bounds->z0 + $shelf->bounds->z1) / 2));
        }
    }
}
