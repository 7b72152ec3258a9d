<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Incastro\Fit\Box;
use Incastro\Fit\BoxTop;
use Incastro\Fit\Column;
use Incastro\Fit\Marks;
use Incastro\Fit\Opening;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Units\Insides\Shelves;
use PHPUnit\Framework\TestCase;

/** A box 800 wide and 400 deep that stands 100 from the left, 10 before the wall, 70 up. */
final class BoxTest extends TestCase
{
    private static function box(BoxTop $top): Box
    {
        $size = fn (float $mm) => Working::start('chosen', Length::ofDouble($mm));

        return new Box('box', 'B3', 100.0, 10.0, 70.0, $size(800.0), $size($top->highest()), $size(400.0), $top, [new Column('bay', $size(764.0), 18.0, [new Opening('tier', $size(864.0), 18.0, new Shelves(0, 2))])]);
    }

    public function test_where_it_stands(): void
    {
        $box = self::box(BoxTop::flat(900.0));
        self::assertSame(['B3', 900.0, 410.0, 970.0], [$box->mark, $box->right(), $box->face(), $box->highest()]);
        $block = $box->block();
        self::assertSame([100.0, 900.0, 10.0, 410.0, 70.0, 970.0], [$block->u0, $block->u1, $block->v0, $block->v1, $block->z0, $block->z1]);
        self::assertTrue($box->holds('bay'));
        self::assertTrue($box->holds('tier'));
        self::assertFalse($box->holds('box'));
    }

    public function test_its_body_is_what_is_carried_in_without_the_face_frame(): void
    {
        // 800 × 382 × 900.
        $body = self::box(BoxTop::flat(900.0))->body(18.0);
        self::assertEqualsWithDelta([100.0, 900.0, 10.0, 392.0, 70.0, 970.0], array_values(get_object_vars($body->bounds())), 1e-9);
        // Raked from 600 to 900: a trapezium, 70 above the datum.
        $raked = self::box(BoxTop::raked(600.0, 900.0));
        self::assertSame(820.0, $raked->topAt(500.0, 100.0));
        self::assertEqualsWithDelta(800.0 * (600.0 + 900.0) / 2, abs((new \Incastro\Geometry\Polygon($raked->body(18.0)->profile))->signedArea()), 1e-6);
    }

    public function test_the_body_under_a_slope_breaks_where_its_top_does(): void
    {
        // 600 at the back, 900 from 200 out; the body is 382 deep: 382 · 900 less a triangle 200 by 300.
        $area = fn (BoxTop $top) => abs((new \Incastro\Geometry\Polygon(self::box($top)->body(18.0)->profile))->signedArea());
        self::assertEqualsWithDelta(382.0 * 900.0 - 200.0 * 300.0 / 2, $area(BoxTop::sloped(600.0, 900.0, 200.0)), 1e-6);
        // Sloped over the whole depth of 400 it is 600 + 300 · 382/400 = 886.5 high at its own front.
        self::assertEqualsWithDelta(382.0 * (600.0 + 886.5) / 2, $area(BoxTop::sloped(600.0, 900.0, 400.0)), 1e-6);
    }

    public function test_marks_are_counted_by_letter_and_stay_with_their_owner(): void
    {
        $marks = new Marks(['old' => 'B2']);
        self::assertSame(['B1', 'B3', 'P1'], [$marks->of('B', 'a'), $marks->of('B', 'b'), $marks->of('P', 'c')]);
        // Whoever is asked first: each keeps what it was given.
        self::assertSame(['B2', 'B3', 'B1'], [$marks->of('B', 'old'), $marks->of('B', 'b'), $marks->of('B', 'a')]);
        // A cell that holds something else now gets another letter.
        self::assertSame('F1', $marks->of('F', 'a'));
        self::assertSame(['P1', 'P1b', 'P1c'], array_map(fn (int $row) => $marks->ofRow('P', 'c', $row, "c/$row"), [0, 1, 2]));
    }
}
