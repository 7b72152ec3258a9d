<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Trial\Dice;
use PHPUnit\Framework\TestCase;

/** What is left of a board when something is cut out of it; sums by hand, and what holds of every cut. */
final class DifferenceTest extends TestCase
{
    private static function one(Outline $outline, Polygon $cut): Outline
    {
        $parts = $outline->minus($cut);
        self::assertCount(1, $parts);
        self::assertTrue($parts[0]->outer->isSimple());

        return $parts[0];
    }

    private static function slot(Polygon $form): Polygon
    {
        $slot = $form->drawnDown(-1000.0);
        self::assertNotNull($slot);

        return $slot;
    }

    public function test_a_slot_for_a_pipe_by_hand(): void
    {
        // A pipe of 22, its middle 40 from the back edge, 10 of air: hole 22 + 2 · 10 = 42, slot 42 wide to the back edge,
        // 40 + 21 = 61 deep, its end a half circle of 21 about the pipe's middle.
        $shelf = self::one(Outline::rectangle(0.0, 0.0, 800.0, 300.0), self::slot(Polygon::oval(new Point(400.0, 40.0), 42.0, 42.0)));
        $deepest = max(array_map(fn (Point $point) => $point->x > 379.0 && $point->x < 421.0 ? $point->y : 0.0, $shelf->outer->points));
        self::assertEqualsWithDelta(61.0, $deepest, 1e-6);
        // Away: 42 · 40 and half a circle, drawn with straight bits: 1680 + π · 21²/2 = 2372.7.
        self::assertEqualsWithDelta(2372.7, 800.0 * 300.0 - $shelf->area(), 10.0);
        foreach ($shelf->outer->points as $point) {
            $isOnEnd = $point->y > 40.0 && $point->y < 100.0;
            self::assertTrue(! $isOnEnd || abs($point->distanceTo(new Point(400.0, 40.0)) - 21.0) < 1e-6);
        }
    }

    public function test_a_split_hole_by_hand(): void
    {
        // A flue of 125 with 15 of air: hole 155, its middle 320 along a board of 900 × 400 and 200 in: halves 320 and 580
        // long, each with half of it.
        $board = self::one(Outline::rectangle(0.0, 0.0, 900.0, 400.0), Polygon::oval(new Point(320.0, 200.0), 155.0, 155.0));
        [$first] = $board->between(0.0, 320.0);
        [$second] = $board->between(320.0, 900.0);
        $half = M_PI * 77.5 ** 2 / 2;
        self::assertEqualsWithDelta(320.0 * 400.0 - $half, $first->area(), 120.0);
        self::assertEqualsWithDelta(580.0 * 400.0 - $half, $second->area(), 120.0);
        // Laid together, both edges of the hole meet: 200 − 77.5 and 200 + 77.5.
        foreach ([$first, $second] as $part) {
            $ends = array_map(fn (Point $point) => $point->y, array_filter($part->outer->points, fn (Point $point) => abs($point->x - 320.0) < 1e-6 && $point->y > 1.0 && $point->y < 399.0));
            sort($ends);
            self::assertEqualsWithDelta(122.5, $ends[0], 1e-6);
            self::assertEqualsWithDelta(277.5, $ends[count($ends) - 1], 1e-6);
        }
    }

    public function test_a_notch_at_the_end_takes_the_corner(): void
    {
        foreach ([[-5.0, 0.0], [770.0, 800.0]] as [$from, $corner]) {
            $board = self::one(Outline::rectangle(0.0, 0.0, 800.0, 300.0), Polygon::rectangle($from, -10.0, 45.0, 60.0));
            self::assertCount(6, $board->outer->points);
            self::assertSame([], array_filter($board->outer->points, fn (Point $point) => $point->x === $corner && $point->y === 0.0));
        }
    }

    public function test_a_back_edge_cut_to_a_bowed_wall_is_slotted_too(): void
    {
        $shelf = new Outline(new Polygon([new Point(0.0, 0.0), new Point(300.0, 4.0), new Point(600.0, 6.0), new Point(900.0, 1.0), new Point(900.0, 250.0), new Point(0.0, 250.0)]));
        // 60 wide and 70 deep, less what the bow leaves before it, about 5.7.
        self::assertEqualsWithDelta(60.0 * (70.0 - 5.7), $shelf->area() - self::one($shelf, Polygon::rectangle(580.0, -100.0, 60.0, 170.0))->area(), 20.0);
        // From a station on, where two corners fall together.
        foreach ([[300.0, 360.0], [240.0, 300.0], [0.0, 300.0], [600.0, 900.0]] as [$from, $to]) {
            $cut = self::one($shelf, Polygon::rectangle($from, -100.0, $to - $from, 170.0));
            self::assertEqualsWithDelta(($to - $from) * 70.0, $shelf->area() - $cut->area(), ($to - $from) * 6.0);
        }
    }

