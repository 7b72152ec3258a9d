<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Incastro\Geometry\Block;
use Incastro\Geometry\Convex;
use Incastro\Geometry\Frame;
use Incastro\Geometry\Point;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use PHPUnit\Framework\TestCase;

/** What is known of plates and blocks only makes the answer quicker: it is that of the same corners and faces of which nothing is known. */
final class ConvexTest extends TestCase
{
    public function test_a_plate_shares_with_another_what_its_corners_and_faces_do(): void
    {
        mt_srand(11);
        $apart = $in = 0;
        for ($i = 0; $i < 1500; $i++) {
            [$a, $b] = [$this->plate($i % 3), $this->plate(intdiv($i, 3) % 3)];
            $as = $this->plain($a);
            $by = $as->overlap($this->plain($b));
            // Bodies that are apart are told so along the first way that parts them.
            $by > 0.0 ? self::assertEqualsWithDelta($by, $a->overlap($b), 1e-6) : self::assertLessThanOrEqual(0.0, $a->overlap($b));
            self::assertEqualsWithDelta($as->holds(5.0, 5.0, 5.0), $a->holds(5.0, 5.0, 5.0), 1e-6);
            $by > 0.0 ? $in++ : $apart++;
        }
        self::assertGreaterThan(300, min($in, $apart));
    }

    public function test_boards_through_each_other_share_the_least_of_what_lies_along_and_across_them(): void
    {
        $upright = Convex::plate($this->rectangle(300.0, 100.0), 18.0, Pose::at(0.0, 0.0, 0.0, Way::Up, Way::Out, Way::Right));
        // A shelf that ends 7 mm inside an 18 mm side.
        $shelf = Convex::block(new Block(11.0, 400.0, 0.0, 100.0, 100.0, 118.0));
        self::assertEqualsWithDelta(7.0, $upright->overlap($shelf), 1e-9);
        // A block whose arris goes through the slope of a wedge of 45° stands in it by (20 − 5 − 5) / √2.
        $wedge = Convex::plate([new Point(0.0, 0.0), new Point(20.0, 0.0), new Point(0.0, 20.0)], 100.0, Pose::at(0.0, 0.0, 0.0, Way::Right, Way::Out, Way::Up));
        self::assertEqualsWithDelta(10.0 / sqrt(2.0), $wedge->overlap(Convex::block(new Block(5.0, 50.0, 5.0, 50.0, -10.0, 110.0))), 1e-9);
    }

    public function test_a_frame_takes_places_there_and_back_and_holds_a_block_by_its_corners(): void
    {
        $frame = new Frame(new Point(100.0, 50.0), cos(0.3), sin(0.3));
        self::assertEqualsWithDelta([12.0, 34.0], $frame->place($frame->point(12.0, 34.0)), 1e-9);
        // v lies to the right of u: with u along x it goes down the plan.
        self::assertEqualsWithDelta(new Point(3.0, -4.0), (new Frame(new Point(0.0, 0.0), 1.0, 0.0))->point(3.0, 4.0), 1e-12);
        $block = new Block(10.0, 60.0, 5.0, 25.0, 0.0, 700.0);
        self::assertEqualsWithDelta($frame->solid(Solid::block($block))->bounds, $frame->around($block), 1e-9);
    }

    /** A plate that stands square, one turned about an upright line, or one that lies anyhow. */
    private function plate(int $kind): Convex
    {
        $at = new Vector(mt_rand(-45, 45), mt_rand(-45, 45), mt_rand(-45, 45));
        $outline = mt_rand(0, 1) === 1 ? $this->rectangle(mt_rand(20, 90), mt_rand(20, 90)) : [new Point(0.0, 0.0), new Point(mt_rand(30, 90), 0.0), new Point(mt_rand(20, 30), mt_rand(20, 80))];
        if ($kind === 0) {
            return Convex::plate($outline, 18.0, new Pose($at, Way::Right->vector(), Way::Up->vector(), Way::Out->vector()));
        }
        $turn = mt_rand(1, 89) * M_PI / 180;
        [$length, $width, $thickness] = [new Vector(cos($turn), sin($turn), 0.0), new Vector(-sin($turn), cos($turn), 0.0), new Vector(0.0, 0.0, 1.0)];
        if ($kind === 2) {
            $tilt = mt_rand(1, 89) * M_PI / 180;
            [$width, $thickness] = [$width->times(cos($tilt))->plus($thickness->times(sin($tilt))), $thickness->times(cos($tilt))->minus($width->times(sin($tilt)))];
        }

        return Convex::plate($outline, 18.0, new Pose($at, $length, $width, $thickness));
    }

    private function plain(Convex $body): Convex
    {
        return $body->bent(fn (array $at) => $at);
    }

    /** @return list<Point> */
    private function rectangle(float $long, float $wide): array
    {
        return [new Point(0.0, 0.0), new Point($long, 0.0), new Point($long, $wide), new Point(0.0, $wide)];
    }
}
