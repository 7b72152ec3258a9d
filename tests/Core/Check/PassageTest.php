<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Incastro\Check\Passage;
use Incastro\Trial\Dice;
use PHPUnit\Framework\TestCase;

/** The formulas of going in against boxes that are truly moved, corner by corner. */
final class PassageTest extends TestCase
{
    /**
     * A box of a length and a depth turned through a corner of two corridors: its outer side slides along both outer walls,
     * and the inner corner must stay before its inner side. What is left there at the tightest angle, mm.
     */
    private static function roomToTurn(float $long, float $deep, float $from, float $into): float
    {
        $least = INF;
        for ($i = 0; $i <= 3600; $i++) {
            $angle = M_PI / 2 * $i / 3600;
            // One end of the outer side on x = 0, the other on y = 0; the inner corner lies at (into, from).
            [$ax, $ay] = [0.0, $long * sin($angle)];
            [$bx, $by] = [$long * cos($angle), 0.0];
            $distance = abs(($bx - $ax) * ($from - $ay) - ($by - $ay) * ($into - $ax)) / $long;
            $least = min($least, $distance - $deep);
        }

        return $least;
    }

    public function test_the_formula_of_a_turn_is_that_of_a_box_that_is_turned(): void
    {
        $dice = new Dice(17);
        for ($i = 0; $i < 60; $i++) {
            [$from, $into] = [$dice->between(700.0, 1300.0), $dice->between(700.0, 1300.0)];
            // Short enough for its outer side to lie before the inner corner.
            $long = $dice->between(300.0, 1.2 * min($from, $into));
            $deep = $dice->between(100.0, 700.0);
            self::assertEqualsWithDelta(self::roomToTurn($long, $deep, $from, $into), Passage::turned($long, $deep, $from, $into), 0.6, "$long × $deep from $from into $into");
        }
    }

    public function test_the_diagonal_is_the_highest_that_a_box_gets_while_it_is_stood_up(): void
    {
        $dice = new Dice(3);
        for ($i = 0; $i < 40; $i++) {
            [$height, $depth] = [$dice->between(1200.0, 2600.0), $dice->between(150.0, 800.0)];
            $highest = 0.0;
            for ($k = 0; $k <= 2000; $k++) {
                $angle = M_PI / 2 * $k / 2000;
                $highest = max($highest, $height * sin($angle) + $depth * cos($angle));
            }
            self::assertEqualsWithDelta(2400.0 - $highest - 6.0, Passage::tilted($height, $depth, 2400.0, 6.0), 0.01);
        }
    }

    public function test_what_is_smaller_goes_where_what_is_larger_goes(): void
    {
        $dice = new Dice(23);
        for ($i = 0; $i < 80; $i++) {
            $sizes = [$dice->between(100.0, 1200.0), $dice->between(100.0, 2400.0), $dice->between(100.0, 800.0)];
            $smaller = array_map(fn (float $size) => $size * $dice->between(0.5, 1.0), $sizes);
            [$width, $height, $into] = [$dice->between(600.0, 1100.0), $dice->between(1900.0, 2500.0), $dice->between(600.0, 1100.0)];
            self::assertGreaterThanOrEqual(Passage::door($sizes, $width, $height, 20.0), Passage::door($smaller, $width, $height, 20.0));
            self::assertGreaterThanOrEqual(Passage::turn($sizes, $width, $into, $height, 20.0) - 1e-9, Passage::turn($smaller, $width, $into, $height, 20.0));
        }
    }

    public function test_the_order_of_the_sizes_does_not_matter(): void
    {
        foreach ([[900.0, 2300.0, 350.0], [2300.0, 350.0, 900.0], [350.0, 900.0, 2300.0]] as $sizes) {
            self::assertSame(392.0, Passage::door($sizes, 762.0, 1981.0, 20.0));
            self::assertSame(Passage::turn([350.0, 900.0, 2300.0], 1000.0, 900.0, 2400.0, 20.0), Passage::turn($sizes, 1000.0, 900.0, 2400.0, 20.0));
        }
    }
}