    public function test_a_traced_post_is_notched_with_its_clearance_by_hand(): void
    {
        // A post that steps back: 60 wide and 30 out on its left half, 50 out on its right half; 3 of play all round.
        $post = new Polygon([new Point(100.0, 0.0), new Point(160.0, 0.0), new Point(160.0, 50.0), new Point(130.0, 50.0), new Point(130.0, 30.0), new Point(100.0, 30.0)]);
        $shelf = self::one(Outline::rectangle(0.0, 0.0, 800.0, 300.0), self::slot($post->grown(3.0)));
        // From 97 to 127 it is 33 deep, from there to 163 it is 53 deep: 30 · 33 + 36 · 53 = 2898.
        self::assertEqualsWithDelta(2898.0, 800.0 * 300.0 - $shelf->area(), 1e-6);
    }

    public function test_a_second_cut_keeps_the_first(): void
    {
        // A back of 2000 × 900 with an opening of 92 × 92, then parted by a strip of 42 from top to bottom.
        $back = self::one(Outline::rectangle(0.0, 0.0, 2000.0, 900.0), Polygon::rectangle(300.0, 100.0, 92.0, 92.0));
        self::assertCount(1, $back->holes);
        self::assertEqualsWithDelta(2000.0 * 900.0 - 92.0 * 92.0, $back->area(), 1e-6);
        $parts = $back->minus(Polygon::rectangle(-10.0, 500.0, 2020.0, 42.0));
        self::assertCount(2, $parts);
        usort($parts, fn (Outline $a, Outline $b) => $a->bounds()[2] <=> $b->bounds()[2]);
        self::assertCount(1, $parts[0]->holes);
        self::assertEqualsWithDelta(2000.0 * 500.0 - 92.0 * 92.0, $parts[0]->area(), 1e-6);
        self::assertEqualsWithDelta(2000.0 * 358.0, $parts[1]->area(), 1e-6);
    }

    public function test_what_does_not_meet_is_left_as_it_is_and_what_is_covered_is_gone(): void
    {
        $board = Outline::rectangle(0.0, 0.0, 800.0, 300.0);
        self::assertSame([$board], $board->minus(Polygon::rectangle(900.0, 0.0, 40.0, 50.0)));
        self::assertEqualsWithDelta($board->area(), self::one($board, Polygon::rectangle(800.0, 0.0, 40.0, 50.0))->area(), 1e-9);
        self::assertSame([], $board->minus(Polygon::rectangle(-1.0, -1.0, 900.0, 400.0)));
    }

    /** Points of the board lie in what is left just where they lie outside the cut; and its convex parts fill it exactly. */
    public function test_of_every_cut_what_is_left_is_what_was_not_cut(): void
    {
        $dice = new Dice(11);
        for ($n = 0; $n < 150; $n++) {
            $board = new Outline(new Polygon([new Point(0.0, 0.0), new Point(300.0, $dice->between(-5.0, 5.0)), new Point(700.0, 0.0), new Point(700.0, 400.0), new Point($dice->between(100.0, 600.0), $dice->between(250.0, 400.0)), new Point(0.0, 400.0)]));
            $parts = [$board];
            $cuts = [];
            for ($k = 0; $k < 3; $k++) {
                $cuts[] = $cut = $dice->chance(0.5)
                    ? Polygon::oval(new Point($dice->between(0.0, 700.0), $dice->between(0.0, 400.0)), $dice->between(20.0, 200.0), $dice->between(20.0, 200.0))
                    : Polygon::rectangle(round($dice->between(-50.0, 700.0), -1), round($dice->between(-50.0, 400.0), -1), 10.0 * $dice->whole(1, 30), 10.0 * $dice->whole(1, 30));
                $parts = array_merge([], ...array_map(fn (Outline $part) => $part->minus($cut), $parts));
            }
            for ($i = 0; $i < 60; $i++) {
                $point = new Point($dice->between(0.0, 700.0), $dice->between(0.0, 400.0));
                $isLeft = $board->outer->contains($point) && array_filter($cuts, fn (Polygon $cut) => $cut->contains($point)) === [];
                $isIn = array_filter($parts, fn (Outline $part) => $part->outer->contains($point) && array_filter($part->holes, fn (Polygon $hole) => $hole->contains($point)) === []) !== [];
                self::assertSame($isLeft, $isIn, "cut $n, point $point->x, $point->y");
            }
            foreach ($parts as $part) {
                $convex = array_map(fn (array $points) => new Polygon($points), $part->convexParts());
                self::assertEqualsWithDelta($part->area(), array_sum(array_map(fn (Polygon $one) => $one->area(), $convex)), 0.5, "cut $n");
                foreach ($convex as $one) {
                    self::assertTrue($one->isConvex(), "cut $n");
                }
            }
        }
    }
}
