<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Incastro\Geometry\Axis;
use Incastro\Geometry\Block;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Prism;
use PHPUnit\Framework\TestCase;

final class PrismTest extends TestCase
{
    public function test_a_block_is_seen_and_cut_from_every_side(): void
    {
        $board = Prism::block(100.0, 20.0, 70.0, 800.0, 300.0, 18.0);
        self::assertEquals(new Block(100.0, 900.0, 20.0, 320.0, 70.0, 88.0), $board->bounds());
        $area = fn (array $points) => (new Polygon($points))->area();
        self::assertSame(300.0 * 18.0, $area($board->outline(Axis::U)));
        self::assertSame(800.0 * 18.0, $area($board->outline(Axis::V)));
        self::assertSame(800.0 * 300.0, $area($board->outline(Axis::Z)));
        self::assertSame(300.0 * 18.0, $area($board->section(Axis::U, 500.0)[0]));
        self::assertSame([], $board->section(Axis::U, 950.0));
        self::assertCount(8, $board->corners());
    }

    public function test_a_raked_side_is_cut_where_it_is_lower(): void
    {
        // Along V: 0 to 400 deep, in u and z a trapezium from 900 to 1500 over 800.
        $body = new Prism(Axis::V, [new Point(0.0, 0.0), new Point(800.0, 0.0), new Point(800.0, 1500.0), new Point(0.0, 900.0)], 0.0, 400.0);
        $cut = $body->section(Axis::U, 400.0)[0];
        // Half way the height is 1200; the section lies in v and z.
        self::assertSame(400.0 * 1200.0, (new Polygon($cut))->area());
        self::assertSame(400.0, max(array_map(fn (Point $point) => $point->x, $cut)));
        // At 1200 up only the higher half is cut: 400 wide.
        $level = $body->section(Axis::Z, 1200.0)[0];
        self::assertEqualsWithDelta(400.0 * 400.0, (new Polygon($level))->area(), 1e-6);
    }

    public function test_a_notched_profile_is_cut_in_two(): void
    {
        $fork = new Prism(Axis::Z, [new Point(0.0, 0.0), new Point(100.0, 0.0), new Point(100.0, 50.0), new Point(60.0, 50.0), new Point(60.0, 10.0), new Point(40.0, 10.0), new Point(40.0, 50.0), new Point(0.0, 50.0)], 0.0, 18.0);
        self::assertCount(2, $fork->section(Axis::V, 30.0));
        self::assertCount(1, $fork->section(Axis::V, 5.0));
    }

    public function test_blocks_that_touch_do_not_meet(): void
    {
        $a = new Block(0.0, 100.0, 0.0, 100.0, 0.0, 100.0);
        self::assertFalse($a->meets(new Block(100.0, 200.0, 0.0, 100.0, 0.0, 100.0)));
        self::assertTrue($a->meets(new Block(90.0, 200.0, 50.0, 60.0, 50.0, 60.0)));
        self::assertSame([10.0, 10.0, 10.0], $a->overlap(new Block(90.0, 200.0, 50.0, 60.0, 50.0, 60.0)));
        self::assertTrue($a->grown(5.0)->meets(new Block(102.0, 200.0, 0.0, 100.0, 0.0, 100.0)));
    }
}
