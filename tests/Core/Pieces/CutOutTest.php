<?php

declare(strict_types=1);

namespace Tests\Core\Pieces;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Pieces\CutOut;
use PHPUnit\Framework\TestCase;

final class CutOutTest extends TestCase
{
    public function test_a_slot_for_a_pipe_by_hand(): void
    {
        // A pipe of 22, its middle 40 from the back edge, 10 of air: hole 22 + 2 · 10 = 42, slot 42 wide to the back edge,
        // 40 + 21 = 61 deep, its end a half circle of 21 about the pipe's middle.
        $shelf = CutOut::notch(Polygon::rectangle(0.0, 0.0, 800.0, 300.0), Polygon::oval(new Point(400.0, 40.0), 42.0, 42.0)->upperLine());
        self::assertNotNull($shelf);
        $deepest = max(array_map(fn (Point $point) => $point->x > 379.0 && $point->x < 421.0 ? $point->y : 0.0, $shelf->points));
        self::assertEqualsWithDelta(61.0, $deepest, 1e-9);
        // Away: 42 · 40 and half a circle, drawn with straight bits: 1680 + π · 21²/2 = 2372.7.
        self::assertEqualsWithDelta(2372.7, 800.0 * 300.0 - $shelf->area(), 10.0);
        foreach ($shelf->points as $point) {
            $isOnEnd = $point->y > 40.0 && $point->y < 100.0;
            self::assertTrue(! $isOnEnd || abs($point->distanceTo(new Point(400.0, 40.0)) - 21.0) < 1e-6);
        }
        self::assertTrue($shelf->isSimple());
    }

    public function test_a_split_hole_by_hand(): void
    {
        // A flue of 125 with 15 of air: hole 155, its middle 320 along a board of 900 × 400 and 200 in: halves 320 and 580
        // long, each with half of it.
        [$first, $second] = CutOut::split(900.0, 400.0, Polygon::oval(new Point(320.0, 200.0), 155.0, 155.0));
        $half = M_PI * 77.5 ** 2 / 2;
        self::assertEqualsWithDelta(320.0 * 400.0 - $half, $first->area(), 120.0);
        self::assertEqualsWithDelta(580.0 * 400.0 - $half, $second->area(), 120.0);
        // Laid together, both edges of the hole meet: 200 − 77.5 and 200 + 77.5.
        foreach ([[$first, 320.0], [$second, 0.0]] as [$part, $cut]) {
            $ends = array_map(fn (Point $point) => $point->y, array_filter($part->points, fn (Point $point) => abs($point->x - $cut) < 1e-6 && $point->y > 1.0 && $point->y < 399.0));
            sort($ends);
            self::assertEqualsWithDelta(122.5, $ends[0], 1e-6);
            self::assertEqualsWithDelta(277.5, $ends[count($ends) - 1], 1e-6);
        }
    }

    public function test_a_notch_at_the_end_takes_the_corner(): void
    {
        foreach ([[-5.0, 40.0, 0.0], [770.0, 805.0, 800.0]] as [$from, $to, $corner]) {
            $board = CutOut::notch(Polygon::rectangle(0.0, 0.0, 800.0, 300.0), CutOut::square($from, $to, 50.0));
            self::assertNotNull($board);
            self::assertCount(6, $board->points);
            self::assertSame([], array_filter($board->points, fn (Point $point) => $point->x === $corner && $point->y === 0.0));
        }
    }

    public function test_a_back_edge_cut_to_a_bowed_wall_is_slotted_too(): void
    {
        $shelf = new Polygon([new Point(0.0, 0.0), new Point(300.0, 4.0), new Point(600.0, 6.0), new Point(900.0, 1.0), new Point(900.0, 250.0), new Point(0.0, 250.0)]);
        $cut = CutOut::notch($shelf, CutOut::square(580.0, 640.0, 70.0));
        self::assertNotNull($cut);
        self::assertTrue($cut->isSimple());
        // 60 wide and 70 deep, less what the bow leaves before it, about 5.7.
        self::assertEqualsWithDelta(60.0 * (70.0 - 5.7), $shelf->area() - $cut->area(), 20.0);
    }

    public function test_where_no_back_edge_is_there_is_no_notch(): void
    {
        self::assertNull(CutOut::notch(Polygon::rectangle(0.0, 0.0, 800.0, 300.0), CutOut::square(900.0, 940.0, 50.0)));
    }

    public function test_round_and_oval_cut_outs(): void
    {
        self::assertEqualsWithDelta(M_PI * 30.0 * 20.0, Polygon::oval(new Point(100.0, 100.0), 60.0, 40.0)->area(), 25.0);
    }

    public function test_a_traced_post_is_notched_with_its_clearance_by_hand(): void
    {
        // A post that steps back: 60 wide and 30 out on its left half, 50 out on its right half; 3 of play all round.
        $post = new Polygon([new Point(100.0, 0.0), new Point(160.0, 0.0), new Point(160.0, 50.0), new Point(130.0, 50.0), new Point(130.0, 30.0), new Point(100.0, 30.0)]);
        $shelf = CutOut::notch(Polygon::rectangle(0.0, 0.0, 800.0, 300.0), $post->grown(3.0)->upperLine());
        self::assertNotNull($shelf);
        self::assertTrue($shelf->isSimple());
        // From 97 to 127 it is 33 deep, from there to 163 it is 53 deep: 30 · 33 + 36 · 53 = 2898.
        self::assertEqualsWithDelta(2898.0, 800.0 * 300.0 - $shelf->area(), 1e-6);
    }

    public function test_a_notch_from_a_station_of_a_bowed_back_edge(): void
    {
        $shelf = new Polygon([new Point(0.0, 0.0), new Point(300.0, 4.0), new Point(600.0, 6.0), new Point(900.0, 1.0), new Point(900.0, 250.0), new Point(0.0, 250.0)]);
        foreach ([[300.0, 360.0], [240.0, 300.0], [0.0, 300.0], [600.0, 900.0]] as [$from, $to]) {
            $cut = CutOut::notch($shelf, CutOut::square($from, $to, 70.0));
            self::assertNotNull($cut);
            self::assertTrue($cut->isSimple());
            self::assertEqualsWithDelta(($to - $from) * 70.0, $shelf->area() - $cut->area(), ($to - $from) * 6.0);
        }
    }
}
