<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Units\Make\FirstBoard;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class FirstBoardTest extends TestCase
{
    public function test_first_and_last_share_less_than_half_a_board(): void
    {
        // 838 − 6 = 832 by 90: ten; 832 − 90 − 8 · 90 = 22, and (90 + 22)/2 = 56 each.
        self::assertSame([56, ...array_fill(0, 8, 90), 56], FirstBoard::of(832, 90, 90, 40)->widths);
        // 350: four; 350 − 90 − 2 · 90 = 80.
        self::assertSame([90, 90, 90, 80], FirstBoard::of(350, 90, 90, 40)->widths);
        self::assertSame([60], FirstBoard::of(60, 90, 90, 40)->widths);
    }

    public function test_over_a_fire_the_first_course_is_searched_for(): void
    {
        // Sixteenths: 93 3/4 high, courses of 5 1/8, the floor falls 3/8: the first shows 4 3/4 at the most. n = 1 + ⌈89/5 1/8⌉ = 19,
        // q = 93 3/4 − 4 3/4 − 17 · 5 1/8 = 1 7/8; 3 5/16 each would leave 11/16 under the opening from 30 to 47 1/2, 3/8 less from the
        // first course on.
        $of = fn (float $inches): int => (int) round(16 * $inches);
        $edges = [$of(30 - 0.375), $of(47.5 - 0.375)];
        $least = intdiv($of(5.125), 3) + 1;
        $courses = FirstBoard::of($of(93.75), $of(5.125), $of(4.75), $least, $edges);
        self::assertCount(19, $courses->widths);
        // 4, and the last 2 5/8; a joint falls on the sill: 4 + 5 · 5 1/8 = 29 5/8.
        self::assertSame([$of(4.0), $of(2.625)], [$courses->widths[0], $courses->widths[18]]);
        self::assertSame($of(2.625), $courses->leastStrip);
    }

    public function test_a_sliver_is_left_only_where_no_start_is_without(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(5));
        $slivers = 0;
        for ($n = 0; $n < 500; $n++) {
            [$cover, $fall] = [$chance->getInt(70, 140), $chance->getInt(0, 20)];
            $clear = $chance->getInt(300, 3000);
            [$most, $least] = [$cover - $fall, max(40, intdiv($cover, 3))];
            $foot = $chance->getInt(100, $clear - 100);
            $edges = $chance->getInt(0, 2) === 0 ? [] : [$foot, min($clear, $foot + $chance->getInt(50, 900))];
            $boards = FirstBoard::of($clear, $cover, $most, $least, $edges);
            self::assertSame($clear, array_sum($boards->widths));
            self::assertLessThanOrEqual($most, $boards->widths[0]);
            foreach (array_slice($boards->widths, 1, -1) as $whole) {
                self::assertSame($cover, $whole);
            }
            if ($boards->leastStrip < $least) {
                $slivers++;
                self::assertSame([], self::without($clear, $cover, $most, $least, $edges), "list $n");
            }
        }
        self::assertGreaterThan(0, $slivers);
        self::assertLessThan(150, $slivers);
    }

    /**
     * Every first board that leaves no sliver, by walking over the joints.
     *
     * @param  list<int>  $edges
     * @return list<int>
     */
    private static function without(int $clear, int $cover, int $most, int $least, array $edges): array
    {
        $good = [];
        for ($first = $least; $first <= min($most, $clear); $first++) {
            $joints = [0];
            for ($at = $first; $at < $clear; $at += $cover) {
                $joints[] = $at;
            }
            $joints[] = $clear;
            $strips = [$first, $clear - $joints[count($joints) - 2]];
            foreach ($edges as $i => $edge) {
                foreach ($i % 2 === 0 ? array_filter($joints, fn (int $joint) => $joint < $edge) : [] as $joint) {
                    $below = $edge - $joint;
                }
                if ($i % 2 === 0) {
                    $strips[] = in_array($edge, $joints, true) ? PHP_INT_MAX : $below ?? PHP_INT_MAX;
                } else {
                    $above = array_values(array_filter($joints, fn (int $joint) => $joint > $edge));
                    $strips[] = in_array($edge, $joints, true) || $above === [] ? PHP_INT_MAX : $above[0] - $edge;
                }
            }
            if (min($strips) >= $least) {
                $good[] = $first;
            }
        }

        return $good;
    }
}
