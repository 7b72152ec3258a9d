<?php

declare(strict_types=1);

namespace Tests\Core\Cut;

use Incastro\Cut\CutPiece;
use Incastro\Cut\Grid;
use Incastro\Cut\Lay;
use Incastro\Cut\PieceType;
use Incastro\Cut\SawSetup;
use Incastro\Cut\SheetBound;
use Incastro\Cut\SheetKind;
use Incastro\Cut\SheetPlanner;
use Incastro\Cut\SmallProof;
use Incastro\Cut\Stock;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Grain;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class SmallProofTest extends TestCase
{
    private static function mm(float $mm): Length
    {
        return Length::ofDouble($mm);
    }

    private static function piece(float $length, float $width, int $quantity = 1, Grain $grain = Grain::Length): CutPiece
    {
        return new CutPiece("$length × $width", $quantity, self::mm($length), self::mm($width), self::mm(18), 'ply', $grain);
    }

    private static function stock(float $length, float $width, float $price): Stock
    {
        return new Stock("$length", null, self::mm($length), self::mm($width), self::mm(18), 'ply', $price);
    }

    /**
     * @param  list<CutPiece>  $pieces
     * @param  list<Stock>  $stock
     */
    private static function lay(array $pieces, array $stock, float $kerf): Lay
    {
        $saw = SawSetup::allEdges(self::mm($kerf), self::mm(0));
        $grid = Grid::of([100_000]);

        return new Lay(PieceType::all($pieces, $grid), array_map(fn (Stock $one) => SheetKind::of($one, $saw, $grid), $stock), $grid->steps($saw->kerf->nanometres()));
    }

    public function test_a_back_and_six_panels_take_a_full_sheet_and_a_half(): void
    {
        // The back leaves 1208 − 880 − 3.2 = 324.8 of the full sheet: three panels of 302 in a row, 3 · 679.5 + 2 · 3.2 = 2044.9 of 2428.
        // Beside it 2428 − 2309 − 3.2 = 115.8 are left, too narrow. Three panels more take a half sheet: 38 + 21.
        $pieces = [self::piece(2309, 880), self::piece(679.5, 302, 6)];
        $bound = SmallProof::of(self::lay($pieces, [self::stock(2428, 1208, 38), self::stock(1208, 1208, 21)], 3.2));

        self::assertSame([2, 59.0, 'every way of laying these 7 pieces was tried'], [$bound?->sheets, $bound?->price, $bound?->because]);
    }

    public function test_by_hand(): void
    {
        // Two by three of 50 × 40 on 100 × 120 without a kerf; with one of 2 only two by two: 50 + 2 + 50 is more than 100.
        self::assertSame(1, SmallProof::of(self::lay([self::piece(50, 40, 6)], [self::stock(100, 120, 10)], 0))?->sheets);
        self::assertSame(3, SmallProof::of(self::lay([self::piece(50, 40, 6)], [self::stock(100, 120, 10)], 2))?->sheets);
        // Four that turn round a hole of 20 × 20 fill 100 × 100 like a pinwheel, which no cut parts: two sheets.
        self::assertSame(2, SmallProof::of(self::lay([self::piece(60, 40, 2), self::piece(40, 60, 2)], [self::stock(100, 100, 10)], 0))?->sheets);
        // Too long a list is not tried.
        self::assertNull(SmallProof::of(self::lay(array_map(fn (int $n) => self::piece(10 + $n, 20 + $n), range(1, 20)), [self::stock(100, 100, 10)], 0)));
    }

    public function test_the_planner_finds_what_is_proven_and_no_bound_is_above_it(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(3));
        $found = 0;
        for ($list = 0; $list < 50; $list++) {
            $grain = $list % 2 === 0 ? Grain::Length : Grain::Any;
            $pieces = array_map(fn () => self::piece($chance->getInt(10, 60), $chance->getInt(10, 60), 1, $grain), range(1, 8));
            $stock = $list % 3 === 0 ? [self::stock(100, 100, 10), self::stock(60, 100, 7)] : [self::stock(100, 100, 10)];
            $kerf = $list % 4;
            $lay = self::lay($pieces, $stock, $kerf);
            $proven = SmallProof::of($lay);
            self::assertNotNull($proven);
            $planner = new SheetPlanner(SawSetup::allEdges(self::mm($kerf), self::mm(0)), LengthFormat::millimetres('0.1'));
            $plan = $planner->plan($pieces, $stock, 1000);
            self::assertGreaterThanOrEqual($proven->price, $plan->price, "list $list");
            self::assertLessThanOrEqual($proven->price, SheetBound::of($lay, $plan->price)->price, "list $list");
            $found += $plan->price <= $proven->price + 1e-9 ? 1 : 0;
        }
        self::assertSame(50, $found);
    }
}
