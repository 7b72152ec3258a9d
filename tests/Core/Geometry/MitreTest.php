<?php

declare(strict_types=1);

namespace Tests\Core\Geometry;

use Incastro\Geometry\Mitre;
use Incastro\Geometry\Vector;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MitreTest extends TestCase
{
    /**
     * The angles of a plane by its normal, as it is seen from a strip with its length, its width and its face's normal for axes: its trace
     * on the face off square, and how far it leans from the face's normal.
     *
     * @return array{float, float}
     */
    private static function seen(Vector $normal, Vector $along, Vector $across): array
    {
        $face = $along->cross($across);
        $unit = $normal->length();

        return [rad2deg(atan2(abs($normal->dot($across)), abs($normal->dot($along)))), rad2deg(asin(min(1.0, abs($normal->dot($face)) / $unit)))];
    }

    /** @return iterable<string, array{float, float}> spring and corner */
    public static function corners(): iterable
    {
        foreach ([0.0, 30.0, 38.0, 45.0, 52.0] as $spring) {
            foreach ([60.0, 88.7, 90.0, 135.0, 210.0, 270.0, 281.5] as $corner) {
                yield "$spring $corner" => [$spring, $corner];
            }
        }
    }

    #[DataProvider('corners')]
    public function test_a_crown_is_cut_by_the_plane_that_halves_its_corner(float $spring, float $corner): void
    {
        [$s, $half] = [deg2rad($spring), deg2rad($corner / 2)];
        // The wall lies along x, the room before it along y; the plane holds the upright and the bisector of both walls.
        $plane = new Vector(sin($half), -cos($half), 0.0);
        [$mitre, $bevel] = self::seen($plane, new Vector(1.0, 0.0, 0.0), new Vector(0.0, sin($s), cos($s)));
        $cut = Mitre::crown($spring, $corner);
        self::assertEqualsWithDelta([$mitre, $bevel], [$cut->mitre, $cut->bevel], 1e-9);
    }

    public function test_a_skirting_is_tilted_and_a_frame_is_turned(): void
    {
        foreach ([60.0, 90.0, 91.3, 135.0, 225.0, 270.0] as $corner) {
            $half = deg2rad($corner / 2);
            $plane = new Vector(sin($half), -cos($half), 0.0);
            // It stands on its edge: its width is upright, its face is the room's side.
            self::assertEqualsWithDelta(self::seen($plane, new Vector(1.0, 0.0, 0.0), new Vector(0.0, 0.0, 1.0)), [Mitre::standing($corner)->mitre, Mitre::standing($corner)->bevel], 1e-9);
            self::assertEqualsWithDelta(self::seen($plane, new Vector(1.0, 0.0, 0.0), new Vector(0.0, 1.0, 0.0)), [Mitre::flat($corner)->mitre, Mitre::flat($corner)->bevel], 1e-9);
        }
    }

    public function test_from_level_to_a_rake_on_one_wall(): void
    {
        foreach ([0.0, 38.0, 45.0] as $spring) {
            foreach ([10.0, 33.5, 41.0] as $rake) {
                [$s, $half] = [deg2rad($spring), deg2rad($rake / 2)];
                // Both lie on the wall's slope; the plane between them stands square to the half of their turn.
                [$mitre, $bevel] = self::seen(new Vector(cos($half), 0.0, sin($half)), new Vector(1.0, 0.0, 0.0), new Vector(0.0, sin($s), cos($s)));
                $cut = Mitre::crownToRake($spring, $rake);
                self::assertEqualsWithDelta([$mitre, $bevel], [$cut->mitre, $cut->bevel], 1e-9);
            }
        }
    }

    public function test_the_figures_of_the_books(): void
    {
        $round = fn (Mitre $cut): array => [round($cut->mitre, 1), round($cut->bevel, 1)];
        // Round three sides of an octagon: 180 − 45 = 135°.
        self::assertSame([14.3, 17.6], $round(Mitre::crown(38.0, 135.0)));
        self::assertSame([13.3, 10.2], $round(Mitre::crownToRake(38.0, 33.5)));
        self::assertSame([16.8, 0.0], $round(Mitre::crownToRake(0.0, 33.5)));
        self::assertSame([31.6, 33.9], $round(Mitre::crown(38.0, 90.0)));
        // A side of 340 and 18 thick with one outside corner: 358; a front of 1180 with two: 1216.
        self::assertEqualsWithDelta([358.0, 1216.0], [340 + Mitre::longPoint(18.0, 270.0), 1180 + 2 * Mitre::longPoint(18.0, 270.0)], 1e-9);
        // 17 + 3/4 · tan 22.5° + 3/4 = 18.061.
        self::assertEqualsWithDelta(18.061, 17 + Mitre::longPoint(0.75, 225.0) + 0.75, 5e-4);
    }
}
