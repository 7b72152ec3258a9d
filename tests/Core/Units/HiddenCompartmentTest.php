<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Units\Insides\Drawers;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Options\HiddenCompartment;
use Incastro\Units\Pull;
use PHPUnit\Framework\TestCase;

final class HiddenCompartmentTest extends TestCase
{
    public function test_two_halves_on_a_middle_cleat_by_hand(): void
    {
        // Whole it would be 761 × 861: neither goes through 724 × 810.
        $box = UnitBox::metric();
        $built = $box->build(new Shelves(0, 2), option: new HiddenCompartment(Length::ofMillimetres(80)));
        $pieces = $box->pieces($built);
        self::assertSame([863.0, 20.0], array_slice($pieces['hidden-cleat-L'], 0, 2));
        self::assertSame([724.0, 20.0], array_slice($pieces['hidden-cleat-head'], 0, 2));
        self::assertSame([824.0, 40.0, [362.3, 402.3]], [...array_slice($pieces['hidden-cleat-middle'], 0, 2), array_slice($pieces['hidden-cleat-middle'][2], 0, 2)]);
        // 864.6 − 3 = 861.6, down to 861; (764.6 − 3 − 1)/2 = 380.3, down to 380; a half is tipped back by 21°: 314 of the 450 before it.
        self::assertSame([861.0, 380.0, [80.0, 86.0]], [...array_slice($pieces['hidden-panel-2'], 0, 2), array_slice($pieces['hidden-panel-2'][2], 2, 2)]);
        // Shelves begin before it: 536 − 86 = 450.
        self::assertSame([450.0, [86.0, 536.0]], [$pieces['shelf-1'][1], array_slice($pieces['shelf-1'][2], 2, 2)]);
        self::assertSame([], $built->findings);
        foreach ($built->placed as $i => $one) {
            foreach (array_slice($built->placed, $i + 1) as $other) {
                if (str_contains($one->piece->key.$other->piece->key, 'hidden')) {
                    self::assertLessThan(0.05, $one->overlap($other, 0.01), $one->piece->key.' in '.$other->piece->key);
                }
            }
        }
    }

    public function test_one_panel_where_the_edges_are_banded(): void
    {
        $box = UnitBox::banded();
        $pieces = array_map(fn (array $piece) => array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($piece, 0, 2)), $box->pieces($box->build(new Shelves(0, 2), option: new HiddenCompartment(Length::ofDouble(3 * 25.4)))));
        // 33 5/16 − 1/8 by 28 9/16 − 1/8; shelves 21 3/4 − 3 − 7/32 = 18 17/32, down to 18 1/2.
        self::assertSame([33.1875, 28.4375], $pieces['hidden-panel-1']);
        self::assertSame(18.5, $pieces['shelf-1'][1]);
    }

    public function test_drawers_before_it_are_shorter(): void
    {
        // 536 − 86 − 10 = 440: slides of 400 instead of 500.
        $box = UnitBox::metric();
        $pieces = $box->pieces($box->build(new Drawers(3, Length::zero(), 25, Pull::Bar), option: new HiddenCompartment(Length::ofMillimetres(80))));
        self::assertSame(400.0, $pieces['drawer-1-side-L'][0]);
    }

    public function test_what_keeps_it_from_being_taken_out_is_said(): void
    {
        $codes = fn (UnitBox $box, Shelves $unit, int $deep): array => array_map(fn (Finding $finding) => $finding->code, $box->build($unit, option: new HiddenCompartment(Length::ofMillimetres($deep)))->findings);
        self::assertContains(Code::PanelCaught, $codes(UnitBox::metric(), new Shelves(1, 1), 80));
        self::assertContains(Code::TooShallow, $codes(new UnitBox('800', '900', '300'), new Shelves(0, 1), 200));
    }
}
