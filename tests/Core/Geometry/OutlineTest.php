<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Incastro\Geometry\Block;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Trial\Dice;
use PHPUnit\Framework\TestCase;

/** Ovals, grown outlines and the line that one sees from above: what notches are made of. */
final class OutlineTest extends TestCase
{
    public function test_an_oval_has_its_size_and_its_area(): void
    {
        $oval = Polygon::oval(new Point(10.0, 20.0), 60.0, 40.0, 360);
        self::assertEqualsWithDelta([-20.0, 40.0, 0.0, 40.0], $oval->bounds(), 1e-9);
        // π · a · b with half the sizes.
        self::assertEqualsWithDelta(M_PI * 30.0 * 20.0, $oval->area(), 1.0);
    }

    public function test_a_rectangle_grows_by_as_much_on_every_side(): void
    {
        foreach ([Polygon::rectangle(5.0, 7.0, 60.0, 40.0)->points, array_reverse(Polygon::rectangle(5.0, 7.0, 60.0, 40.0)->points)] as $points) {
            $grown = (new Polygon($points))->grown(3.0);
            self::assertEqualsWithDelta([2.0, 68.0, 4.0, 50.0], $grown->bounds(), 1e-9);
            self::assertEqualsWithDelta(66.0 * 46.0, $grown->area(), 1e-6);
        }
    }

    public function test_an_inner_corner_grows_into_the_notch(): void
    {
        // An L of 60 by 50 with a notch of 30 by 20: its outside moves out by 3, the notch narrows by 3 on both sides.
        $grown = (new Polygon([new Point(0.0, 0.0), new Point(60.0, 0.0), new Point(60.0, 30.0), new Point(30.0, 30.0), new Point(30.0, 50.0), new Point(0.0, 50.0)]))->grown(3.0);
        self::assertEqualsWithDelta(66.0 * 56.0 - 30.0 * 20.0, $grown->area(), 1e-6);
        self::assertTrue($grown->contains(new Point(32.0, 40.0)));
        self::assertFalse($grown->contains(new Point(34.0, 40.0)));
    }

    public function test_what_is_grown_keeps_its_distance(): void
    {
        $dice = new Dice(5);
        for ($i = 0; $i < 40; $i++) {
            // Corners round a middle, so that no two sides cross.
            $corners = [];
            $count = 5 + $i % 6;
            for ($k = 0; $k < $count; $k++) {
                $far = $dice->between(30.0, 60.0);
                $corners[] = new Point($far * cos(2 * M_PI * $k / $count), $far * sin(2 * M_PI * $k / $count));
            }
            $polygon = new Polygon($corners);
            $grown = $polygon->grown(4.0);
            foreach ($corners as $k => $a) {
                $b = $corners[($k + 1) % $count];
                // The middle of every side, moved out by a little less than 4, is still inside.
                $length = $a->distanceTo($b);
                $out = new Point(($a->x + $b->x) / 2 + 3.9 * ($b->y - $a->y) / $length, ($a->y + $b->y) / 2 - 3.9 * ($b->x - $a->x) / $length);
                self::assertTrue($grown->contains($out), "shape $i, side $k");
                self::assertTrue($grown->contains($a));
            }
            self::assertGreaterThan($polygon->area(), $grown->area());
        }
    }

    public function test_the_line_seen_from_above_by_hand(): void
    {
        // A step: 30 high up to 40 along, then 50 high up to 70.
        $step = new Polygon([new Point(0.0, 0.0), new Point(70.0, 0.0), new Point(70.0, 50.0), new Point(40.0, 50.0), new Point(40.0, 30.0), new Point(0.0, 30.0)]);
        $seen = fn (array $line) => array_map(fn (Point $point) => [$point->x, $point->y], $line);
        self::assertSame([[0.0, 30.0], [40.0, 30.0], [40.0, 50.0], [70.0, 50.0]], $seen($step->upperLine()));
        self::assertSame([[10.0, 30.0], [40.0, 30.0], [40.0, 50.0], [60.0, 50.0]], $seen($step->upperLine(10.0, 60.0)));
        self::assertSame([], $step->upperLine(80.0, 90.0));
    }

    public function test_nothing_of_a_shape_lies_above_its_line(): void
    {
        $dice = new Dice(9);
        for ($i = 0; $i < 30; $i++) {
            $corners = [];
            for ($k = 0; $k < 9; $k++) {
                $far = $dice->between(10.0, 60.0);
                $corners[] = new Point($far * cos(2 * M_PI * $k / 9), $far * sin(2 * M_PI * $k / 9));
            }
            $shape = new Polygon($corners);
            $line = $shape->upperLine();
            for ($n = 0; $n < 60; $n++) {
                $point = new Point($dice->between(-60.0, 60.0), $dice->between(-60.0, 60.0));
                if ($shape->contains($point)) {
                    self::assertTrue($this->isUnder($line, $point), "shape $i");
                }
            }
        }
    }

    /** @param list<Point> $line */
    private function isUnder(array $line, Point $point): bool
    {
        foreach ($line as $k => $a) {
            $b = $line[$k + 1] ?? $a;
            if ($b->x > $a->x && $point->x >= $a->x && $point->x <= $b->x) {
                return $point->y <= $a->y + ($point->x - $a->x) / ($b->x - $a->x) * ($b->y - $a->y) + 1e-9;
            }
        }

        return false;
    }

    public function test_blocks_overlap_by_their_least_depth_and_grow_on_all_sides(): void
    {
        $a = new Block(0.0, 100.0, 0.0, 50.0, 0.0, 20.0);
        $b = new Block(90.0, 200.0, 40.0, 90.0, 5.0, 8.0);
        self::assertSame([10.0, 10.0, 3.0], $a->overlap($b));
        self::assertTrue($a->meets($b));
        self::assertFalse($a->meets($b, 3.5));
        // Apart by 10: only grown by more than that do they meet.
        $far = new Block(110.0, 120.0, 0.0, 50.0, 0.0, 20.0);
        self::assertFalse($a->meets($far));
        self::assertTrue($a->grown(11.0)->meets($far));
    }
}
