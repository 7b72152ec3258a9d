<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Eris\Generators;
use Eris\TestTrait;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Polyline;
use PHPUnit\Framework\TestCase;

final class GeometryTest extends TestCase
{
    use TestTrait;

    public function test_the_area_of_a_trapezoid_and_its_turning(): void
    {
        // (60 + 40) / 2 · 20 = 1000, anticlockwise positive
        $trapezoid = new Polygon([new Point(0, 0), new Point(60, 0), new Point(50, 20), new Point(10, 20)]);
        self::assertSame(1000.0, $trapezoid->signedArea());
        self::assertSame(-1000.0, (new Polygon(array_reverse($trapezoid->points)))->signedArea());
    }

    public function test_two_points_are_no_polygon(): void
    {
        $this->expectExceptionMessage('at least three points');
        new Polygon([new Point(0, 0), new Point(1, 0)]);
    }

    public function test_a_polyline_goes_through_its_points_and_on_straight(): void
    {
        $line = new Polyline([new Point(100, 0), new Point(1200, 3.5), new Point(2300, 14.5)]);
        self::assertSame(3.5, $line->at(1200));
        self::assertEqualsWithDelta(9.0, $line->at(1750), 1e-9);
        // On from 2300 at 1 mm a 100 mm; before 100 at 3.5 over 1100.
        self::assertEqualsWithDelta(15.5, $line->at(2400), 1e-9);
        self::assertEqualsWithDelta(-3.5 / 11, $line->at(0), 1e-9);
        self::assertSame([1200.0], $line->knotsBetween(100, 2300));
        self::assertSame([1.0], (new Polyline([new Point(5, 7)]))->weightsAt(900));
    }

    public function test_points_out_of_order_are_refused(): void
    {
        $this->expectExceptionMessage('rising order');
        new Polyline([new Point(1, 0), new Point(1, 3)]);
    }

    public function test_weights_reproduce_every_straight_line(): void
    {
        $this->forAll(Generators::choose(-3000, 5000), Generators::choose(-50, 50), Generators::choose(-9, 9))
            ->then(function (int $x, int $a, int $b): void {
                $xs = [0.0, 1100.0, 2400.0];
                $weights = (new Polyline(array_map(fn (float $at) => new Point($at, 0.0), $xs)))->weightsAt((float) $x);
                self::assertEqualsWithDelta(1.0, array_sum($weights), 1e-9);
                $sum = array_sum(array_map(fn (int $i) => $weights[$i] * ($a + $b * $xs[$i]), array_keys($weights)));
                self::assertLessThanOrEqual(2, count($weights));
                self::assertEqualsWithDelta($a + $b * $x, $sum, 1e-6);
            });
    }

    public function test_the_best_line_through_points_by_hand(): void
    {
        // (0, 1), (1, 3), (2, 2): mean (1, 2), slope (−1·−1 + 1·0)/2 = 0.5
        [$a, $b] = Polyline::bestLine([new Point(0, 1), new Point(1, 3), new Point(2, 2)]);
        self::assertEqualsWithDelta(1.5, $a, 1e-12);
        self::assertEqualsWithDelta(0.5, $b, 1e-12);
    }
}
