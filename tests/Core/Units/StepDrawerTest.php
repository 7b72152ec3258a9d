<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use PHPUnit\Framework\TestCase;
use Tests\Core\PieceSizes;
use Tests\Core\TestLayout;

/** A cupboard round the foot of a basin, with a step below that pulls out round it. */
final class StepDrawerTest extends TestCase
{
    /** @param array<string, mixed> $with */
    private static function layout(array $with = [], float $step = 190.0, float $depth = 560.0): TestLayout
    {
        $tiers = [
            Doc::tier('a-1', ['holds' => Doc::holds('step-drawer', $with), 'size' => TestLayout::mm($step)]),
            Doc::tier('a-2', ['holds' => Recipe::box(0, 1), 'size' => TestLayout::mm(430)]),
            Doc::tier('a-3', ['joined' => false, 'holds' => Recipe::gap()]),
        ];

        return TestLayout::of([TestLayout::bay('a', ['top' => 'below'], $tiers)], ['depth' => TestLayout::mm($depth)], 860.0, 800.0)
            ->with(['members' => [Recipe::worktop('w', ['a-2'])], 'options' => [Doc::member('no-back', 'no-back', ['a-1', 'a-2']), Doc::member('no-bottom', 'no-bottom', ['a-1'])]]);
    }

    private static function basin(TestLayout $layout): TestLayout
    {
        return $layout->thing('foot', 'pedestal', 418.6 - 105.5, 164.9 - 105.5, 211, 211, 700, 'may-be-covered', ['face' => 'floor'])->thing('basin', 'basin', 200, 700, 460, 150, 420, 'uncovered');
    }

    public function test_it_goes_round_the_foot_of_a_basin_and_so_do_the_boards_above(): void
    {
        $plan = self::basin(self::layout())->plan();
        self::assertSame([], array_map(fn (Finding $one) => $one->sentence, array_filter($plan->findings, fn (Finding $one) => $one->severity === Severity::Clash)));
        $sizes = PieceSizes::byMark($plan);
        // Between the stiles 773: 773 − 2 · 4 = 765 wide; 773 − 5 = 768 for its front.
        self::assertSame(765.0, $sizes['step-lid'][0]);
        self::assertSame(768.0, $sizes['step-front-1'][0]);
        // A foot of 211 and 15 at both sides is 241, to whole millimetres outwards 242; with both cheeks 278.
        self::assertSame(278.0, $sizes['step-notch'][0]);
        // 14/15 · 18² = 302.4: (765 − 18)/(302.4 + 18) = 2.3, two ribs.
        self::assertArrayHasKey('step-rib-2', $sizes);
        self::assertArrayNotHasKey('step-rib-3', $sizes);
        // Both plates are notched as deep; the shelf, the top and the worktop slotted to the wall.
        $told = [];
        foreach ($plan->pieces() as $piece) {
            $told[substr($piece->mark, 3)] = implode(' ', $piece->told(\Incastro\Measure\LengthFormat::millimetres()));
        }
        self::assertStringContainsString('notch for foot', $told['step-lid']);
        self::assertStringContainsString('notch for foot', $told['step-bottom']);
        foreach (['top', 'shelf-1'] as $mark) {
            self::assertStringContainsString('slot for foot', $told[$mark]);
        }
    }

    public function test_sprung_castors_are_let_in_so_that_its_rim_stands_when_it_is_stood_on(): void
    {
        foreach ([false, true] as $isNotched) {
            $layout = self::layout(['runs' => 'sprung', 'front' => TestLayout::mm(5)]);
            $layout = $isNotched ? self::basin($layout) : $layout;
            self::assertSame([], array_map(fn (Finding $one) => $one->sentence, $layout->clashes()));
            $placed = array_column(array_map(fn ($one) => [substr($one->piece->mark, 3), $one], $layout->plan()->assemblies[0]->placed), 1, 0);
            // It stands 5 off the floor, as far as the castors give way; its front 5 + 3. Castors of 40 stand under blocks inside, through the bottom.
            self::assertEqualsWithDelta([5.0, 8.0, 40.0], [$placed['step-bottom']->bounds->z0, $placed['step-front-1']->bounds->z0, $placed['step-castor-FL']->bounds->z0], 1e-6);
            foreach (['BL', 'BR', 'FL', 'FR'] as $corner) {
                self::assertSame(80.0, $placed["step-castor-$corner"]->piece->length->result->toDouble());
            }
            $away = $placed['step-bottom']->piece->outline->holes;
            self::assertCount(4, $away);
            self::assertEqualsWithDelta(68.0 * 68.0, $away[0]->area(), 1e-6);
        }
    }

    public function test_without_a_basin_it_has_one_back(): void
    {
        $sizes = PieceSizes::byMark(self::layout()->plan());
        // 765 − 2 · 18.
        self::assertSame(729.0, $sizes['step-back'][0]);
        self::assertArrayNotHasKey('step-cheek-L', $sizes);
    }

    public function test_a_rise_that_is_none_and_a_going_too_short_are_said_with_ways_out(): void
    {
        $clash = self::layout(step: 300.0)->clashes()[0];
        self::assertStringEndsWith('is no step: it is 150 mm to 220 mm.', $clash->sentence);
        self::assertSame('Make the tier 190 mm', $clash->waysOut[0]->label);
        self::assertSame([], self::layout(step: 300.0)->edited($clash->waysOut[0]->edit)->clashes());
        $short = self::basin(self::layout(depth: 500.0));
        $clash = array_values(array_filter($short->clashes(), fn (Finding $one) => str_contains($one->sentence, 'before its notch')))[0] ?? self::fail('Nothing was said of its going.');
        self::assertStringContainsString('a foot needs 220 mm', $clash->sentence);
    }

    public function test_a_basin_over_a_worktop_that_is_too_high_is_in_the_way(): void
    {
        $high = self::layout(step: 220.0)->thing('basin', 'basin', 200, 650, 460, 150, 420, 'uncovered');
        self::assertNotSame([], array_filter($high->clashes(), fn (Finding $one) => in_array('basin', $one->related, true) || str_contains(strtolower($one->sentence), 'basin')));
    }
}
