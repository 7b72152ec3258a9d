<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Incastro\Geometry\Point;
use Incastro\Geometry\Round;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class RoundTest extends TestCase
{
    /**
     * @param  array<int|string, float>  $offsets  by the place along a line at 400
     * @return list<Point>
     */
    private static function stations(array $offsets): array
    {
        return array_map(fn (int|string $u, float $offset) => new Point((float) $u, 400 - $offset), array_keys($offsets), array_values($offsets));
    }

    public function test_five_offsets_of_a_pedestal(): void
    {
        $round = Round::of(self::stations([328 => 181.0, 373 => 140.0, 418 => 129.5, 463 => 139.5, 508 => 179.0]), 0.3);
        self::assertNotNull($round);
        self::assertEqualsWithDelta([418.6, 164.9, 105.5], [$round->centre->x, $round->centre->y, $round->radius], 0.05);
        self::assertLessThan(0.12, max(array_map(abs(...), $round->residuals)));
        self::assertTrue($round->isRound(0.3));
        self::assertFalse($round->isDoubtful());
        // R + c + √(U_R² + U_centre²).
        self::assertEqualsWithDelta($round->radius + 5 + hypot($round->doubt(), 1.645 * $round->sigmaCentre), $round->hole(5.0), 1e-9);
    }

    public function test_three_offsets_give_the_circle_through_them(): void
    {
        // Pitch p 90 and s = (y₁ + y₃)/2 − y₂ = 50.5: R = (90² + 50.5²)/(2 · 50.5) = 105.447.
        $round = Round::of(self::stations([328 => 180.0, 418 => 129.5, 508 => 180.0]), 0.3);
        self::assertEqualsWithDelta((90 ** 2 + 50.5 ** 2) / 101, $round?->radius, 1e-6);
        self::assertEqualsWithDelta(0.0, max(array_map(abs(...), $round->residuals ?? [1.0])), 1e-6);
        // From stations close together (s 10.25) the same σ tells far less: take the outer ones far out.
        $near = Round::of(self::stations([373 => 139.75, 418 => 129.5, 463 => 139.75]), 0.3, 0.0);
        $far = Round::of(self::stations([328 => 180.0, 418 => 129.5, 508 => 180.0]), 0.3, 0.0);
        self::assertEqualsWithDelta(103.9, $near?->radius, 0.05);
        self::assertGreaterThan(5 * ($far->sigmaRadius ?? INF), $near->sigmaRadius ?? 0.0);
        self::assertTrue($near?->isDoubtful());
    }

    public function test_what_is_no_circle_is_none(): void
    {
        self::assertNull(Round::of(self::stations([0 => 100.0, 50 => 100.0, 100 => 100.0]), 0.5));
        $square = Round::of([new Point(-50, 0), new Point(-50, 50), new Point(-25, 50), new Point(0, 50), new Point(25, 50), new Point(50, 50), new Point(50, 0)], 0.3);
        self::assertFalse($square?->isRound(0.3));
    }

    public function test_of_a_thousand_pedestals_at_most_one_in_twenty_is_larger_than_is_said(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(7));
        $even = fn (): float => $chance->getInt(1, 1_000_000) / 1e6;
        $normal = fn (): float => sqrt(-2 * log($even())) * cos(2 * M_PI * $even());
        $within = 0;
        for ($n = 0; $n < 1000; $n++) {
            $radius = 60 + 100 * $even();
            $reach = $radius * (0.7 + 0.2 * $even());
            $count = $chance->getInt(5, 7);
            $stations = [];
            for ($i = 0; $i < $count; $i++) {
                $u = -$reach + 2 * $reach * $i / ($count - 1);
                // The rule stands a little beside where it should, and is read a little wrong.
                $beside = $u + 0.5 * $normal();
                $stations[] = new Point(400 + $u, 160 + sqrt(max(0.0, $radius ** 2 - $beside ** 2)) + 0.5 * $normal());
            }
            $round = Round::of($stations, 0.5);
            self::assertNotNull($round);
            $within += (int) ($radius <= $round->radius + $round->doubt());
        }
        self::assertGreaterThanOrEqual(950, $within);
        self::assertLessThan(985, $within, 'more than one in fifty would be a doubt that is too large');
    }
}
