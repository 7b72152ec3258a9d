<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Incastro\Geometry\LeastSquares;
use Incastro\Geometry\Point;
use Incastro\Geometry\SmoothLine;
use Incastro\Trial\Dice;
use PHPUnit\Framework\TestCase;

final class SmoothLineTest extends TestCase
{
    /**
     * @param  \Closure(float): float  $wall
     * @return non-empty-list<Point>
     */
    private static function stations(\Closure $wall, float $noise = 0.0, int $seed = 1, int $count = 10): array
    {
        $dice = new Dice($seed);

        return array_map(fn (int $i) => new Point(250.0 * $i, $wall(250.0 * $i) + ($noise > 0.0 ? $dice->normal($noise) : 0.0)), range(0, $count - 1));
    }

    public function test_a_line_by_hand(): void
    {
        // y = 1, 2, 3 at x = 0, 1, 2, all σ 1: slope 1, intercept 1, nothing left; covariance of the intercept 5/6.
        $fit = LeastSquares::solve([[1.0, 0.0], [1.0, 1.0], [1.0, 2.0]], [1.0, 2.0, 3.0], [1.0, 1.0, 1.0]);
        self::assertNotNull($fit);
        self::assertEqualsWithDelta([1.0, 1.0], $fit->coefficients, 1e-9);
        self::assertEqualsWithDelta(0.0, $fit->sumOfSquares, 1e-9);
        self::assertEqualsWithDelta(sqrt(5 / 6), $fit->sigmaAt([1.0, 0.0]), 1e-9);
        self::assertNull(LeastSquares::solve([[1.0, 1.0], [1.0, 1.0]], [1.0, 2.0], [1.0, 1.0]));
    }

    public function test_walls_are_told_apart_by_their_shape(): void
    {
        $kind = fn (\Closure $wall) => SmoothLine::through(self::stations($wall), 0.3)->kind;
        self::assertSame('straight', $kind(fn (float $x) => 9.0 + 0.004 * $x));
        self::assertSame('parabola', $kind(fn (float $x) => 9.0 + 6.0 * (1 - (2 * $x / 2250 - 1) ** 2)));
        self::assertSame('kink', $kind(fn (float $x) => 9.0 + ($x < 1000.0 ? 6.0 * $x / 1000.0 : 6.0 * (2250.0 - $x) / 1250.0)));
    }

    /** 150 takes of each of 21 walls: noise has tails, so the law is one of how many and of how much. */
    public function test_it_follows_the_wall_and_not_the_noise(): void
    {
        $typical = [];
        $largest = [];
        foreach ([-6, -4, -2, 0, 1, 3, 6] as $bow) {
            foreach (['parabola', 'sine', 'straight'] as $shape) {
                $wall = fn (float $x): float => 10.0 + 0.003 * $x + $bow * match ($shape) {
                    'parabola' => 1 - (2 * $x / 2250 - 1) ** 2,
                    'sine' => sin(M_PI * $x / 2250),
                    default => 0.0,
                };
                for ($seed = 1; $seed <= 150; $seed++) {
                    $line = SmoothLine::through(self::stations($wall, 0.3, $seed), 0.3);
                    $off = array_map(fn (int $i) => abs($line->at(50.0 * $i) - $wall(50.0 * $i)), range(0, 45));
                    $typical[] = sqrt(array_sum(array_map(fn (float $by) => $by ** 2, $off)) / count($off));
                    $largest[] = max($off);
                }
            }
        }
        sort($typical);
        sort($largest);
        $at = fn (array $rising, float $share): float => $rising[(int) ($share * (count($rising) - 1))];
        // The noise of one station is 0.3: the line is nearer than a station nearly always, and half as far as a rule.
        self::assertLessThan(0.18, $at($typical, 0.5));
        self::assertLessThan(0.3, $at($typical, 0.95));
        self::assertLessThan(0.45, $at($typical, 0.995));
        self::assertLessThan(0.7, $at($largest, 0.95));
        self::assertLessThan(1.4, $at($largest, 0.999));
    }

    public function test_straight_through_noise_stays_straight(): void
    {
        $straight = 0;
        for ($seed = 1; $seed <= 100; $seed++) {
            $straight += SmoothLine::through(self::stations(fn () => 12.0, 0.3, $seed), 0.3)->kind === 'straight' ? 1 : 0;
        }
        self::assertGreaterThan(70, $straight);
    }

    public function test_the_odd_one_out_is_found_and_a_bend_is_not(): void
    {
        $wall = fn (float $x): float => 9.0 + 5.0 * sin(M_PI * $x / 2250);
        $stations = self::stations($wall, 0.3, 5);
        self::assertNull(SmoothLine::oddOne($stations, 0.33, 7.0));
        // At the very end a jump may as well be a bend.
        foreach ([1, 4, 7] as $i) {
            $slipped = $stations;
            $slipped[$i] = $slipped[$i]->plus(0.0, 10.0);
            $odd = SmoothLine::oddOne($slipped, 0.33, 7.0);
            self::assertSame($i, $odd[0] ?? null);
            self::assertEqualsWithDelta(10.0, $odd[1], 3.0);
        }
        // A kink is a bend, not a slip.
        self::assertNull(SmoothLine::oddOne(self::stations(fn (float $x) => max(0.0, $x - 1000.0) / 200.0), 0.33, 7.0));
        self::assertNull(SmoothLine::oddOne([new Point(0.0, 1.0), new Point(1.0, 9.0)], 0.33, 7.0));
    }
}
