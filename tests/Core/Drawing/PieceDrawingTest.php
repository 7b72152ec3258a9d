<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Incastro\Drawing\Dimension;
use Incastro\Drawing\Drawing;
use Incastro\Drawing\DrawnPoint;
use Incastro\Drawing\Label;
use Incastro\Drawing\PieceDrawing;
use Incastro\Drawing\Shape;
use Incastro\Fit\Closing\Side;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Bevel;
use Incastro\Pieces\Works\Bevelled;
use Incastro\Pieces\Works\Scribed;
use Incastro\Pieces\Works\Work;
use Incastro\Planning\Planner;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Materials\SheetGood;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;

final class PieceDrawingTest extends TestCase
{
    public function test_a_piece_shows_its_blank_and_what_is_left_of_it(): void
    {
        $plan = (new Planner())->plan(TestAlcove::leaning()->job(layout: ['depth' => '400']));
        foreach ($plan->pieces() as $piece) {
            $drawing = PieceDrawing::of($piece);
            $bounds = array_map(fn (float $edge) => round($edge, 3), $drawing->bounds());
            self::assertSame([0.0, 0.0, $piece->length->result->toDouble(), $piece->width->result->toDouble()], $bounds, $piece->mark);
            self::assertCount($piece->grain === Grain::Any ? 0 : 1, $drawing->layers['grain']);
        }
    }

    public function test_corners_and_round_holes_are_told_from_one_end(): void
    {
        // 720 × 400, a notch of 90 × 60 in the lower right corner, a hole 50 across at (200, 300).
        $outline = new Outline(
            new Polygon([new Point(0.0, 0.0), new Point(630.0, 0.0), new Point(630.0, 60.0), new Point(720.0, 60.0), new Point(720.0, 400.0), new Point(0.0, 400.0)]),
            [Polygon::oval(new Point(200.0, 300.0), 50.0, 50.0)],
        );
        $drawing = PieceDrawing::measured(self::piece(720.0, 400.0, $outline), LengthFormat::millimetres());
        // The notch begins at 720 − 90; the hole lies from 200 − 25 to 200 + 25, and from 300 − 25 to 300 + 25.
        self::assertSame(['0', '175', '225', '630'], self::texts($drawing, true));
        self::assertSame(['0', '60', '275', '325'], self::texts($drawing, false));
        self::assertSame(['720 mm', '400 mm'], array_map(fn (Shape $size) => $size instanceof Dimension ? $size->text : '', $drawing->layers['sizes']));
        self::assertSame([], $drawing->layers['widths']);
    }

    public function test_inches_are_told_in_fractions(): void
    {
        // 24 × 12 in, 3/4 × 3/8 in out of the far upper corner: at 23 1/4 and at 11 5/8.
        $outline = new Outline(new Polygon([new Point(0.0, 0.0), new Point(609.6, 0.0), new Point(609.6, 295.275), new Point(590.55, 295.275), new Point(590.55, 304.8), new Point(0.0, 304.8)]));
        $drawing = PieceDrawing::measured(self::piece(609.6, 304.8, $outline), LengthFormat::inches());
        self::assertSame(['0', '23 1/4'], self::texts($drawing, true));
        self::assertSame(['0', '11 5/8'], self::texts($drawing, false));
    }

    public function test_a_plain_piece_has_its_two_sizes_only(): void
    {
        $drawing = PieceDrawing::measured(self::piece(720.0, 400.0, Outline::rectangle(0.0, 0.0, 720.0, 400.0)), LengthFormat::millimetres());
        self::assertSame([[], [], []], [$drawing->layers['corners'], $drawing->layers['widths'], $drawing->layers['bevels']]);
    }

