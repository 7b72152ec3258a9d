<?php

declare(strict_types=1);

namespace Tests\Core\Cut;

use Incastro\Cut\CutPiece;
use Incastro\Cut\DualFeasible;
use Incastro\Cut\Objective;
use Incastro\Cut\SawSetup;
use Incastro\Cut\SheetPlan;
use Incastro\Cut\SheetPlanner;
use Incastro\Cut\Stock;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Grain;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** What no plan can beat, by hand; and what improving a plan does and does not do. */
final class BoundsTest extends TestCase
{
    private function piece(float $length, float $width, int $quantity = 1, Grain $grain = Grain::Any): CutPiece
    {
        return new CutPiece('p', $quantity, Length::ofDouble($length), Length::ofDouble($width), Length::ofMillimetres(18), 'ply', $grain);
    }

    private function stock(float $length, float $width, float $price, ?int $quantity = null): Stock
    {
        return new Stock('s', $quantity, Length::ofDouble($length), Length::ofDouble($width), Length::ofMillimetres(18), 'ply', $price);
    }

    /**
     * @param  list<CutPiece>  $pieces
     * @param  list<Stock>  $stock
     */
    private function plan(array $pieces, array $stock, ?int $steps = null, float $kerf = 3.0): SheetPlan
    {
        return (new SheetPlanner(SawSetup::allEdges(Length::ofDouble($kerf), Length::ofMillimetres(6)), LengthFormat::millimetres()))->plan($pieces, $stock, $steps);
    }

    public function test_the_bound_by_hand(): void
    {
        // 5 pieces of 997 × 497 with a kerf of 3: 5 · 1000 · 500 = 2 500 000 mm². A sheet of 1009 × 1009 trimmed by 6 is
        // 997, with a kerf 1000: 1 000 000 mm². So 3 sheets, at 10 each 30.
        $plan = $this->plan([$this->piece(997, 497, 5)], [$this->stock(1009, 1009, 10.0)]);
        self::assertSame(3, $plan->boundSheets);
        self::assertSame(30.0, $plan->boundPrice);
        self::assertSame('the pieces and their cuts fill more than 2 of the sheets', $plan->because);
        // Exactly full sheets are not counted as one more.
        self::assertSame(2, $this->plan([$this->piece(997, 497, 4)], [$this->stock(1009, 1009, 10.0)])->boundSheets);
    }

    public function test_fewest_sheets_may_cost_more_than_least_money(): void
    {
        // Four of 100 × 50 without kerf or trim: one of 200 × 100 for 30, or two of 100 × 100 for 10 each.
        $pieces = [$this->piece(100, 50, 4)];
        $stock = [$this->stock(200, 100, 30), $this->stock(100, 100, 10)];
        $planner = new SheetPlanner(SawSetup::allEdges(Length::zero(), Length::zero()), LengthFormat::millimetres());
        $money = $planner->plan($pieces, $stock);
        $sheets = $planner->plan($pieces, $stock, objective: Objective::Sheets);
        self::assertSame([2, 20.0], [count($money->sheets), $money->price]);
        self::assertSame([1, 30.0, 1], [count($sheets->sheets), $sheets->price, $sheets->boundSheets]);
        self::assertSame(30.0, $sheets->sheets[0]->stock->price);
    }

    public function test_large_pieces_keep_others_away(): void
    {
        // 3 of 700 × 700 and 3 of 400 × 400 on 1000 × 1000: by area 3 · (0.4942 + 0.1624) = 1.97, 2 sheets. But no two of the large go onto
        // one sheet, and neither does a large one beside a small one: 700 + 400 + kerf. The three small go onto a fourth.
        $plan = $this->plan([$this->piece(700, 700, 3), $this->piece(400, 400, 3)], [$this->stock(1012, 1012, 10.0)]);
        self::assertCount(4, $plan->sheets);
        self::assertSame(4, $plan->boundSheets);
        self::assertTrue($plan->isFewest());
    }

