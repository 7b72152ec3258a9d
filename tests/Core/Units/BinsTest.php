<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Schools\DrawerCorner;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\Schools;
use Incastro\Units\Contents;
use Incastro\Units\Insides\Apron;
use Incastro\Units\Insides\Bin;
use PHPUnit\Framework\TestCase;

/** Bins that are drawn out, and one that an apron closes. */
final class BinsTest extends TestCase
{
    private static function length(string $typed, Unit $unit = Unit::Millimetre): Length
    {
        return (new LengthReader($unit))->read($typed);
    }

    /** @return array{float, float} */
    private static function inches(array $piece): array
    {
        return array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($piece, 0, 2));
    }

    public function test_two_loose_bins_by_hand(): void
    {
        $box = UnitBox::metric();
        $built = $box->build(new Bin(2, self::length('300'), Contents::Toys));
        $pieces = $box->pieces($built);
        // (724 − 3 · 3)/2 = 357.5, down to 357; 536 − 20; lifted 27.3 over the lower rail.
        self::assertSame([516.0, 300.0], array_slice($pieces['drawer-bin-1-side-L'], 0, 2));
        self::assertSame([27.3, 327.3], array_slice($pieces['drawer-bin-1-side-L'][2], 4));
        self::assertSame([333.0, 300.0], array_slice($pieces['drawer-bin-2-front'], 0, 2));
        self::assertSame([343.0, 502.0], array_slice($pieces['drawer-bin-2-bottom'], 0, 2));
        self::assertSame([27.0, [0.3, 27.3]], [$pieces['bin-runner-1-L'][1], array_slice($pieces['bin-runner-1-L'][2], 4)]);
        self::assertSame([], $built->findings);
    }

    public function test_two_bins_in_inches_by_hand(): void
    {
        $box = new UnitBox('30', '34 3/4', '22', Unit::Inch, schools: new Schools(edges: Edges::Band, drawerCorner: DrawerCorner::Rabbet));
        $pieces = $box->pieces($box->build(new Bin(2, self::length('12', Unit::Inch), Contents::Toys)));
        // (28 9/16 − 3 · 1/8)/2 = 14 3/32, down to 14 1/16; 21 3/4 − 3/4 = 21; 14 1/16 − 2 · 15/32 + 2 · 3/16 = 13 1/2.
        self::assertSame([21.0, 12.0], self::inches($pieces['drawer-bin-1-side-L']));
        self::assertSame([13.5, 12.0], self::inches($pieces['drawer-bin-1-front']));
    }

    public function test_a_bin_too_heavy_or_too_high_says_so(): void
    {
        // 0.718 · 0.516 · 0.5 m³ of toys, 100 kg each: 18.5 kg; of jars three times that.
        $heavy = UnitBox::metric()->build(new Bin(1, self::length('500'), Contents::Pantry));
        self::assertSame([Code::BinHeavy], array_map(fn (Finding $finding) => $finding->code, $heavy->findings));
        self::assertSame(['count' => 2], $heavy->findings[0]->waysOut[0]->edit->value);
        $high = (new UnitBox('800', '500', '560'))->build(new Bin(1, self::length('450'), Contents::Toys));
        // 500 − 2 · 45 = 410 between the rails, less 25.
        self::assertSame('Make them 385 mm high', $high->findings[0]->waysOut[0]->label);
    }

    public function test_an_apron_with_a_false_bottom_by_hand(): void
    {
        $box = UnitBox::metric();
        $pieces = $box->pieces($box->build(new Apron(self::length('300'), self::length('250'), self::length('350'))));
        self::assertSame([764.0, 300.0, [0.0, 764.0, 518.3, 536.0, 0.0, 300.0]], $pieces['apron']);
        // 764.6 − 3 = 761.6, down to 761, on cleats under 250 − 17.7 = 232.3.
        self::assertSame([761.0, 350.0, [1.5, 762.5, 0.0, 350.0, 232.3, 250.0]], $pieces['false-bottom']);
        self::assertSame([764.0, 232.0, [0.0, 764.0, 332.3, 350.0, 0.0, 232.0]], $pieces['riser']);
        self::assertSame([314.0, 30.0, [0.0, 17.7, 17.7, 331.7, 202.3, 232.3]], $pieces['floor-cleat-L']);
        self::assertSame([729.0, 30.0, [17.7, 746.7, 0.0, 17.7, 202.3, 232.3]], $pieces['floor-cleat-back']);
    }

    public function test_a_whole_false_bottom_in_inches_by_hand(): void
    {
        $box = UnitBox::banded();
        $pieces = $box->pieces($box->build(new Apron(self::length('12', Unit::Inch), self::length('10', Unit::Inch))));
        self::assertSame([28.5625, 12.0], self::inches($pieces['apron']));
        // 28 9/16 − 1/8; 21 3/4 − 23/32 = 21 1/32, down to 21; less a cleat behind, 20 9/32, down to 20 1/4.
        self::assertSame([28.4375, 21.0], self::inches($pieces['false-bottom']));
        self::assertSame([20.25, 1.25], self::inches($pieces['floor-cleat-R']));
        self::assertSame([27.125, 1.25], self::inches($pieces['floor-cleat-back']));
    }

    public function test_a_floor_out_of_reach_is_lifted_by_a_false_bottom(): void
    {
        $built = (new UnitBox('800', '1200', '560'))->build(new Apron(self::length('720')));
        self::assertSame([Code::BinDeep], array_map(fn (Finding $finding) => $finding->code, $built->findings));
        self::assertSame('Put a false bottom at 270 mm', $built->findings[0]->waysOut[0]->label);
    }
}
