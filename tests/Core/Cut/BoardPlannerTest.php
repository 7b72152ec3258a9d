<?php

declare(strict_types=1);

namespace Tests\Core\Cut;

use Incastro\Cut\BoardPlan;
use Incastro\Cut\BoardPlanner;
use Incastro\Cut\BoardStock;
use Incastro\Cut\CutPiece;
use Incastro\Cut\PlannedBoard;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Pieces\Grain;
use Incastro\Rules\Materials\Board;
use Incastro\Rules\Materials\Moulding;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class BoardPlannerTest extends TestCase
{
    private static function length(string $typed, Unit $unit): Length
    {
        return (new LengthReader($unit))->read($typed);
    }

    private static function stock(string $length, string $width, Unit $unit = Unit::Millimetre, ?int $quantity = null, float $price = 7.0): BoardStock
    {
        return new BoardStock("$length long", $quantity, self::length($length, $unit), new Board('board', 'Board', Length::ofMillimetres(9), 480.0, self::length($width, $unit), self::length($width, $unit)), $price);
    }

    private static function piece(string $length, string $width, int $quantity, Unit $unit = Unit::Millimetre, Grain $grain = Grain::Length): CutPiece
    {
        return new CutPiece("p$length", $quantity, self::length($length, $unit), self::length($width, $unit), Length::ofMillimetres(9), 'board', $grain);
    }

    private static function planner(BoardStock ...$stock): BoardPlanner
    {
        return new BoardPlanner(Length::ofDouble(3.2), Length::ofMillimetres(10), LengthFormat::of('mm/1'), array_values($stock));
    }

    public function test_a_moulding_is_cut_across_only(): void
    {
        $ogee = new BoardStock('2.4 m', null, Length::ofMillimetres(2400), new Moulding('board', 'Ogee', Length::ofMillimetres(12), 480.0, Length::ofMillimetres(45)), 7.0);
        $plan = self::planner($ogee)->plan([self::piece('1100', '45', 2), self::piece('900', '40', 1)]);
        // 2 · 1100 and a cut are 2203.2 of 2380.
        self::assertCount(1, $plan->boards);
        self::assertSame('it is 40 mm wide, and a moulding of 45 mm is not ripped', $plan->unplaced[0]->reason);
    }

    public function test_boards_for_the_back_and_both_sides_of_a_section(): void
    {
        // 18 of 406: five to a board are 5 · 406 + 4 · 3.2 = 2042.8 of the 2380 between its ends; a sixth would need 2452.
        $plan = self::planner(self::stock('2400', '90'))->plan([self::piece('406', '90', 14), self::piece('406', '56', 4)]);
        self::assertSame([5, 5, 5, 3], array_map(fn (PlannedBoard $board) => count($board->pieces), $plan->boards));
        self::assertSame(28.0, $plan->price());
        self::assertSame([10.0, 419.2, 828.4], array_map(fn (array $cut) => $cut[1]->toDouble(), array_slice($plan->boards[0]->pieces, 0, 3)));
        // 2400 − 10 − (10 + 5 · 409.2) is left before the other end.
        self::assertEqualsWithDelta(334.0, $plan->boards[0]->left->toDouble(), 1e-6);
    }

    public function test_short_courses_come_from_boards_of_their_own_when_nothing_is_left_beside_long_ones(): void
    {
        $in = Unit::Inch;
        $planner = new BoardPlanner(self::length('1/8', $in), self::length('3/8', $in), LengthFormat::of('in/16'), [self::stock('96', '5 1/8', $in)]);
        // 95 1/4 can be used: 83 1/4 leaves less than 20 1/8; four of 20 1/8 with three cuts are 80 7/8.
        $plan = $planner->plan([self::piece('83 1/4', '5 1/8', 16, $in), self::piece('20 1/8', '5 1/8', 6, $in)]);
        self::assertCount(18, $plan->boards);
        self::assertSame([4, 2], array_map(fn (PlannedBoard $board) => count($board->pieces), array_slice($plan->boards, 16)));
    }

    public function test_the_stock_that_costs_least_for_its_length_is_opened(): void
    {
        $dear = self::stock('3000', '90', price: 12.0);
        $plan = self::planner($dear, self::stock('2400', '90', price: 7.0))->plan([self::piece('2500', '90', 1), self::piece('500', '90', 1), self::piece('2000', '90', 1)]);
        // 2500 needs the long one, whose rest takes nothing of 500. 2000 and 500 would take two short ones, 14, or 2503.2 of one long one, 12.
        self::assertSame(['3000 long', '3000 long'], array_map(fn (PlannedBoard $board) => $board->stock->name, $plan->boards));
    }

    public function test_three_long_boards_do_for_a_plinth_and_its_bearers(): void
    {
        // 1890 + 720 + 3.2 = 2613.2 twice, and 1127 + 1127 + 480 + 6.4 = 2740.4 of 2980: 3 × 6.60. Of 2380 four would be needed, 21.60.
        $planner = self::planner(self::stock('2400', '90', price: 5.40), self::stock('3000', '90', price: 6.60));
        $plan = $planner->plan([self::piece('1890', '90', 2), self::piece('1127', '90', 2), self::piece('720', '90', 2), self::piece('480', '90', 1)]);
        self::assertSame(['3000 long', '3000 long', '3000 long'], array_map(fn (PlannedBoard $board) => $board->stock->name, $plan->boards));
        self::assertSame(19.80, $plan->price());
        self::assertLessThanOrEqual(19.80, $plan->boundPrice);
    }

    public function test_of_one_stock_length_nearly_every_list_is_proven(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(4));
        $proven = 0;
        for ($list = 0; $list < 40; $list++) {
            [$least, $most] = [[120, 1200], [240, 1900]][$list % 2];
            $pieces = array_map(fn () => self::piece(sprintf('%.1f', $chance->getInt(10 * $least, 10 * $most) / 10), '90', 1), range(1, 20 + $list % 3 * 10));
            $plan = self::planner(self::stock('2400', '90', price: 8.0))->plan($pieces);
            self::assertGreaterThanOrEqual($plan->boundPrice, $plan->price());
            $proven += $plan->price() === $plan->boundPrice ? 1 : 0;
        }
        self::assertGreaterThanOrEqual(36, $proven);
    }

    public function test_what_no_board_gives_is_named_with_its_reason(): void
    {
        $planner = self::planner(self::stock('2400', '90', quantity: 1));
        self::assertSame('96 mm is wider than the board, which is 90 mm', $planner->refuses(self::piece('500', '96', 1)));
        self::assertSame('2390 mm is longer than every board of its kind, of which 2380 mm can be used', $planner->refuses(self::piece('2390', '90', 1)));
        self::assertNull($planner->refuses(self::piece('60', '2000', 1, grain: Grain::Width)));
        self::assertSame('no board of its material is in stock', self::planner()->refuses(self::piece('500', '90', 1)));
        $plan = $planner->plan([self::piece('2000', '90', 2), self::piece('3000', '90', 1)]);
        self::assertCount(1, $plan->boards);
        self::assertSame([['p3000', false], ['p2000', true]], array_map(fn ($unplaced) => [$unplaced->name, $unplaced->isShort], $plan->unplaced));
    }

    public function test_every_piece_lies_on_one_board_between_its_ends_and_clear_of_the_next_cut(): void
    {
        mt_srand(5);
        for ($i = 0; $i < 200; $i++) {
            $pieces = array_map(fn () => self::piece((string) mt_rand(80, 2400), '90', mt_rand(1, 4)), range(1, mt_rand(1, 9)));
            $plan = self::planner(self::stock('2400', '90', quantity: mt_rand(0, 5)), self::stock('3000', '90', price: 9.5))->plan($pieces);
            $this->isSound($plan);
            $cut = array_sum(array_map(fn (PlannedBoard $board) => count($board->pieces), $plan->boards));
            self::assertSame(array_sum(array_map(fn (CutPiece $piece) => $piece->quantity, $pieces)), $cut + array_sum(array_map(fn ($unplaced) => $unplaced->quantity, $plan->unplaced)));
        }
    }

    private function isSound(BoardPlan $plan): void
    {
        foreach ($plan->boards as $board) {
            $at = 10.0;
            foreach ($board->pieces as [, $from, $long]) {
                self::assertGreaterThanOrEqual($at - 1e-6, $from->toDouble());
                $at = $from->toDouble() + $long->toDouble() + 3.2;
            }
            self::assertLessThanOrEqual($board->stock->length->toDouble() - 10.0 + 3.2 + 1e-6, $at);
        }
    }
}