    public function test_texts_of_near_corners_stand_apart(): void
    {
        // A slot 4 mm wide in a board of 1000.
        $outline = new Outline(new Polygon([new Point(0.0, 0.0), new Point(500.0, 0.0), new Point(500.0, 30.0), new Point(504.0, 30.0), new Point(504.0, 0.0), new Point(1000.0, 0.0), new Point(1000.0, 300.0), new Point(0.0, 300.0)]));
        $at = array_map(fn (Label $label) => $label->at->x, self::labels(PieceDrawing::measured(self::piece(1000.0, 300.0, $outline), LengthFormat::millimetres()), true));
        self::assertEqualsWithDelta(500.0, $at[1], 1e-9);
        self::assertGreaterThan(520.0, $at[2]);
    }

    public function test_an_edge_that_bends_shows_how_wide_the_piece_is_along_it(): void
    {
        // 50 wide at 0, 61 at 500, 70 at 1000: at 200 it is 50 + 11 · 2/5 = 54.4, at 400 58.8, at 600 61 + 9 · 1/5 = 62.8, at 800 66.4.
        $outline = new Outline(new Polygon([new Point(0.0, 0.0), new Point(1000.0, 0.0), new Point(1000.0, 70.0), new Point(500.0, 61.0), new Point(0.0, 50.0)]));
        $widths = PieceDrawing::measured(self::piece(1000.0, 70.0, $outline), LengthFormat::millimetres('0.1'))->layers['widths'];
        self::assertSame(['50', '54.4', '58.8', '62.8', '66.4', '70'], array_map(fn (Shape $width) => $width instanceof Dimension ? $width->text : '', $widths));
    }

    public function test_a_bevel_shows_where_it_ends_on_the_other_face(): void
    {
        // 36.87° from square: 3 in 4, so 18 · 0.75 = 13.5 shorter on the other face.
        $bevelled = new Bevelled('top', deg2rad(36.87), bevels: [new Bevel([new Point(720.0, 0.0), new Point(720.0, 400.0)], 0.75, true)]);
        $lines = PieceDrawing::measured(self::piece(720.0, 400.0, Outline::rectangle(0.0, 0.0, 720.0, 400.0), [$bevelled]), LengthFormat::millimetres())->layers['bevels'];
        self::assertCount(1, $lines);
        self::assertEqualsWithDelta([706.5, 706.5], array_map(fn (DrawnPoint $point) => $point->x, $lines[0]->points()), 1e-9);
        // Inside, whichever way the line runs: this one from the right to the left along the upper edge.
        $scribed = new Scribed('outer, long', Side::Left, atan(0.1), new Bevel([new Point(720.0, 400.0), new Point(0.0, 400.0)], 0.1, true));
        $back = new Scribed('inner, long', Side::Right, atan(0.1), new Bevel([new Point(0.0, 400.0), new Point(720.0, 400.0)], 0.1, true));
        foreach ([$scribed, $back] as $work) {
            $lines = PieceDrawing::measured(self::piece(720.0, 400.0, Outline::rectangle(0.0, 0.0, 720.0, 400.0), [$work]), LengthFormat::millimetres())->layers['bevels'];
            self::assertEqualsWithDelta([398.2, 398.2], array_map(fn (DrawnPoint $point) => $point->y, $lines[0]->points()), 1e-9);
        }
    }

    /** @return list<Label> */
    private static function labels(Drawing $drawing, bool $along): array
    {
        return array_values(array_filter($drawing->layers['corners'], fn (Shape $shape) => $shape instanceof Label && $shape->turned === $along));
    }

    /** @return list<string> */
    private static function texts(Drawing $drawing, bool $along): array
    {
        return array_map(fn (Label $label) => $label->text, self::labels($drawing, $along));
    }

    /** @param list<Work> $works */
    private static function piece(float $length, float $width, Outline $outline, array $works = []): Piece
    {
        return new Piece('side', 'B1-side-L', 'Side', Working::start('height', Length::ofDouble($length)), Working::start('depth', Length::ofDouble($width)), Length::ofMillimetres(18), Purpose::Carcass, new SheetGood('carcass', 'Plywood 18', Length::ofMillimetres(18), 680.0), Grain::Length, $outline, $works);
    }
}
