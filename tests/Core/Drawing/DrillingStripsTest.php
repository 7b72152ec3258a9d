<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Incastro\Drawing\Drawing;
use Incastro\Drawing\DrillingStrips;
use Incastro\Drawing\Label;
use Incastro\Drawing\Outline;
use Incastro\Drawing\Paper;
use Incastro\Drawing\Shape;
use Incastro\Exchange\PieceSheet;
use Incastro\Geometry\Outline as Shaped;
use Incastro\Geometry\Point;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Marks\Mark;
use Incastro\Pieces\Marks\MarkKind;
use Incastro\Pieces\Piece;
use Incastro\Rules\Materials\Purpose;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestTerms;

final class DrillingStripsTest extends TestCase
{
    /** @param list<Mark> $marks */
    private static function piece(array $marks): Piece
    {
        $size = fn (int $mm) => Working::start('size', Length::ofMillimetres($mm));
        $material = TestTerms::materials()->carcass;

        return (new Piece('box:side-L', 'B1-side-L', 'Side', $size(900), $size(536), $material->thickness, Purpose::Carcass, $material, Grain::Length, Shaped::rectangle(0.0, 0.0, 900.0, 536.0), [], []))->marked($marks);
    }

    /** @return list<array{float, float}> middles of the circles on a strip */
    private static function circles(Drawing $drawing): array
    {
        $closed = array_values(array_filter($drawing->layers['holes'], fn (Shape $shape) => $shape instanceof Outline && $shape->closed));

        return array_map(function (Outline $circle): array {
            $points = $circle->points();

            return [round(array_sum(array_map(fn ($point) => $point->x, $points)) / count($points), 3), round(array_sum(array_map(fn ($point) => $point->y, $points)) / count($points), 3)];
        }, $closed);
    }

    public function test_holes_stand_on_the_strip_of_their_edge_at_full_size(): void
    {
        $pins = new Mark(MarkKind::PinRow, [new Point(300.0, 37.0), new Point(332.0, 37.0), new Point(300.0, 499.0), new Point(332.0, 499.0)], true, 'B1-shelf-1', 5.0, 10.0);
        $screws = new Mark(MarkKind::Screw, [new Point(9.0, 200.0), new Point(9.0, 400.0)], false, 'B1-bottom', 4.5);
        $strips = (new DrillingStrips(self::piece([$pins, $screws]), LengthFormat::millimetres()))->drawings();
        self::assertSame(['B1-side-L, lower edge', 'B1-side-L, upper edge', 'B1-side-L, left edge, other face'], array_map(fn (Drawing $drawing) => $drawing->name, $strips));
        // From the lower edge up; from the upper edge 536 − 499 = 37; along the left edge across the piece, 9 in.
        self::assertSame([[300.0, 37.0], [332.0, 37.0]], self::circles($strips[0]));
        self::assertSame([[300.0, 37.0], [332.0, 37.0]], self::circles($strips[1]));
        self::assertSame([[200.0, 9.0], [400.0, 9.0]], self::circles($strips[2]));
        // Each size is told once, with its depth; what goes through has none.
        $told = fn (Drawing $drawing): array => array_values(array_map(fn (Shape $shape) => $shape instanceof Label ? $shape->text : '', array_filter($drawing->layers['holes'], fn (Shape $shape) => $shape instanceof Label)));
        self::assertSame([['Ø 5 mm, 10 mm deep'], ['Ø 4.5 mm']], [$told($strips[0]), $told($strips[2])]);
        // The edge itself is as long as the piece.
        self::assertSame([0.0, 900.0], array_map(fn ($point) => $point->x, $strips[0]->layers['edge'][0]->points()));
    }

    public function test_few_holes_and_those_in_the_middle_have_no_strip(): void
    {
        $one = new Mark(MarkKind::Screw, [new Point(9.0, 200.0)], true, 'B1-bottom', 4.5);
        $middle = new Mark(MarkKind::Screw, [new Point(400.0, 260.0), new Point(500.0, 260.0)], true, 'B1-shelf', 4.5);
        $pilots = new Mark(MarkKind::Pilot, [new Point(9.0, 100.0), new Point(9.0, 200.0)], true, 'B1-top', 2.5);
        $strips = new DrillingStrips(self::piece([$one, $middle, $pilots]), LengthFormat::millimetres());
        self::assertFalse($strips->isAny());
        self::assertSame([], $strips->drawings());
        self::assertNull((new PieceSheet(self::piece([$one]), LengthFormat::millimetres()))->drilling(Paper::A4));
    }
}
