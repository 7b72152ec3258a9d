<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Unit;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\SpacePlan;
use Incastro\Planning\UsualMaterials;
use Incastro\Rules\Finding;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class SlatShelvesTest extends TestCase
{
    /** One shelf in a cell of a height, 640 deep: at half of it and 40 more. Slats of 28 × 44, cleats of 20. */
    private static function layout(float $wide, float $high, array $with = [], float $depth = 640.0): TestLayout
    {
        $tiers = [Doc::tier('a-1', ['holds' => Doc::holds('slat-shelves', ['count' => 1] + $with), 'size' => TestLayout::mm($high)]), Doc::tier('a-2', ['joined' => false, 'holds' => Doc::holds('gap')])];
        $usual = (new UsualMaterials(Unit::Millimetre))->document();

        return TestLayout::of([TestLayout::bay('a', ['top' => 'below'], $tiers)], ['depth' => TestLayout::mm($depth)], $wide, 900.0)->changing(['rules' => ['side_allowance' => TestLayout::mm(0)]] + $usual)->with(['members' => []]);
    }

    /** A cylinder of 450 across its lagging, 500 along and 300 out, so high. */
    private static function cylinder(TestLayout $layout, float $high = 1400.0, float $out = 300.0): TestLayout
    {
        return $layout->thing('cylinder', 'cylinder', 500.0 - 225.0, $out - 225.0, 450.0, 450.0, $high, 'may-be-covered', ['face' => 'floor']);
    }

    /** @return array<string, list<float>> lengths by name */
    private static function lengths(SpacePlan $plan): array
    {
        $lengths = [];
        foreach ($plan->pieces() as $piece) {
            $lengths[$piece->name][] = $piece->length->result->toDouble();
        }

        return $lengths;
    }

    public function test_slats_stop_at_the_air_of_a_cylinder(): void
    {
        $layout = self::cylinder(self::layout(980.0, 1300.0));
        self::assertSame([], array_map(fn (Finding $one) => $one->sentence, $layout->clashes()));
        $plan = $layout->plan();
        $lengths = self::lengths($plan);
        // 640 − 10 − 20 = 610: (610 + 20)/(44 + 20) = 9.8, ten. 225 + 50 = 275: one clear in front of 300 + 275, the others stop at 225 and 775.
        self::assertCount(1, $lengths['Slat']);
        self::assertCount(9, $lengths['Slat, left of the cylinder']);
        self::assertCount(9, $lengths['Slat, right of the cylinder']);
        $run = $plan->layout->runs[0] ?? self::fail('There is no run.');
        // The doubts of both walls are taken off: less than 5 mm at each.
        self::assertEqualsWithDelta(970.0, $lengths['Slat'][0], 8.0);
        self::assertEqualsWithDelta(220.0, $lengths['Slat, left of the cylinder'][0], 5.0);
        self::assertEqualsWithDelta(200.0, $lengths['Slat, right of the cylinder'][0], 5.0);
        // 610 + 20 − 20, and 610 + 20 for the bearers.
        self::assertSame([610.0, 610.0], $lengths['Side cleat']);
        self::assertSame([630.0, 630.0], $lengths['Inner bearer']);
        self::assertArrayNotHasKey('Post', $lengths);
        // Nothing comes nearer than 50 to it.
        foreach ($plan->assemblies[0]->placed as $placed) {
            $b = $placed->bounds;
            $apart = max(0.0, $b->u0 - 725.0, 275.0 - $b->u1, $b->v0 - 525.0, 75.0 - $b->v1);
            self::assertGreaterThanOrEqual(50.0 - 1e-6, $b->z0 > 1400.0 ? 50.0 : $apart, $placed->piece->mark);
        }
        self::assertSame('Slats on cleats', $run->cells[0]->label());
    }

    public function test_over_a_cylinder_they_go_through_on_a_middle_bearer_and_its_post(): void
    {
        $layout = self::cylinder(self::layout(1168.0, 1800.0), 700.0);
        self::assertSame([], array_map(fn (Finding $one) => $one->sentence, $layout->clashes()));
        $lengths = self::lengths($layout->plan());
        // 1168 over 900 at most: one between; its post takes 20 of the depth: (590 + 20)/64 = 9.5, ten all the same.
        self::assertCount(10, $lengths['Slat']);
        self::assertCount(1, $lengths['Middle bearer']);
        self::assertCount(1, $lengths['Post']);
        // On the floor, up to the slats at 900 + 40.
        self::assertEqualsWithDelta(940.0, $lengths['Post'][0], 1.0);
        self::assertCount(1, $lengths['Back cleat']);
    }

    public function test_where_no_slat_lies_before_the_cylinder_its_bearers_stand_on_posts(): void
    {
        // 400 out to its middle: 400 + 275 is beyond 640 − 10 − 44.
        $lengths = self::lengths(self::cylinder(self::layout(980.0, 1300.0), out: 400.0)->plan());
        self::assertArrayNotHasKey('Slat', array_filter($lengths, fn (array $all, string $name) => $name === 'Slat' && count($all) > 2, ARRAY_FILTER_USE_BOTH));
        self::assertCount(2, $lengths['Post']);
    }
}
