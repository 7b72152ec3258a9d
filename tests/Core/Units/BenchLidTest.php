<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Geometry\Block;
use Incastro\Geometry\Solid;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Finding;
use Incastro\Units\Hardware;
use Incastro\Units\Movement;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** Two chests of 380 in an alcove of 1200, on a plinth of 70, in a run 400 deep. */
final class BenchLidTest extends TestCase
{
    /** @param array<string, mixed> $with */
    private static function plan(array $with = [], array $above = ['kind' => 'gap'], float $deep = 400.0): SpacePlan
    {
        $bay = fn (string $id) => TestLayout::bay($id, [], [Doc::tier("$id-1", ['size' => TestLayout::mm(380), 'holds' => Recipe::box(0, 0)]), Doc::tier("$id-2", ['joined' => false, 'holds' => Doc::holds($above['kind'])])]);
        $layout = TestLayout::of([$bay('a'), $bay('b')], ['depth' => TestLayout::mm($deep)], depth: $deep + 200.0);
        $layout->layout['members'][] = array_replace(Doc::member('lid', 'bench-lid', ['a-1', 'b-1']), ['with' => $with]);

        return $layout->plan();
    }

    /** @return array{float, float, list<float>} length, width, and where it stands */
    private static function piece(SpacePlan $plan, string $mark): array
    {
        foreach ($plan->assemblies[0]->placed as $placed) {
            if ($placed->piece->mark === $mark) {
                $b = $placed->bounds;

                return [$placed->piece->length->result->toDouble(), $placed->piece->width->result->toDouble(), array_map(fn (float $at) => round($at, 2), [$b->u0, $b->u1, $b->v0, $b->v1, $b->z0, $b->z1])];
            }
        }
        self::fail("There is no $mark.");
    }

    public function test_a_lid_lies_over_each_box_behind_which_a_strip_is_fixed(): void
    {
        $plan = self::plan();
        self::assertSame('fits', $plan->verdict->state);
        // Depth 400 + 15 over the face − 90 of strip − 2 at the hinge = 323; width 594 − 3 at the wall − half of 3 = 589.5.
        self::assertSame([589.5, 323.0, [9.0, 598.5, 92.0, 415.0, 450.0, 468.0]], self::piece($plan, 'W1-lid-1'));
        self::assertSame([589.5, 323.0, [601.5, 1191.0, 92.0, 415.0, 450.0, 468.0]], self::piece($plan, 'W1-lid-2'));
        // The strip goes from wall to wall; the middle of its bearer is under the gap of the hinge: 91 ± 9.
        self::assertSame([0.0, 1200.0, 0.0, 90.0, 450.0, 468.0], self::piece($plan, 'W1-strip')[2]);
        self::assertSame([558.0, 90.0, [24.0, 582.0, 82.0, 100.0, 360.0, 450.0]], self::piece($plan, 'W1-bearer-1'));
        $bought = array_map(fn (Hardware $one) => "$one->quantity $one->name", $plan->hardware());
        // 589.5 − 40, and a stay for a lid up to 600 wide.
        self::assertContains('2 piano hinge 549 mm', $bought);
        self::assertContains('2 lid stay that holds at every angle', $bought);
    }

    public function test_a_deep_lid_bends_under_one_person(): void
    {
        // 700 + 15 − 90 − 2 = 623 deep and 589.5 wide, across its grain: a sharing width of 589.5, 1471.5 N on 300:
        // 1471.5 × (8 × 623³ − 4 × 300² × 623 + 300³) ÷ (384 × 6500 × 589.5 × 18³/12) = 3.6; 623/300 = 2.1.
        $bends = array_values(array_filter(self::plan(deep: 700.0)->findings, fn (Finding $finding) => $finding->code->value === 'lid-bends'));
        self::assertStringStartsWith('Under one person W1-lid-1 bends 3.6 mm; 2.1 mm is the most over 623 mm.', $bends[0]->sentence);
        self::assertSame([], array_filter(self::plan()->findings, fn (Finding $finding) => $finding->code->value === 'lid-bends'));
    }

    public function test_the_boxes_under_it_have_no_top(): void
    {
        $marks = array_map(fn ($placed) => $placed->piece->mark, self::plan()->assemblies[0]->placed);
        self::assertNotContains('B1-top', $marks);
        self::assertContains('B1-bottom', $marks);
        // With a worktop they have one.
        $layout = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['size' => TestLayout::mm(380)]), Doc::tier('a-2', ['joined' => false, 'holds' => Recipe::gap()])])]);
        $layout->layout['members'][] = Doc::member('top', 'worktop', ['a-1']);
        self::assertContains('B1-top', array_map(fn ($placed) => $placed->piece->mark, $layout->plan()->assemblies[0]->placed));
    }

    public function test_it_swings_up_round_its_hinge_line(): void
    {
        $lid = array_values(array_filter(self::plan()->assemblies[0]->movements, fn (Movement $one) => $one->name === 'Lid W1-1'))[0];
        $swept = array_reduce($lid->swept, fn (?Block $all, Solid $one) => $all?->and($one->bounds) ?? $one->bounds);
        self::assertNotNull($swept);
        // Round v 92, z 468, as far as its corner at the foot of its front: √(323² + 18²) = 323.5, drawn out by 1/cos 7.5°.
        $radius = sqrt(323.0 ** 2 + 18.0 ** 2) / cos(M_PI / 24);
        self::assertEqualsWithDelta([92.0, 92.0 + $radius, 468.0, 468.0 + $radius], [$swept->v0, $swept->v1, $swept->z0, $swept->z1], 0.01);
    }

    public function test_under_a_box_it_strikes_and_a_child_is_thought_of(): void
    {
        $said = fn (SpacePlan $plan): array => array_map(fn (Finding $finding) => $finding->code->value, $plan->findings);
        self::assertContains('strikes', $said(self::plan([], ['kind' => 'shelves'])));
        // Two chests of some 90 litres, said once.
        self::assertSame(1, count(array_keys($said(self::plan()), 'lid-safety', true)));
    }

    public function test_too_deep_a_strip_leaves_no_lid(): void
    {
        // 415 − 350 − 2 = 63.
        $plan = self::plan(['strip' => TestLayout::mm(350)]);
        self::assertContains('Its lids would be 63 mm deep; 100 mm is the least that is made.', array_map(fn (Finding $finding) => $finding->sentence, $plan->findings));
    }
}
