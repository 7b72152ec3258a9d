<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Survey\Things\Asked;
use Incastro\Units\Hardware;
use Incastro\Units\Kinds;
use Incastro\Units\Surfaces\HookRail;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class HookRailTest extends TestCase
{
    /** @param array<string, mixed> $with */
    private static function unit(array $with = [], Unit $unit = Unit::Millimetre): HookRail
    {
        $made = Kinds::standard()->find('hook-rail')?->make($with, new HouseRules($unit));
        self::assertInstanceOf(HookRail::class, $made);

        return $made;
    }

    /** @param array<string, mixed> $with */
    private static function layout(array $with = [], float $wide = 1190.0): TestLayout
    {
        return TestLayout::of([], width: $wide)->with(['surfaces' => [['id' => 's'] + Doc::holds('hook-rail', $with) + ['on' => ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]]], 'runs' => [], 'members' => []]);
    }

    /** @return array<string, int> */
    private static function bought(SpacePlan $plan): array
    {
        return array_column(array_map(fn (Hardware $item) => [$item->name, $item->quantity], $plan->hardware()), 1, 0);
    }

    public function test_two_rows_on_three_studs(): void
    {
        // 1190 − 2 · 20 = 1150; (1150 − 2 · 75)/175 = 5.7: six hooks, 1000/5 = 200 apart; the lower five begin at 75 + 100 = 175.
        $layout = self::layout(['two' => true]);
        foreach ([210, 610, 1010] as $at) {
            $layout = $layout->thing("stud-$at", 'stud', $at - 22.5, 0.0, 45.0, 2400.0, 0.0, 'may-be-covered');
        }
        $plan = $layout->plan();
        self::assertSame([], $layout->clashes());
        self::assertSame([[1150.0, 90.0], [1150.0, 90.0]], array_map(fn ($piece) => [$piece->length->result->toDouble(), $piece->width->result->toDouble()], $plan->pieces()));
        $bounds = $plan->assemblies[0]->placed[0]->bounds;
        self::assertSame([20.0, 1170.0, 1605.0, 1695.0], [$bounds->u0, $bounds->u1, $bounds->z0, $bounds->z1]);
        self::assertSame(1150.0, ($plan->assemblies[0]->placed[1]->bounds->z0 + $plan->assemblies[0]->placed[1]->bounds->z1) / 2);
        self::assertSame(200.0, $plan->decisions()['Hooks apart, R1']->result->toDouble());
        // Six and five hooks, two screws at each of three studs for either rail.
        $bought = self::bought($plan);
        self::assertSame(11, $bought['coat hook']);
        self::assertContains(12, $bought);
        self::assertSame('two screws at each stud, plugged; hooks at 175 mm, 375 mm, 575 mm, 775 mm, 975 mm', $plan->pieces()[1]->joints[0]);
    }

    public function test_in_inches_four_hooks_eight_apart(): void
    {
        $read = fn (string $typed): Length => (new LengthReader(Unit::Inch))->read($typed);
        // 31 1/2 − 2 · 3/4 = 30; (30 − 2 · 3)/7 = 3.4: four hooks, 24/3 = 8.
        $hooks = self::unit([], Unit::Inch)->hooks(Working::start('rail', $read('30')));
        self::assertEqualsWithDelta([3.0, 11.0, 19.0, 27.0], array_map(fn (float $mm) => $mm / 25.4, $hooks), 1e-9);
    }

    public function test_screws_are_spread_where_a_hooks_own_screw_would_meet_them(): void
    {
        $layout = self::layout();
        foreach ([310, 610] as $at) {
            $layout = $layout->thing("stud-$at", 'stud', $at - 22.5, 0.0, 45.0, 2400.0, 0.0, 'may-be-covered');
        }
        // Hooks at 75, 275, 475 … of a rail that begins at 20: a stud's middle at 310 is 290 along, 15 from a hook; one at 610 is far from all.
        // 90/3 = 30, and 0.4 · 90 = 36.
        self::assertSame(['screws at 290 mm, 36 mm over and under the middle', 'screws at 590 mm, 30 mm over and under the middle'], array_slice($layout->plan()->pieces()[0]->joints, 1));
    }

    public function test_a_rail_hangs_on_two_studs(): void
    {
        $layout = self::layout(['short' => TestLayout::mm(300)])->thing('stud', 'stud', 600.0, 0.0, 45.0, 2400.0, 0.0, 'may-be-covered')->thing('other', 'stud', 200.0, 0.0, 45.0, 2400.0, 0.0, 'may-be-covered');
        $clash = $layout->clashes()[0];
        self::assertSame('Only one stud is behind the rail R1, and it hangs on two at least.', $clash->sentence);
        // Nearer the sides it reaches the other.
        self::assertSame('Let it reach to both sides', $clash->waysOut[0]->label);
        self::assertSame([], $layout->edited($clash->waysOut[0]->edit)->clashes());
        // Nobody noted any: it is asked.
        self::assertStringStartsWith('Find the studs first', array_values(array_filter(self::layout()->plan()->findings, fn (Finding $finding) => $finding->code->value === 'no-stud'))[0]->sentence);
    }

    public function test_on_masonry_it_takes_plugs_and_asks_for_no_studs(): void
    {
        $plan = self::layout()->changing(['installing' => ['walls' => ['space/0' => 'masonry', 'other/0' => 'timber']]])->plan();
        self::assertSame([], array_filter($plan->findings, fn (Finding $one) => in_array($one->code->value, ['no-stud', 'rail-one-stud'], true)));
        $plugs = array_values(array_filter($plan->assemblies[0]->hardware, fn (Hardware $one) => $one->name === 'wall plug'));
        // A rail of 1150 has plugs at both ends and no farther apart than 600: at 0, 575 and 1150, a pair at each.
        self::assertSame(6, $plugs[0]->quantity);
        self::assertSame(['walls'], array_map(fn (Asked $one) => $one->value, $plan->space->layout->asks()));
    }

    public function test_a_part_of_the_wall_that_ends_below_it_holds_no_rail(): void
    {
        $layout = self::layout();
        $layout->layout['surfaces'][0]['on']['head'] = TestLayout::mm(1500);
        self::assertSame('Hook rail R1 is at 1650 mm, and its part of the wall reaches from 0 mm to 1500 mm.', $layout->clashes()[0]->sentence);
    }
}
