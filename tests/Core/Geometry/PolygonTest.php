<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use PHPUnit\Framework\TestCase;

final class PolygonTest extends TestCase
{
    /** An L: 3 × 3 with the upper right 2 × 2 missing. */
    private function l(): Polygon
    {
        return new Polygon(array_map(fn (array $p) => new Point((float) $p[0], (float) $p[1]), [[0, 0], [3, 0], [3, 1], [1, 1], [1, 3], [0, 3]]));
    }

    public function test_points_are_inside_by_the_sides_to_their_right(): void
    {
        self::assertTrue($this->l()->contains(new Point(0.5, 2.5)));
        self::assertTrue($this->l()->contains(new Point(2.5, 0.5)));
        self::assertFalse($this->l()->contains(new Point(2.5, 2.5)));
        self::assertFalse($this->l()->contains(new Point(-0.5, 0.5)));
    }

    public function test_corners_see_each_other_only_when_the_line_stays_inside(): void
    {
        // Neighbours always; across the missing part never; from the inner corner to the far ones.
        self::assertTrue($this->l()->sees(0, 1));
        self::assertFalse($this->l()->sees(2, 4));
        self::assertTrue($this->l()->sees(0, 3));
        self::assertFalse($this->l()->sees(1, 5));
    }

    public function test_the_shape_around_points_above_each_other_is_not_lost_in_the_noise_of_their_places(): void
    {
        // The two ends of a raked board, seen from the front: each corner twice, with the last bits of its place different.
        $points = array_map(fn (array $p) => new Point(...$p), [
            [22.952211575099657, 2382.8], [22.95221157509966, 2364.7], [22.95221157509966, 2364.7], [22.952211575099682, 2382.8],
            [1131.4544719697670, 2477.0], [1131.4544719697672, 2477.0], [1131.454471969767, 2495.1], [1131.4544719697672, 2495.1],
        ]);
        self::assertSame([[22.95, 2364.7], [1131.45, 2477.0], [1131.45, 2495.1], [22.95, 2382.8]], array_map(
            fn (Point $point) => [round($point->x, 2), $point->y],
            Polygon::around($points)->points,
        ));
    }

    public function test_a_bow_tie_names_its_crossing_sides(): void
    {
        $tie = new Polygon([new Point(0.0, 0.0), new Point(2.0, 0.0), new Point(0.0, 1.0), new Point(2.0, 1.0)]);
        self::assertFalse($tie->isSimple());
        self::assertSame([1, 3], $tie->crossing());
        self::assertTrue($this->l()->isSimple());
        self::assertNull($this->l()->crossing());
    }

    public function test_levelling_keeps_every_distance_and_lays_the_first_side_along_x(): void
    {
        $points = [new Point(5.0, 7.0), new Point(8.0, 11.0), new Point(1.0, 10.0)];
        $levelled = Polygon::levelled($points);
        self::assertEqualsWithDelta(0.0, hypot($levelled[0]->x, $levelled[0]->y), 1e-12);
        // The first side is 3-4-5 long.
        self::assertEqualsWithDelta(5.0, $levelled[1]->x, 1e-12);
        self::assertEqualsWithDelta(0.0, $levelled[1]->y, 1e-12);
        foreach ([[0, 2], [1, 2]] as [$i, $j]) {
            self::assertEqualsWithDelta($points[$i]->distanceTo($points[$j]), $levelled[$i]->distanceTo($levelled[$j]), 1e-12);
        }
        self::assertEqualsWithDelta((new Polygon($points))->signedArea(), (new Polygon($levelled))->signedArea(), 1e-9);
    }
}
