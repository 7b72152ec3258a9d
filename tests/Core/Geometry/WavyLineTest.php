<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Incastro\Geometry\Point;
use Incastro\Geometry\SmoothLine;
use Incastro\Geometry\WavyLine;
use Incastro\Trial\Dice;
use PHPUnit\Framework\TestCase;

final class WavyLineTest extends TestCase
{
    /** @param \Closure(float): float $surface @return non-empty-list<Point> every 250 mm up 2250 */
    private static function stations(\Closure $surface): array
    {
        return array_map(fn (int $i) => new Point(250.0 * $i, $surface(250.0 * $i)), range(0, 9));
    }

    public function test_a_parabola_is_followed_as_it_is(): void
    {
        $bow = fn (float $x): float => 4.0 + 6.0 * (1 - (2 * $x / 2250 - 1) ** 2);
        $line = WavyLine::through(self::stations($bow), 0.33, 1.2);
        self::assertNotNull($line);
        foreach ([0.0, 130.0, 1125.0, 2250.0] as $x) {
            self::assertEqualsWithDelta($bow($x), $line->at($x), 1e-6);
        }
    }

    public function test_it_bends_where_the_stations_ask_for_it(): void
    {
        // A wave of 2 mm over 1200: a spline of two pieces cannot follow it, which a board cut to it shows as a gap.
        $wave = fn (float $x): float => 2.0 * sin(2 * M_PI * $x / 1200 + 0.7);
        $line = WavyLine::through(self::stations($wave), 0.33, 1.2);
        self::assertNotNull($line);
        $stiff = SmoothLine::through(self::stations($wave), 0.33);
        $worst = fn (WavyLine|SmoothLine $one): float => max(array_map(fn (int $i) => abs($one->at(25.0 * $i) - $wave(25.0 * $i)), range(4, 86)));
        self::assertLessThan(0.5, $worst($line));
        self::assertGreaterThan(2 * $worst($line), $worst($stiff));
    }

    public function test_it_is_sure_at_its_stations_and_less_so_between_and_beyond(): void
    {
        $line = WavyLine::through(self::stations(fn (float $x): float => 0.0), 0.33, 1.2);
        self::assertNotNull($line);
        self::assertLessThan(0.33, $line->sigmaAt(1000.0));
        self::assertGreaterThan($line->sigmaAt(1000.0), $line->sigmaAt(1125.0));
        self::assertGreaterThan($line->sigmaAt(1125.0), $line->sigmaAt(2600.0));
        // Between sparser stations it knows less.
        $sparse = WavyLine::through(array_values(array_filter(self::stations(fn (float $x): float => 0.0), fn (Point $at) => fmod($at->x, 500.0) < 1.0)), 0.33, 1.2);
        self::assertGreaterThan($line->sigmaAt(1125.0), $sparse?->sigmaAt(1250.0));
    }

    /** Of surfaces such as it supposes as many lie within 1.96 of its σ as should. */
    public function test_its_doubt_is_what_it_says(): void
    {
        $dice = new Dice(5);
        $within = $all = 0;
        for ($i = 0; $i < 300; $i++) {
            $parts = array_map(fn () => [$dice->normal(1.2 / sqrt(10)), 1 / 300 * $dice->normal(1.0), $dice->between(0.0, 2 * M_PI)], range(1, 20));
            // Σ √2·a·cos(kx + φ) with k normal about 0, σ 1/l, has the covariance h²·exp(−d²/2l²).
            $surface = fn (float $x): float => array_sum(array_map(fn (array $p) => abs($p[0]) * cos($p[1] * $x + $p[2]), $parts));
            $line = WavyLine::through(array_map(fn (Point $at) => new Point($at->x, $at->y + $dice->normal(0.33)), self::stations($surface)), 0.33, 1.2);
            foreach ([375.0, 900.0, 1610.0] as $x) {
                $all++;
                $within += abs(($line?->at($x) ?? INF) - $surface($x)) <= 1.96 * ($line?->sigmaAt($x) ?? 0.0) ? 1 : 0;
            }
        }
        self::assertGreaterThan(0.92, $within / $all);
    }
}
