<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Edit;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Units\Placed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;
use Tests\Core\TestLayout;

/** Pieces that would stand in each other, outside the room, or in a thing: each case once went by the verdict “Fits.”. */
final class AssembledTest extends TestCase
{
    private static function placed(SpacePlan $plan, string $mark): Placed
    {
        foreach ($plan->assemblies as $assembly) {
            foreach ($assembly->placed as $placed) {
                if ($placed->piece->mark === $mark) {
                    return $placed;
                }
            }
        }
        self::fail("There is no $mark.");
    }

    /** @return list<Finding> */
    private static function clashes(SpacePlan $plan): array
    {
        // That its boards are longer than a sheet is another matter.
        return array_values(array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash && $finding->code->value !== 'no-stock'));
    }

    /** @param array<string, mixed> $low */
    private static function base(array $low = [], float $deep = 400.0): TestLayout
    {
        return TestLayout::of([TestLayout::bay('a', [], [Doc::tier('low', $low + ['size' => TestLayout::mm(700)]), Doc::tier('high', ['joined' => false, 'holds' => Recipe::gap()])])], ['depth' => TestLayout::mm($deep)])
            ->with(['members' => [Doc::member('w', 'worktop', ['low'])]]);
    }

    public function test_a_shelf_with_more_play_still_lies_on_its_pins(): void
    {
        // 6 of play and what rounding takes: up to 3.5 at each side.
        $layout = TestLayout::of([TestLayout::bay('a')])->changing(['rules' => ['shelf_play' => TestLayout::mm(6.0)]]);
        self::assertSame([], array_map(fn (Finding $finding) => $finding->sentence, $layout->clashes()));
    }

    public function test_nailers_stand_between_the_dividers_by_hand(): void
    {
        $plan = TestLayout::of([TestLayout::bay('a', ['size' => TestLayout::mm(500)]), TestLayout::bay('b', ['joined' => true])])->plan();
        $divider = self::placed($plan, 'B1-divider-1')->bounds;
        // Clear 500 on the left: the nailer is as long, and ends where the divider begins.
        $left = self::placed($plan, 'B1-nailer-top-1');
        self::assertSame(500.0, $left->piece->length->result->toDouble());
        self::assertEqualsWithDelta($divider->u0, $left->bounds->u1, 1e-6);
        self::assertEqualsWithDelta($divider->u1, self::placed($plan, 'B1-nailer-top-2')->bounds->u0, 1e-6);
        self::assertSame([], self::clashes($plan));
    }

    public function test_a_divider_is_cut_to_the_slope_as_the_sides_are(): void
    {
        $bays = [Doc::bay('a', [Doc::tier('a1')]), Doc::bay('b', [Doc::tier('b1')], ['joined' => true])];
        $plan = (new TestKind(SpaceKind::RoofSlope, 3))->plan(['runs' => [Doc::run('r', 0, $bays)], 'members' => []] + Doc::none());
        $frame = $plan->layout?->runs[0]->frame;
        self::assertNotNull($frame);
        foreach (self::placed($plan, 'B1-divider-1')->solid()->parts[0]->corners() as [$u, $v, $z]) {
            self::assertLessThan($frame->ceilingAt($u, $v), $z);
        }
        self::assertSame([], self::clashes($plan));
    }

    public function test_a_worktop_lies_over_the_upper_half_of_a_tier_that_is_split(): void
    {
        $split = self::base()->edited(new Edit('layout.do', ['action' => 'split-tier', 'cell' => 'low', 'seed' => 'eight letters']));
        $plan = $split->plan();
        $box = $plan->layout?->runs[0]->boxes[0];
        self::assertNotNull($box);
        self::assertEqualsWithDelta($box->highest(), $plan->layout->runs[0]->over()[0]->z, 1e-6);
        self::assertSame([], self::clashes($plan));
    }

    public function test_a_worktop_in_the_middle_of_a_stack_parts_it(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('low', ['size' => TestLayout::mm(700)]), Doc::tier('high')])])->with(['members' => [Doc::member('w', 'worktop', ['low'])]]);
        $run = $layout->plan()->layout?->runs[0];
        self::assertNotNull($run);
        self::assertCount(2, $run->boxes);
        // 700, then the worktop of 18.
        self::assertSame([700.0, 718.0], [$run->over()[0]->z, $run->boxes[1]->z]);
        self::assertSame([], $layout->clashes());
    }

    public function test_a_worktop_begins_where_a_slope_leaves_it_room(): void
    {
        $plan = (new TestKind(SpaceKind::RoofSlope, 3))->plan(['runs' => [Doc::run('r', 0, [Doc::bay('a', [Doc::tier('a1', ['size' => TestLayout::mm(950)]), Doc::tier('a2', ['holds' => Recipe::gap(), 'joined' => false])], ['top' => 'stepped'])])], 'members' => [Doc::member('w', 'worktop', ['a1'])]] + Doc::none());
        $run = $plan->layout?->runs[0];
        self::assertNotNull($run);
        self::assertGreaterThan(50.0, $run->over()[0]->v);
        $bounds = self::placed($plan, 'W1-top')->bounds;
        self::assertLessThan($run->frame->ceilingAt(($bounds->u0 + $bounds->u1) / 2, $bounds->v0), $bounds->z1);
        self::assertSame([], self::clashes($plan));
    }

    public function test_a_post_through_a_worktop_is_a_clash_of_the_worktop(): void
    {
        // A post 495 out under a worktop of 520 cannot be notched: less than 50 would be left.
        // A box on the right is what is left when the worktop goes.
        $under = Doc::tier('low', ['holds' => Recipe::knees(), 'size' => TestLayout::mm(700)]);
        $plan = TestLayout::of([TestLayout::bay('a', [], [$under, Doc::tier('high', ['joined' => false, 'holds' => Recipe::gap()])]), TestLayout::bay('b', ['size' => TestLayout::mm(250)])], ['depth' => TestLayout::mm(500)])
            ->with(['members' => [Doc::member('w', 'worktop', ['low'])]])
            ->thing('t', 'post', 350, 0, 120, 1, 495, 'may-be-covered')->plan();
        $clash = array_values(array_filter(self::clashes($plan), fn (Finding $finding) => $finding->code->value === 'assembled-thing'))[0] ?? null;
        self::assertNotNull($clash);
        self::assertSame('w', $clash->place);
        self::assertStringStartsWith('W1-top stands ', $clash->sentence);
        self::assertContains('Take the worktop away', array_map(fn ($way) => $way->label, $clash->waysOut));
    }

    /** @return array<string, array{string}> */
    public static function names(): array
    {
        return ['its own' => ['Post'], 'a word of the works' => ['Frame'], 'another word' => ['Face'], 'like another thing' => ['Pipe']];
    }

    #[DataProvider('names')]
    public function test_what_a_thing_is_called_decides_nothing(string $name): void
    {
        $plan = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a1')])])->with(['members' => []])->thing('t', 'post', 500, 300, 60, 60, 150, 'may-be-covered', ['name' => $name, 'face' => 'floor'])->plan();
        self::assertSame('clash', $plan->verdict->state);
    }

    public function test_a_split_piece_keeps_what_was_cut_before_and_its_blank_what_is_scribed(): void
    {
        $plan = self::base(['holds' => Recipe::knees()], 500.0)->thing('t', 'pipe', 500, 0, 40, 2300, 320, 'may-be-covered', ['direction' => 'up'])->plan();
        [$a, $b] = [self::placed($plan, 'W1-top-a'), self::placed($plan, 'W1-top-b')];
        // The middle of the pipe stands 520 from the left wall; both halves meet there, and each is scribed to its wall.
        self::assertEqualsWithDelta(520.0, $a->bounds->u1, 1.0);
        self::assertEqualsWithDelta(520.0, $b->bounds->u0, 1.0);
        self::assertEqualsWithDelta(0.0, $a->bounds->u0, 0.1);
        self::assertEqualsWithDelta(1200.0, $b->bounds->u1, 0.1);
        // Blanks go on past the walls by what is scribed off, and are as wide as the whole.
        self::assertGreaterThan(525.0, $a->piece->length->result->toDouble());
        self::assertSame($a->piece->width->result->nanometres(), $b->piece->width->result->nanometres());
    }

    public function test_a_back_that_is_parted_keeps_its_opening(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a')])->thing('socket', 'socket', 200, 400, 82, 82, 8, 'reachable')
            ->thing('pipe', 'pipe', 800, 0, 22, 2400, 22, 'may-be-covered', ['direction' => 'up'])->with(['openings' => ['socket']]);
        $back = self::placed($layout->plan(), 'B1-back-a');
        self::assertCount(1, $back->piece->outline->holes);
        self::assertTrue($back->piece->isCutFor('socket'));
        self::assertTrue($back->piece->isCutFor('pipe'));
    }

    public function test_room_for_a_hand_is_kept_free_on_its_side(): void
    {
        // A valve behind a knee space, under a worktop at 700: from above its 100 of hand room reach into the worktop.
        $valve = fn (?string $from) => self::base(['holds' => Recipe::knees()])->edited(Edits::member('w')->setting(['cleats' => false]))->thing('v', 'valve', 600, 600, 60, 60, 50, 'reachable', ['reach_from' => $from, 'hand_room' => TestLayout::mm(100)])->plan();
        $said = fn (SpacePlan $plan) => array_values(array_filter(array_map(fn (Finding $finding) => $finding->sentence, self::clashes($plan)), fn (string $sentence) => str_contains($sentence, 'a hand needs')));
        self::assertSame([], $said($valve('front')));
        // 660 + 100 is 760: 18 of the worktop from 700 to 718 stand in it.
        self::assertSame(['W1-top takes 18 mm of the room that a hand needs at v.'], $said($valve('above')));
    }

    public function test_a_hot_pipe_is_given_more_air(): void
    {
        $wide = function (bool $hot): float {
            $plan = TestLayout::of([TestLayout::bay('a')])->thing('p', 'pipe', 500, 0, 22, 2300, 22, 'may-be-covered', ['direction' => 'up', 'hot' => $hot])->plan();

            return self::placed($plan, 'B1-back-b')->bounds->u0 - self::placed($plan, 'B1-back-a')->bounds->u1;
        };
        // 22 + 2 · 10 and 22 + 2 · 15, each part rounded down by less than 1.
        self::assertEqualsWithDelta(42.0, $wide(false), 2.0);
        self::assertEqualsWithDelta(10.0, $wide(true) - $wide(false), 1.0);
    }

    public function test_a_clash_is_not_said_twice_in_other_words(): void
    {
        // A bay that is 100 too wide stands in both walls: that is one thing.
        $clashes = TestLayout::of([TestLayout::bay('a', ['size' => TestLayout::mm(1300)])])->clashes();
        self::assertSame(['run-overfull', 'no-stock'], array_map(fn (Finding $finding) => $finding->code->value, $clashes));
    }
}
