<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Units\GridBuild;
use Incastro\Units\Insides\Cubbies;
use Incastro\Units\Placed;
use PHPUnit\Framework\TestCase;

final class CubbiesTest extends TestCase
{
    public function test_four_by_four_half_lapped_by_hand(): void
    {
        // 764.6 × 864.6 clear, boards of 8.8: (764.6 − 3 · 8.8)/4 = 184.55, down to 184; (864.6 − 3 · 8.8)/4 = 209.55, down to 209.
        $box = UnitBox::metric(drawer: '8.8');
        $built = $box->build(new Cubbies(4, 4, GridBuild::Lap));
        $pieces = $box->pieces($built);
        self::assertSame([863.0, 536.0, [184.0, 192.8, 0.0, 536.0, 0.0, 863.0]], $pieces['upright-1']);
        self::assertSame(184.0 + 192.8, $pieces['upright-2'][2][0]);
        self::assertSame([763.0, 536.0, [0.8, 763.8, 0.0, 536.0, 209.0, 217.8]], $pieces['level-1']);
        self::assertSame(209.0 + 217.8, $pieces['level-2'][2][4]);
        // Slots are 8.8 + 0.3 wide and 536/2 + 0.5 deep; at its foot 91 × 18.7 is cut away for the nailer, at its head, 1.6 below the top, 89.4.
        $upright = $built->byKey()['tier:upright-1']->piece->outline;
        self::assertEqualsWithDelta(863 * 536 - 3 * 9.1 * 268.5 - (91 + 89.4) * 18.7, $upright->area(), 1.0);
        self::assertSame([Code::GridBeforeFrame], array_map(fn (Finding $finding) => $finding->code, $built->findings));
        self::assertNothingOverlaps($built->placed);
    }

    public function test_three_by_three_with_uprights_between_levels_in_inches_by_hand(): void
    {
        $box = UnitBox::banded();
        $built = $box->build(new Cubbies(3, 3, GridBuild::Butt));
        $pieces = array_map(fn (array $piece) => array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($piece, 0, 2)), $box->pieces($built));
        // (33 5/16 − 2 · 15/32)/3 = 10.79, down to 10 3/4; the top row takes the rest, 10 7/8. 21 25/32 down to 21 3/4.
        self::assertSame([28.5625, 21.75], $pieces['level-1']);
        $uprights = array_values(array_map(fn (Placed $placed) => [round($placed->piece->length->result->toDouble() / 25.4, 6), $placed->bounds->z0], array_filter($built->placed, fn (Placed $placed) => $placed->piece->name === 'Cubby upright')));
        self::assertSame([10.75, 10.75, 10.75, 10.75, 10.875, 10.875], array_column($uprights, 0));
        // (28 9/16 − 2 · 15/32)/3 = 9.2, down to 9 3/16.
        self::assertEqualsWithDelta(9.1875 * 25.4, $built->decisions['Width of a cubby, B1']->result->toDouble(), 1e-6);
        self::assertNothingOverlaps($built->placed);
    }

    public function test_places_that_take_no_hand_are_refused_with_fewer_of_them(): void
    {
        // (764.6 − 11 · 12)/12 = 52.7.
        $built = UnitBox::metric()->build(new Cubbies(12, 3, GridBuild::Lap));
        self::assertSame(Code::CubbySmall, $built->findings[0]->code);
        self::assertStringContainsString('52 mm', $built->findings[0]->sentence);
        // ⌊(764.6 + 12)/(60 + 12)⌋ = 10.
        self::assertSame(['columns' => 10, 'rows' => 3], $built->findings[0]->waysOut[0]->edit->value);
    }

    public function test_a_shallower_grid_stands_flush_in_front(): void
    {
        $box = UnitBox::metric();
        $built = $box->build(new Cubbies(2, 2, GridBuild::Lap, Length::ofMillimetres(300)));
        self::assertSame([236.0, 536.0], array_slice($box->pieces($built)['level-1'][2], 2, 2));
        self::assertNothingOverlaps($built->placed);
    }

    /** @param list<Placed> $placed */
    private static function assertNothingOverlaps(array $placed): void
    {
        foreach ($placed as $i => $one) {
            foreach (array_slice($placed, $i + 1) as $other) {
                if (str_contains($one->piece->key.$other->piece->key, 'level') || str_contains($one->piece->key.$other->piece->key, 'upright')) {
                    self::assertLessThan(0.05, $one->overlap($other, 0.01), $one->piece->key.' in '.$other->piece->key);
                }
            }
        }
    }
}
