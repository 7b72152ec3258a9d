<?php

declare(strict_types=1);

namespace Tests\Core\Cut;

use Incastro\Cut\AreaBound;
use Incastro\Cut\CutPiece;
use Incastro\Cut\OpenSheet;
use Incastro\Cut\SawSetup;
use Incastro\Cut\SheetPlanner;
use Incastro\Cut\Split;
use Incastro\Cut\Stock;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Grain;
use PHPUnit\Framework\TestCase;

final class BoundsTest extends TestCase
{
    private function piece(float $length, float $width, int $quantity = 1, Grain $grain = Grain::Any): CutPiece
    {
        return new CutPiece('p', $quantity, Length::ofDouble($length), Length::ofDouble($width), Length::ofMillimetres(18), 'ply', $grain);
    }

    private function stock(float $length, float $width, float $price): Stock
    {
        return new Stock('s', null, Length::ofDouble($length), Length::ofDouble($width), Length::ofMillimetres(18), 'ply', $price);
    }

    private function saw(float $kerf, float $trim): SawSetup
    {
        return SawSetup::allEdges(Length::ofDouble($kerf), Length::ofDouble($trim));
    }

    public function test_the_bound_by_hand(): void
    {
        // 5 pieces of 997 × 497 with a kerf of 3: 5 · 1000 · 500 = 2 500 000 mm². A sheet of 1009 × 1009 trimmed by 6 is
        // 997, with a kerf 1000: 1 000 000 mm². So 3 sheets, at 10 each 30.
        $bound = AreaBound::of([$this->piece(997, 497, 5)], [$this->stock(1009, 1009, 10.0)], $this->saw(3.0, 6.0));
        self::assertSame(3, $bound->sheets);
        self::assertSame(30.0, $bound->price);
    }

    public function test_exactly_full_sheets_are_not_counted_as_one_more(): void
    {
        self::assertSame(2, AreaBound::of([$this->piece(997, 497, 4)], [$this->stock(1009, 1009, 10.0)], $this->saw(3.0, 6.0))->sheets);
    }

    public function test_with_two_kinds_the_cheapest_area_bounds_the_price(): void
    {
        // 1 500 000 mm² at 10 a 1 000 000 or 4 a 500 000: the smaller is cheaper, 8 a 1 000 000, so at least 12.
        $kinds = [$this->stock(1009, 1009, 10.0), $this->stock(1009, 509, 4.0)];
        $bound = AreaBound::of([$this->piece(997, 497, 3)], $kinds, $this->saw(3.0, 6.0));
        self::assertSame(2, $bound->sheets);
        self::assertEqualsWithDelta(12.0, $bound->price, 1e-9);
        // And never less than the cheapest sheet there is.
        self::assertSame(4.0, AreaBound::of([$this->piece(97, 97)], $kinds, $this->saw(3.0, 6.0))->price);
    }

    public function test_a_cut_right_through_leaves_two_rectangles_and_the_kerf(): void
    {
        foreach ([[Split::RipFirst, [[997, 594], [494, 400]]], [Split::CrossFirst, [[500, 594], [494, 997]]]] as [$split, $expected]) {
            $sheet = new OpenSheet($this->stock(1009, 1009, 10.0), $this->saw(3.0, 6.0));
            $piece = $this->piece(500, 400, 1, Grain::Length);
            $place = $sheet->bestPlace(SheetPlanner::ways($piece));
            self::assertNotNull($place);
            $sheet->put($piece, $place[0], $place[1], $split);
            $rests = array_map(fn ($rest) => [(int) $rest->length()->toDouble(), (int) $rest->width()->toDouble()], $sheet->close()->offcuts);
            self::assertEqualsCanonicalizing($expected, $rests);
            self::assertSame(['y400000000', 'x500000000'], array_keys($sheet->settings()));
        }
    }

    public function test_more_than_a_sheet_of_small_pieces_is_planned_without_waste_of_sheets(): void
    {
        // 30 shelves of 600 × 300 with a kerf: 4 × 4 go on 2440 × 1220 trimmed by 6, so 2 sheets.
        $plan = (new SheetPlanner($this->saw(3.2, 6.0), LengthFormat::millimetres()))->plan([$this->piece(600, 298, 30)], [$this->stock(2440, 1220, 64.0)]);
        self::assertCount(2, $plan->sheets);
        self::assertTrue($plan->isFewest());
        // One width for all strips, one length for all crosscuts.
        self::assertSame(2, $plan->settings);
    }
}