    public function test_with_two_kinds_every_cheaper_combination_is_excluded(): void
    {
        // A sheet at 10 takes two of them, one at 4 takes one: three of the smaller, 12; two of the smaller take 2, one larger and none
        // take 2. At 8 or 10 nothing takes three.
        $kinds = [$this->stock(1009, 1009, 10.0), $this->stock(1009, 509, 4.0)];
        $plan = $this->plan([$this->piece(997, 497, 3)], $kinds);
        self::assertSame([12.0, 12.0], [$plan->price, $plan->boundPrice]);
        // With only two of the smaller at hand: one of each, 14.
        $plan = $this->plan([$this->piece(997, 497, 3)], [$kinds[0], $this->stock(1009, 509, 4.0, 2)]);
        self::assertSame([14.0, 14.0], [$plan->price, $plan->boundPrice]);
    }

    public function test_whatever_fills_a_length_is_worth_no_more_than_it(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(5));
        for ($n = 0; $n < 40; $n++) {
            $length = $chance->getInt(20, 200);
            $sizes = array_map(fn () => $chance->getInt(1, $length), range(1, 12));
            $functions = DualFeasible::all($sizes, $length);
            self::assertGreaterThan(5, count($functions));
            for ($m = 0; $m < 60; $m++) {
                // Some of them, each as often as it goes, that fill the length.
                $left = $length;
                $chosen = [];
                foreach ($chance->shuffleArray(array_keys($sizes)) as $i) {
                    while ($sizes[$i] <= $left && $chance->getInt(0, 2) > 0) {
                        $chosen[] = $i;
                        $left -= $sizes[$i];
                    }
                }
                foreach ($functions as $f) {
                    self::assertLessThanOrEqual(1.0 + 1e-9, array_sum(array_map(fn (int $i) => $f[$i], $chosen)));
                }
            }
        }
    }

    public function test_more_steps_never_make_a_plan_dearer_and_the_same_steps_make_the_same(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(11));
        $kinds = [$this->stock(2440, 1220, 60.0), $this->stock(1220, 1220, 34.0)];
        for ($n = 0; $n < 6; $n++) {
            $pieces = array_map(fn () => $this->piece((float) $chance->getInt(200, 1800), (float) $chance->getInt(80, 600), $chance->getInt(1, 3), Grain::Length), range(1, 14));
            $price = INF;
            foreach ([0, 60, 240] as $steps) {
                $plan = $this->plan($pieces, $kinds, $steps, 3.2);
                self::assertLessThanOrEqual($price + 1e-9, $plan->price);
                self::assertGreaterThanOrEqual($plan->boundPrice - 0.01, $plan->price);
                $price = $plan->price;
            }
            self::assertEquals($plan, $this->plan($pieces, $kinds, 240, 3.2));
        }
    }

    public function test_more_than_a_sheet_of_small_pieces_is_planned_without_waste_of_sheets(): void
    {
        // 30 shelves of 600 × 300 with a kerf: 4 × 4 go on 2440 × 1220 trimmed by 6, so 2 sheets.
        $plan = $this->plan([$this->piece(600, 298, 30)], [$this->stock(2440, 1220, 64.0)], null, 3.2);
        self::assertCount(2, $plan->sheets);
        self::assertTrue($plan->isFewest());
        // One width for all strips, one length for all crosscuts.
        self::assertSame(2, $plan->settings);
    }

    public function test_what_is_left_of_a_sheet_is_what_the_cuts_leave(): void
    {
        // One piece of 500 × 400 on 997 × 997, kerf 3: above it the whole length, 997 × 594; beside it 494 × 400.
        $plan = $this->plan([$this->piece(500, 400, 1, Grain::Length)], [$this->stock(1009, 1009, 10.0)]);
        self::assertSame([[997.0, 594.0], [494.0, 400.0]], array_map(fn ($left) => [$left->length()->toDouble(), $left->width()->toDouble()], $plan->sheets[0]->offcuts));
        self::assertSame(2, $plan->settings);
    }
}
