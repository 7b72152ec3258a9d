<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Incastro\Check\Carried;
use Incastro\Check\Passage;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** Going in, by hand (handbook, "Going in" and "Allowances"). */
final class GoingInTest extends TestCase
{
    public function test_a_box_that_can_be_stood_up_and_one_that_cannot(): void
    {
        // 900 × 2300 × 350 under 2385: √(2300² + 350²) = 2326.5, + 6 = 2332.5 ≤ 2385; upright 2300 + 70 + 6 = 2376 ≤ 2385.
        self::assertEqualsWithDelta(2385.0 - 2332.5, Passage::tilted(2300.0, 350.0, 2385.0, 6.0), 0.05);
        self::assertSame(9.0, Passage::upright(2300.0, 70.0, 2385.0, 6.0));
        // 900 × 2370 × 600: √(2370² + 600²) = 2444.8, + 6: 65.8 short. Split at 1500 it goes: √(1500² + 600²) = 1615.5.
        self::assertEqualsWithDelta(2385.0 - 2450.8, Passage::tilted(2370.0, 600.0, 2385.0, 6.0), 0.05);
        self::assertEqualsWithDelta(2385.0 - 1621.5, Passage::tilted(1500.0, 600.0, 2385.0, 6.0), 0.05);
    }

    public function test_a_door_is_passed_in_the_best_attitude(): void
    {
        // 762 × 1981: 900 × 2300 × 350 goes lying on its back, 350 across and 900 up, with 20 for hands: 1081 − 20 and 412 − 20.
        self::assertSame(392.0, Passage::door([900.0, 2300.0, 350.0], 762.0, 1981.0, 20.0));
        // 800 × 2000 × 760: its least two sizes are 760 and 800.
        self::assertSame(-18.0, Passage::door([800.0, 2000.0, 760.0], 762.0, 1981.0, 20.0));
    }

    public function test_a_turn_without_turning(): void
    {
        // From 900 into 1200: 850 deep and 1150 long slides round without being turned, 50 less hands to spare.
        self::assertSame(30.0, Passage::turn([850.0, 600.0, 1150.0], 900.0, 1200.0, 700.0, 20.0));
    }

    public function test_a_turn_with_turning(): void
    {
        // From 1000 into 1000, length 1800: at 45° √2 · 1000 − 1800/2 = 514.2 is left for its depth.
        self::assertEqualsWithDelta(14.2, Passage::turned(1800.0, 500.0, 1000.0, 1000.0), 0.1);
        self::assertEqualsWithDelta(-5.8, Passage::turn([1800.0, 500.0, 400.0], 1000.0, 1000.0, 450.0, 20.0), 0.1);
        // On its edge it is only 400 deep, and 500 stand up under the ceiling.
        self::assertEqualsWithDelta(94.2, Passage::turn([1800.0, 500.0, 400.0], 1000.0, 1000.0, 700.0, 20.0), 0.1);
        // Stood on its end, 500 by 400 turn with room to spare, and 2320 − 1800 − 20 is left above.
        self::assertSame(500.0, Passage::turn([1800.0, 500.0, 400.0], 1000.0, 1000.0, 2320.0, 20.0));
    }

    public function test_a_slim_piece_goes_round_with_one_end_raised(): void
    {
        // 2500 lying is too long for 900 into 900, 2500 standing too high for 2400; slanted it goes.
        self::assertLessThan(0.0, Passage::turn([2500.0, 70.0, 18.0], 900.0, 900.0, 2400.0, 20.0));
        self::assertGreaterThan(0.0, Passage::turnRaised([2500.0, 70.0, 18.0], 900.0, 900.0, 2400.0, 20.0));
    }

    private static function tall(): TestLayout
    {
        // 2326 high on its plinth of 70 would stand 2396 up, 6 above: more than 2400 less its doubt; and tilted
        // √(2440² …) is too much under the alcove's own 2400 once nobody read a ceiling in front.
        return TestLayout::of([TestLayout::bay('a')], ['height' => TestLayout::mm(2326)]);
    }

    public function test_what_fails_is_named_with_its_step_its_amount_and_ways_out_that_were_tried(): void
    {
        $layout = self::tall();
        $clash = $layout->clashes()[0];
        self::assertSame('going-in-slid', $clash->code->value);
        self::assertStringContainsString('cannot be slid home under the ceiling: 5 mm short', $clash->sentence);
        self::assertNotSame([], $clash->waysOut);
        foreach ($clash->waysOut as $way) {
            self::assertSame([], $layout->edited($way->edit)->clashes(), $way->label);
        }
    }

    public function test_the_way_from_the_street_counts(): void
    {
        $way = fn (string $kind, float $width, float $height, ?float $second = null) => ['id' => $kind, 'kind' => $kind, 'name' => ucfirst($kind), 'width' => TestLayout::mm($width), 'height' => TestLayout::mm($height), 'second_width' => $second === null ? null : TestLayout::mm($second)];
        $layout = TestLayout::of([TestLayout::bay('a')], ['depth' => TestLayout::mm(580)]);
        $carried = fn (TestLayout $layout): ?Carried => $layout->plan()->carried[0] ?? null;
        self::assertNull($carried($layout->changing(['ways_in' => [$way('door', 760, 1980), $way('turn', 1000, 2360, 1000)]]))?->failing());
        // 562 × 1190 × 2321 through 540 × 1980: 562 + 20 − 540 = 42 short whichever way it is turned.
        $narrow = $layout->changing(['ways_in' => [$way('door', 540, 1980)]]);
        self::assertSame(\Incastro\Check\StepKind::WayIn, $carried($narrow)?->failing()?->kind);
        $clash = $narrow->clashes()[0];
        self::assertStringContainsString('through “Door”, 540 mm by 1980 mm, 42 mm short', $clash->sentence);
        self::assertSame('Make the run 538 mm deep', $clash->waysOut[0]->label);
        self::assertSame([], $narrow->edited($clash->waysOut[0]->edit)->clashes());
    }

    public function test_a_turn_that_is_too_tight_is_solved_by_base_and_upper(): void
    {
        $turn = ['id' => 'turn', 'kind' => 'turn', 'name' => 'Landing', 'width' => TestLayout::mm(800), 'height' => TestLayout::mm(2250), 'second_width' => TestLayout::mm(820)];
        $layout = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Recipe::box(0, 3)])])], [], 800.0)->changing(['ways_in' => [$turn]]);
        $clash = $layout->clashes()[0];
        self::assertSame('going-in-way-in', $clash->code->value);
        self::assertSame('Split at 1500 mm: base and upper', $clash->waysOut[0]->label);
        $split = $layout->edited($clash->waysOut[0]->edit);
        self::assertSame([], $split->clashes());
        self::assertSame([1500.0, 821.0], array_map(fn ($box) => $box->outerHeight()->toDouble(), $split->plan()->layout?->boxes() ?? []));
    }
}
