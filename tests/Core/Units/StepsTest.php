<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Geometry\Block;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Units\PullReach;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** Boxes of different depths over and beside each other: what covers the step, and what their doors meet. */
final class StepsTest extends TestCase
{
    /** A base so deep with a step board over it, and a box on that. */
    private static function stepped(float $upper, float $base = 500.0): SpacePlan
    {
        $layout = TestLayout::of([TestLayout::bay('a', [], [
            Doc::tier('a-1', ['size' => TestLayout::mm(700.0), 'holds' => Recipe::box(0, 1)]),
            Doc::tier('a-2', ['joined' => false, 'holds' => Recipe::box(0, 2), 'depth' => TestLayout::mm($upper)]),
        ])], ['depth' => TestLayout::mm($base)]);
        $layout->layout['members'][] = Doc::member('step', 'step-board', ['a-1']);

        return $layout->plan();
    }

    /** @return list<Code> */
    private static function codes(SpacePlan $plan, Severity ...$severities): array
    {
        return array_values(array_map(fn (Finding $finding) => $finding->code, array_filter($plan->findings, fn (Finding $finding) => in_array($finding->severity, $severities, true))));
    }

    public function test_a_step_board_covers_the_step_by_hand(): void
    {
        // 500 − 460 = 40, 20 over the face and 6 under the upper box: 66 wide.
        $plan = self::stepped(460.0);
        $pieces = [];
        foreach ($plan->pieces() as $piece) {
            $pieces[$piece->name] = $piece->width->result->toDouble();
        }
        self::assertSame([66.0, 60.0], [$pieces['Step board'], $pieces['Packing strip']]);
        self::assertSame([], self::codes($plan, Severity::Clash));
        // The upper box stands on it and its packing: 18 over its base.
        $boxes = $plan->layout->runs[0]->boxes ?? [];
        self::assertEqualsWithDelta(18.0, $boxes[1]->z - $boxes[0]->highest(), 1e-6);
    }

    public function test_a_wide_step_is_said(): void
    {
        self::assertContains(Code::LedgeUseless, self::codes(self::stepped(420.0), Severity::Note));
        self::assertNotContains(Code::LedgeUseless, self::codes(self::stepped(460.0), Severity::Note));
        self::assertContains(Code::UpperOverhangs, self::codes(self::stepped(480.0, 460.0), Severity::Clash));
    }

    public function test_a_pull_that_meets_the_deeper_box_beside_it_opens_its_door_less(): void
    {
        // Banded edges: the leaf hangs 1.5 from the deeper side, and its pull stands out 35.
        $layout = TestLayout::of([
            TestLayout::bay('a', ['size' => TestLayout::mm(350.0)], [Doc::tier('a-1', ['holds' => Recipe::box(0, 1), 'depth' => TestLayout::mm(550.0)])]),
            TestLayout::bay('b', ['size' => TestLayout::mm(320.0)], [Doc::tier('b-1', ['holds' => Recipe::box(0, 1), 'depth' => TestLayout::mm(200.0)])]),
        ], ['depth' => TestLayout::mm(550.0)])->changing(['schools' => ['edges' => 'band', 'doors' => 'overlay']]);
        $layout = $layout->with(['fronts' => [array_replace(Doc::member('f', 'door', ['b-1']), ['with' => ['hand' => 'left']])]]);
        $found = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::LeafOpensShort));
        self::assertStringContainsString('its pull meets B1-side-R', $found[0]->sentence);
        // Hinged on the other side, or opened by a push, it has its way.
        self::assertSame(['Hinge it at the right', 'Open it by a push, without a pull'], array_map(fn ($way) => $way->label, $found[0]->waysOut));
        self::assertNotContains(Code::LeafOpensShort, self::codes($layout->edited($found[0]->waysOut[1]->edit)->plan(), Severity::Warning));
    }

    public function test_how_far_it_opens_by_hand(): void
    {
        // 300 from its hinges a pull of 35 meets what stands 35 beyond them at a right angle, and 13 beyond them, 22 in it, at 85.8°.
        $pull = new PullReach(new Block(0.0, 35.0, 0.0, 10.0, 0.0, 10.0), 300.0, 35.0);
        self::assertEqualsWithDelta(90.0, $pull->opensTo(0.0), 1e-6);
        // 300 cos φ − 35 sin φ = −13: at 85.8° it is 21.97 − 34.91 = −12.9.
        self::assertEqualsWithDelta(85.8, $pull->opensTo(22.0), 0.05);
    }
}
