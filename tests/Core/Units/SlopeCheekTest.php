<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Geometry\Point;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Units\Make\Desk\SlopeCheek;
use Incastro\Units\Placed;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;
use Tests\Core\TestLayout;

/** The end of a desk whose back follows what is behind it. */
final class SlopeCheekTest extends TestCase
{
    public function test_under_a_roof_slope_over_a_knee_wall(): void
    {
        // The knee wall is 380 high, then 50°: at 712 the slope is (712 − 380)/tan 50° = 278.58 out.
        $out = (712 - 380) / tan(deg2rad(50));
        $cheek = new SlopeCheek(Length::ofMillimetres(712), Length::ofMillimetres(620), [new Point(0.0, 0.0), new Point(380.0, 0.0), new Point(712.0, $out)], Length::ofMillimetres(9));
        self::assertSame([712.0, 629.0], [$cheek->length()->result->toDouble(), $cheek->width()->result->toDouble()]);
        self::assertEqualsWithDelta(341.42, $cheek->bears()->result->toDouble(), 0.01);
        // Of 712 × 620 the slope takes a triangle 332 high and 278.58 deep.
        self::assertEqualsWithDelta(712 * 620 - 332 * $out / 2, $cheek->outline()->area(), 0.1);
    }

    public function test_against_a_wall_that_leans_in_inches(): void
    {
        $inch = fn (string $typed): Length => (new LengthReader(Unit::Inch))->read($typed);
        $cheek = new SlopeCheek($inch('28 1/4'), $inch('22'), [new Point(0.0, 0.0), new Point($inch('28 1/4')->toDouble(), $inch('3 1/8')->toDouble())], $inch('3/8'));
        self::assertSame(['28 1/4 in', '22 3/8 in', '18 7/8 in'], array_map(fn ($one) => LengthFormat::inches()->write($one->result), [$cheek->length(), $cheek->width(), $cheek->bears()]));
    }

    public function test_sides_of_desks_under_slopes_reach_back_to_the_wall_and_stay_out_of_it(): void
    {
        $seen = 0;
        foreach (range(1, 12) as $seed) {
            $room = new TestKind(SpaceKind::RoofSlope, $seed);
            $low = fn (string $id, array $holds): array => Doc::bay($id, [Doc::tier("$id-1", ['holds' => $holds, 'size' => TestLayout::mm(1050)]), Doc::tier("$id-2", ['joined' => false, 'holds' => Recipe::gap()])], ['top' => 'stepped']);
            $bays = [$low('c', Recipe::gap()), $low('a', Doc::holds('knee-space')), $low('b', Recipe::box(0, 1))];
            $plan = $room->plan(['runs' => [Doc::run('r', 0, $bays)], 'members' => [Recipe::worktop('w', ['a-1', 'b-1'])]] + Doc::none());
            $sides = array_filter(array_merge(...array_map(fn ($assembly) => $assembly->placed, $plan->assemblies)), fn (Placed $one) => str_contains($one->piece->key, ':side-left'));
            foreach ($sides as $side) {
                $seen += $side->piece->outline->isRectangle() ? 0 : 1;
                self::assertSame([], array_values(array_filter($plan->findings, fn ($one) => str_starts_with($one->code->value, 'assembled-') && in_array($side->piece->key, $one->related, true))), "seed $seed");
            }
        }
        self::assertGreaterThan(0, $seen);
    }
}
