<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Rules\Finding;
use Incastro\Rules\Schools\LeafBuild;
use Incastro\Units\Hand;
use Incastro\Units\Hang;
use Incastro\Units\Hardware;
use Incastro\Units\Insides\HangingRail;
use Incastro\Units\Pull;
use Incastro\Units\RailWay;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class HangingRailTest extends TestCase
{
    public function test_in_a_shallow_box_it_runs_from_back_to_front(): void
    {
        // 600 wide, 400 deep: boards 400 − 6 − 18 = 376, face at 394. Before a strip of 17.7 behind: 394 − 17.7 − 2 · 10 = 356.3, down to 356, in the middle of 564.6.
        $box = new UnitBox('600', '1300', '400');
        $built = $box->build(new HangingRail(Hang::Short, Length::ofMillimetres(60), Length::ofMillimetres(25), RailWay::Deep));
        self::assertSame(['rail Ø 25 mm, cut to 356 mm', 'rail support'], array_map(fn (Hardware $one) => $one->name, array_values(array_filter($built->hardware, fn (Hardware $one) => $one->use === 'hanging rails'))));
        $block = $built->fixtures[0]->block;
        self::assertEqualsWithDelta([17.7 + 282.3 - 12.5, 356.0], [$block->u0, $block->v1 - $block->v0], 1e-6);
        self::assertSame([], $built->findings);
        // From side to side hangers would touch a front, and that is the way out.
        $across = $box->build(new HangingRail(Hang::Short, Length::ofMillimetres(60), Length::ofMillimetres(25)), UnitBox::door(1, Hand::Left, Pull::Knob));
        self::assertSame(['direction' => 'front-to-back'], $across->findings[0]->waysOut[1]->edit->value);
    }

    public function test_two_rails_behind_doors_by_hand(): void
    {
        // 964.6 × 2164.6 clear, face at 614, doors of 18.
        $built = (new UnitBox('1000', '2200', '620'))->build(new HangingRail(Hang::Double, Length::ofMillimetres(60), Length::ofMillimetres(25)), UnitBox::door(2, Hand::Either, Pull::Bar, build: LeafBuild::Grooved));
        $decided = array_map(fn (Working $working) => $working->result->toDouble(), $built->decisions);
        // 964.6 − 2 · 3 = 958.6, down; 2164.6 − 60; 1040 lower; half of 614 − 18.
        self::assertSame([
            'Upper rail, B1' => 958.0, 'Middle of the upper rail over the board below, B1' => 2104.6,
            'Lower rail, B1' => 958.0, 'Middle of the lower rail over the board below, B1' => 1064.6,
            'Middle of the rail before the back, B1' => 298.0,
        ], $decided);
        $rails = array_values(array_filter($built->hardware, fn (Hardware $one) => $one->use === 'hanging rails'));
        self::assertSame(['rail Ø 25 mm, cut to 958 mm', 'rail socket', 'rail Ø 25 mm, cut to 958 mm', 'rail socket'], array_map(fn (Hardware $one) => $one->name, $rails));
        self::assertSame([], array_map(fn (Finding $finding) => $finding->code->value, $built->findings));
    }

    public function test_one_rail_in_inches_by_hand(): void
    {
        // 34 9/16 × 43 9/16 clear: 34 9/16 − 2 · 1/8 = 34 5/16 long, 43 9/16 − 2 3/8 = 41 3/16 up.
        $inch = fn (float $inches) => Length::ofDouble($inches * 25.4);
        $built = (new UnitBox('36', '45', '24', Unit::Inch))->build(new HangingRail(Hang::Short, $inch(2.375), $inch(1.0)));
        self::assertEqualsWithDelta(34.3125 * 25.4, $built->decisions['Rail, B1']->result->toDouble(), 1e-6);
        self::assertEqualsWithDelta(41.1875 * 25.4, $built->decisions['Middle of the rail over the board below, B1']->result->toDouble(), 1e-6);
        self::assertSame([], $built->findings);
    }

    public function test_a_place_too_low_or_too_shallow_says_by_how_much(): void
    {
        $layout = fn (float $high, float $deep, array $with = []) => TestLayout::of([TestLayout::bay('a', [], [Doc::tier('low', ['size' => TestLayout::mm($high), 'holds' => Doc::holds('hanging-rail', $with)]), Doc::tier('high', ['joined' => false])]), TestLayout::bay('b')], ['depth' => TestLayout::mm($deep)]);
        self::assertSame([], $layout(1200.0, 560.0)->clashes());
        // 1000 outside, 964 clear: 904 under the rail's middle, 96 short.
        $low = $layout(1000.0, 560.0)->clashes()[0];
        self::assertSame('There are 904 mm under the middle of the rail; what hangs needs 1000 mm.', $low->sentence);
        self::assertSame('Make the tier 96 mm higher', $low->waysOut[0]->label);
        self::assertSame([], $layout(1000.0, 560.0)->edited($low->waysOut[0]->edit)->clashes());
        $warnings = array_map(fn (Finding $finding) => $finding->sentence, array_values(array_filter($layout(1200.0, 450.0)->plan()->findings, fn (Finding $finding) => $finding->code->value === 'clothes-touch-front')));
        // 450 less the back of 6.
        self::assertSame(['Hangers need 480 mm; there are 444 mm.'], $warnings);
    }
}
