<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Geometry\Block;
use Incastro\Geometry\Point;
use Incastro\Geometry\Solid;
use Incastro\Measure\Unit;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Code;
use Incastro\Rules\Edit;
use Incastro\Rules\Finding;
use Incastro\Rules\Schools\LeafBuild;
use Incastro\Rules\Schools\Mount;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Placed;
use Incastro\Units\Pull;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;
use Tests\Core\TestLayout;

final class DoorTest extends TestCase
{
    public function test_one_leaf_and_two_by_hand(): void
    {
        // Face opening 724 × 810 at 20.3 and 27.3; 2.5 all round; the face at 554.
        $box = UnitBox::metric();
        $one = $box->build(new Shelves(0, 2), UnitBox::door(1, Hand::Left, Pull::Bar));
        $pieces = $box->pieces($one);
        self::assertSame([805.0, 719.0, [22.8, 741.8, 536.0, 554.0, 29.8, 834.8]], $pieces['door-L']);
        // Shelves stop 6 behind the leaf: 536 − 6.
        self::assertSame([530.0, [0.0, 530.0]], [$pieces['shelf-1'][1], array_slice($pieces['shelf-1'][2], 2, 2)]);
        // 0.719 · 0.805 · 0.018 · 680 + 0.3 = 7.4 kg, of a leaf wider than 600: 8.9. Three hinges, though its height asks for two.
        self::assertSame(3, array_sum(array_map(fn (Hardware $one) => str_contains($one->name, 'hinge') ? $one->quantity : 0, $one->hardware)));
        self::assertSame(['door-wide'], array_map(fn (Finding $finding) => $finding->code->value, $one->findings));
        // Two: (719 − 2.5)/2 = 358.25, down to 358; the gap between them takes the rest.
        $pieces = $box->pieces($box->build(new Shelves(0, 2), UnitBox::door(2, Hand::Left, Pull::Bar)));
        self::assertSame([805.0, 358.0, [22.8, 380.8]], [...array_slice($pieces['door-L'], 0, 2), array_slice($pieces['door-L'][2], 0, 2)]);
        self::assertSame([383.8, 741.8], array_slice($pieces['door-R'][2], 0, 2));
    }

    public function test_two_leaves_in_inches_by_hand(): void
    {
        // Face opening 29 × 32 1/2 in 32 × 36: 29 − 2 · 3/32 = 28 13/16; (28 13/16 − 3/32)/2 = 14 23/64, down to 14 11/32.
        $box = new UnitBox('32', '36', '22', Unit::Inch);
        $pieces = $box->pieces($box->build(new Shelves(0, 2), UnitBox::door(2, Hand::Left, Pull::Bar)));
        $inches = fn (string $leaf): array => array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($pieces[$leaf], 0, 2));
        self::assertSame([[32.3125, 14.34375], [32.3125, 14.34375]], [$inches('door-L'), $inches('door-R')]);
        // What rounding left goes to the gap between them: 28 13/16 − 2 · 14 11/32 = 1/8.
        self::assertEqualsWithDelta(25.4 / 8, $pieces['door-R'][2][0] - $pieces['door-L'][2][1], 0.01);
    }

    public function test_a_leaf_over_the_frame_by_hand(): void
    {
        // Face opening 724 × 810 at 20.3 and 27.3; 12.7 over the frame all round: 749.4 × 835.4, down to 749 and 835.
        $box = UnitBox::metric();
        $built = $box->build(new Shelves(0, 2), UnitBox::door(1, Hand::Left, Pull::Bar, Mount::Overlay));
        // Its back stands 2 before the face, at 554 + 2.
        self::assertSame([835.0, 749.0, [7.6, 756.6, 556.0, 574.0, 14.6, 849.6]], $box->pieces($built)['door-L']);
        // It takes nothing of the depth: shelves end with the boards.
        self::assertSame(536.0, $box->pieces($built)['shelf-1'][1]);
        $bought = array_map(fn (Hardware $one) => $one->name, $built->hardware);
        self::assertContains('concealed hinge for a leaf over a face frame', $bought);
        self::assertContains('bumper', $bought);
        // Its outer corner goes round by √(749² + 20²).
        $swept = array_reduce($built->movements[0]->swept, fn (?Block $all, Solid $one) => $all?->and($one->bounds) ?? $one->bounds);
        self::assertEqualsWithDelta(6.0 + 554.0 + hypot(749.0, 20.0), $swept?->v1, 0.01);
    }

    public function test_a_pair_over_the_frame_in_inches_by_hand(): void
    {
        // Face opening 29 × 32 1/2 in 32 × 36: 29 + 2 · 1/2 = 30; (30 − 3/32)/2 = 14 61/64, down to 14 15/16; 32 1/2 + 1 = 33 1/2.
        $box = new UnitBox('32', '36', '22', Unit::Inch);
        $pieces = $box->pieces($box->build(new Shelves(0, 2), UnitBox::door(2, Hand::Left, Pull::Bar, Mount::Overlay, '1/2', Unit::Inch)));
        self::assertSame([33.5, 14.9375], array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($pieces['door-R'], 0, 2)));
    }

    public function test_a_leaf_over_banded_edges_by_hand(): void
    {
        $box = UnitBox::banded();
        $built = $box->build(new Shelves(0, 2), UnitBox::door(1, Hand::Right, Pull::Bar, Mount::Overlay, null, Unit::Inch));
        $leaf = $box->pieces($built)['door-R'];
        // It laps over 23/32 less 1/16 on each side: 28 9/16 + 2 · 21/32 = 29 7/8 by 33 5/16 + 2 · 21/32 = 34 5/8.
        self::assertSame([34.625, 29.875], array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($leaf, 0, 2)));
        self::assertEqualsWithDelta([-0.65625, 29.21875], array_map(fn (float $mm) => $mm / 25.4, array_slice($leaf[2], 0, 2)), 1e-4);
        // 13 + 5 − 16.7 = 1.3: a plate of 2, and its screw brings the rest.
        self::assertContains('concealed hinge for a leaf over its board, straight, plate of 2 mm', array_map(fn (Hardware $one) => $one->name, $built->hardware));
        // 29 7/8 is 759 mm wide: three hinges, and better as a pair.
        self::assertSame(['door-wide'], array_map(fn (Finding $finding) => $finding->code->value, $built->findings));
        // Nothing is there of a face frame, and shelves end with the boards: 28 9/16 − 1/8, 21 25/32 down to 21 3/4.
        self::assertSame([], array_filter($built->placed, fn (Placed $placed) => str_contains($placed->piece->key, 'stile') || str_contains($placed->piece->key, 'rail')));
        self::assertSame([28.4375, 21.75], array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($box->pieces($built)['shelf-1'], 0, 2)));
    }

    public function test_leaves_of_two_openings_meet_over_the_board_that_they_share(): void
    {
        $bays = [TestLayout::bay('a'), TestLayout::bay('b', ['joined' => true])];
        $layout = TestLayout::of($bays)->with(['fronts' => [Doc::member('f', 'door', ['a-1']), Doc::member('g', 'door', ['b-1'])]])->changing(['schools' => ['edges' => 'band', 'doors' => 'overlay']]);
        $leaves = array_values(array_filter($layout->plan()->assemblies[0]->placed, fn (Placed $placed) => $placed->piece->name === 'Door'));
        // Over half of 18 less a gap of 3, down to 7.5; what rounding leaves widens the gap by less than 2.
        $gap = $leaves[1]->bounds->u0 - $leaves[0]->bounds->u1;
        self::assertGreaterThanOrEqual(3.0 - 1e-6, $gap);
        self::assertLessThan(5.0, $gap);
        self::assertSame([], array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->severity->value === 'clash'));
    }

    public function test_a_leaf_sweeps_a_quarter_of_a_circle_before_the_face(): void
    {
        $built = UnitBox::metric()->build(new Shelves(0, 0), UnitBox::door(1, Hand::Right, Pull::Knob));
        $swept = array_reduce($built->movements[0]->swept, fn (?Block $all, Solid $one) => $all?->and($one->bounds) ?? $one->bounds);
        self::assertNotNull($swept);
        // From its hinged edge at 17.7 + 741.8, 719 far; the corners between are at 719/cos 7.5°.
        self::assertEqualsWithDelta(17.7 + 741.8, $swept->u1, 1e-6);
        self::assertEqualsWithDelta([6.0 + 554.0, 6.0 + 554.0 + 719.0], [$swept->v0, $swept->v1], 0.05);
    }

    public function test_a_framed_pair_by_hand(): void
    {
        $box = UnitBox::metric();
        $built = $box->build(new Shelves(0, 0), UnitBox::door(2, Hand::Left, Pull::Bar, build: LeafBuild::Grooved));
        $pieces = $box->pieces($built);
        // Leaves 358 × 805 as those of one board. Stiles as high as they are; 358 − 2 · 57 + 2 · 10 = 264.
        self::assertSame([805.0, 57.0, [22.8, 79.8, 536.0, 554.0, 29.8, 834.8]], $pieces['door-L-stile-L']);
        self::assertSame([264.0, 57.0, [69.8, 333.8, 536.0, 554.0, 29.8, 86.8]], $pieces['door-L-rail-1']);
        self::assertSame([777.8, 834.8], array_slice($pieces['door-L-rail-2'][2], 4));
        // 805 − 2 · 57 + 2 · 10 − 3 = 708 by 358 − 2 · 57 + 2 · 10 − 3 = 261; 6 thick in the middle of 18.
        self::assertSame([708.0, 261.0, [71.3, 332.3, 542.0, 548.0, 78.3, 786.3]], $pieces['door-L-panel-1']);
        self::assertSame(['door-L-panel-1', 'door-L-rail-1', 'door-L-rail-2', 'door-L-stile-L', 'door-L-stile-R'], array_values(array_filter(array_keys($pieces), fn (string $mark) => str_starts_with($mark, 'door-L'))));
        // 805 is no more than 900: two hinges each, on the outer stiles.
        self::assertSame(4, array_sum(array_map(fn (Hardware $one) => str_contains($one->name, 'hinge') ? $one->quantity : 0, $built->hardware)));
        $hung = array_values(array_map(fn (Joint $joint) => $joint->a, array_filter($built->joints, fn (Joint $joint) => $joint->kind === JointKind::Hinge)));
        self::assertSame(['tier:door-L-stile-L', 'tier:door-R-stile-R'], $hung);
        self::assertSame([], $built->findings);
    }

    public function test_a_framed_leaf_with_a_pane_by_hand(): void
    {
        $box = UnitBox::metric();
        $built = $box->build(new Shelves(0, 0), UnitBox::door(2, Hand::Left, Pull::Bar, build: LeafBuild::Pocket, glazed: true));
        $pieces = $box->pieces($built);
        // Pocket screws: rails stand between the stiles, 358 − 2 · 57 = 244. Clear 244 × 691, and 10 of rabbet all round, less 4.
        self::assertSame([244.0, 57.0], array_slice($pieces['door-L-rail-1'], 0, 2));
        self::assertArrayNotHasKey('door-L-panel-1', $pieces);
        self::assertContains('toughened pane 707 mm × 260 mm', array_map(fn (Hardware $one) => $one->name, $built->hardware));
    }

    public function test_a_framed_leaf_under_a_rake_by_hand(): void
    {
        // 619 wide, 723.5 high at its left; 723.5 + 619 · 0.75 = 1187.75 at its right.
        $box = UnitBox::raked();
        $built = $box->build(new Shelves(0, 0), UnitBox::door(1, Hand::Right, Pull::Bar, build: LeafBuild::Grooved));
        $pieces = $box->pieces($built);
        self::assertSame([57.0, 57.0], [$pieces['door-R-stile-L'][1], $pieces['door-R-stile-R'][1]]);
        // Its left stile to the long point: 723.5 + 57 · 0.75; the right one at its outer edge.
        self::assertEqualsWithDelta([766.25, 1187.75], [$pieces['door-R-stile-L'][0], $pieces['door-R-stile-R'][0]], 1e-6);
        self::assertSame(525.0, $pieces['door-R-rail-1'][0]);
        // (619 − 2 · 57)/0.8 + 57 · 0.75 + 2 · 10/0.8 = 699.
        self::assertEqualsWithDelta(699.0, $pieces['door-R-rail-2'][0], 1e-6);
        // 505 + 2 · 10 − 3 = 522 wide; its edges 650.75 and 1042.25 high.
        $panel = $built->byKey()['tier:door-R-panel-1']->piece;
        self::assertSame(522.0, $panel->width->result->toDouble());
        $edges = array_map(fn (Point $point) => round($point->x, 6), $panel->outline->outer->points);
        self::assertSame([0.0, 650.75, 1042.25, 0.0], $edges);
        // Nothing but tongues and grooves stands in each other.
        $grants = $built->grants();
        foreach ($built->placed as $i => $one) {
            foreach (array_slice($built->placed, $i + 1) as $other) {
                self::assertLessThanOrEqual(($grants[$one->piece->key.'|'.$other->piece->key] ?? 0.0) + 0.02, $one->overlap($other, 0.01), $one->piece->key.' in '.$other->piece->key);
            }
        }
    }

    public function test_a_high_leaf_of_one_board_warps_and_a_framed_one_has_rails_in_its_middle(): void
    {
        $box = new UnitBox('600', '2000', '400');
        $slab = $box->build(new Shelves(0, 0), UnitBox::door(1, Hand::Left, Pull::Bar));
        self::assertSame([Code::DoorWarps], array_map(fn (Finding $finding) => $finding->code, $slab->findings));
        self::assertSame(['build' => 'grooved'], $slab->findings[0]->waysOut[0]->edit->value);
        // 2000 − 2 · 45 − 2 · 2.5 = 1905 high: two rails in the middle, four in all.
        $framed = $box->build(new Shelves(0, 0), UnitBox::door(1, Hand::Left, Pull::Bar, build: LeafBuild::Grooved));
        self::assertCount(4, array_filter($framed->placed, fn (Placed $placed) => str_contains($placed->piece->key, 'door-L-rail')));
        self::assertCount(3, array_filter($framed->placed, fn (Placed $placed) => str_contains($placed->piece->key, 'door-L-panel')));
    }

    public function test_under_a_rake_a_leaf_follows_it(): void
    {
        $room = new TestKind(SpaceKind::UnderStair, 33);
        $bays = array_map(fn (string $id) => Doc::bay($id, [Doc::tier("$id-1", ['holds' => Recipe::box(0, 1)])]), ['a', 'b', 'c']);
        $plan = $room->plan(['runs' => [Doc::run('r', 0, $bays)], 'members' => [Recipe::plinth('p', ['a', 'b', 'c'])], 'fronts' => [Doc::member('f', 'door', ['b-1'])]] + Doc::none());
        $doors = array_values(array_filter($plan->pieces(), fn ($piece) => $piece->name === 'Door'));
        self::assertCount(1, $doors);
        $box = $plan->layout?->boxes()[1];
        self::assertNotNull($box);
        $points = $doors[0]->outline->outer->points;
        $rise = abs($points[2]->x - $points[1]->x) / $doors[0]->width->result->toDouble();
        self::assertEqualsWithDelta(tan($box->top->angle($box->outerWidth()->toDouble())), $rise, 1e-3);
        self::assertSame([], array_filter($plan->findings, fn (Finding $finding) => $finding->severity->value === 'clash' && str_starts_with($finding->code->value, 'assembled')));
    }

    public function test_under_a_rake_it_is_hinged_at_the_higher_side_and_the_other_strikes(): void
    {
        $room = new TestKind(SpaceKind::UnderStair, 33);
        $bays = array_map(fn (string $id) => Doc::bay($id, [Doc::tier("$id-1", ['holds' => Recipe::box(0, 1)])]), ['a', 'b', 'c']);
        $plan = fn (array $with) => $room->plan(['runs' => [Doc::run('r', 0, $bays, ['depth' => TestLayout::mm(350)])], 'members' => [Recipe::plinth('p', ['a', 'b', 'c'])], 'fronts' => [array_replace(Doc::member('f', 'door', ['b-1']), ['with' => $with])]] + Doc::none());
        $box = $plan([])->layout?->boxes()[1];
        self::assertNotNull($box);
        [$high, $low] = $box->top->left > $box->top->right ? ['left', 'right'] : ['right', 'left'];
        $strikes = fn (array $with) => array_values(array_filter($plan($with)->findings, fn (Finding $finding) => $finding->code->value === 'strikes'));
        self::assertSame([], $strikes([]));
        self::assertSame([], $strikes(['hand' => $high]));
        self::assertStringContainsString('strikes the ceiling on its way', $strikes(['hand' => $low])[0]->sentence);
        self::assertSame("Hinge it at the $high", $strikes(['hand' => $low])[0]->waysOut[0]->label);
    }

    public function test_fronts_are_added_set_and_follow_their_tiers(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a'), TestLayout::bay('b')]);
        $add = fn (string $cell) => new Edit('layout.do', ['action' => 'add', 'list' => 'fronts', 'kind' => 'door', 'cells' => [$cell], 'seed' => "door before $cell"]);
        $closed = $layout->edited($add('a-1'));
        self::assertSame(['door'], array_column($closed->layout['fronts'], 'kind'));
        $id = $closed->layout['fronts'][0]['id'];
        self::assertSame(['leaves' => 2], $closed->edited(new Edit("layout.fronts.$id.with.leaves", 2))->layout['fronts'][0]['with']);
        // A bay that is copied has a door of its own; one that goes takes it along.
        $copied = $closed->edited(new Edit('layout.do', ['action' => 'copy-bay', 'cell' => 'a-1', 'seed' => 'a copy of it']));
        self::assertCount(2, $copied->layout['fronts']);
        self::assertNotSame($copied->layout['fronts'][0]['cells'], $copied->layout['fronts'][1]['cells']);
        self::assertSame([], $closed->edited(new Edit('layout.do', ['action' => 'remove-bay', 'cell' => 'a-1', 'seed' => 'away with it']))->layout['fronts']);
        self::assertSame([], $closed->edited(new Edit("layout.fronts.$id", null))->layout['fronts']);
    }

    public function test_drawers_with_a_door_before_them_say_so(): void
    {
        $bay = TestLayout::bay('a', [], [Doc::tier('low', ['size' => TestLayout::mm(700), 'holds' => Doc::holds('drawers')]), Doc::tier('high', ['joined' => false])]);
        $layout = TestLayout::of([$bay, TestLayout::bay('b')], ['depth' => TestLayout::mm(500)])->with(['fronts' => [Doc::member('f', 'door', ['low'])]]);
        $clash = $layout->clashes()[0];
        self::assertSame('front-twice', $clash->code->value);
        self::assertSame([], $layout->edited($clash->waysOut[0]->edit)->clashes());
    }

    public function test_two_doors_round_a_corner_that_meet_are_named(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a')], ['depth' => TestLayout::mm(250)]);
        $layout = $layout->with(['runs' => [...$layout->layout['runs'], Doc::run('side', 1, [TestLayout::bay('s')], ['depth' => TestLayout::mm(200), 'right' => 'stops'])], 'fronts' => [Doc::member('f', 'door', ['a-1']), array_replace(Doc::member('g', 'door', ['s-1']), ['with' => ['hand' => 'left']])]]);
        $strikes = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code->value === 'strikes'));
        self::assertNotSame([], $strikes);
        self::assertStringContainsString('when both are open', implode(' ', array_map(fn (Finding $finding) => $finding->sentence, $strikes)));
    }

    public function test_a_door_over_two_cells_is_one_leaf_without_a_rail_between(): void
    {
        $tiers = fn (): array => [Doc::tier('a-1', ['size' => TestLayout::mm(700.0), 'holds' => Recipe::box(0, 1)]), Doc::tier('a-2', ['holds' => Recipe::box(1, 1)])];
        $door = fn (int $spans) => array_replace(Doc::member('f', 'door', ['a-1']), ['with' => ['leaves' => 2, 'spans' => $spans, 'build' => 'grooved']]);
        $layout = fn (int $spans, bool $isClosedAbove = false) => TestLayout::of([TestLayout::bay('a', [], $tiers())])->with(['fronts' => [$door($spans), ...($isClosedAbove ? [array_replace(Doc::member('g', 'door', ['a-2']), ['with' => ['leaves' => 2, 'build' => 'grooved']])] : [])]]);
        $named = fn (TestLayout $layout, string $name): array => array_values(array_filter($layout->plan()->pieces(), fn ($piece) => $piece->name === $name));
        // Over one cell there is a rail between the two, and the board between reaches the frame.
        self::assertCount(1, $named($layout(1), 'Middle rail'));
        // Over both there is none: the leaves are as high as the face opening less two gaps of 2.5, and the board ends 6 behind them.
        self::assertSame([], $named($layout(2), 'Middle rail'));
        [$low, $high] = [$named($layout(1), 'Door stile')[0], $named($layout(2), 'Door stile')[0]];
        $box = $layout(2)->plan()->layout->runs[0]->boxes[0] ?? null;
        self::assertEqualsWithDelta(($box?->outerHeight()->toDouble() ?? 0.0) - 2 * 45.0 - 5.0, $high->length->result->toDouble(), 0.5);
        self::assertLessThan($high->length->result->toDouble(), $low->length->result->toDouble());
        self::assertEqualsWithDelta(6.0, $named($layout(1), 'Fixed board')[0]->width->result->toDouble() - $named($layout(2), 'Fixed board')[0]->width->result->toDouble(), 1e-6);
        self::assertSame([], $layout(2)->clashes());
        // No hinge is nearer than 30 to what is fixed behind: the board between, and the fixed shelf.
        $assembly = $layout(2)->plan()->assemblies[0];
        $levels = array_filter($assembly->placed, fn (Placed $one) => in_array($one->piece->name, ['Fixed board', 'Fixed shelf'], true));
        foreach (array_filter($assembly->joints, fn (Joint $joint) => $joint->kind === JointKind::Hinge) as $joint) {
            foreach ($levels as $level) {
                self::assertGreaterThanOrEqual(30.0 - 1e-6, min(array_map(fn (float $z) => abs($z - ($level->bounds->z0 + $level->bounds->z1) / 2), $joint->at)));
            }
        }
        // It ends where another front begins.
        self::assertCount(1, $named($layout(2, true), 'Middle rail'));
        self::assertSame([], $layout(2, true)->clashes());
    }
}
