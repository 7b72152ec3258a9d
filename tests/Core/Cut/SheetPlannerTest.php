<?php

declare(strict_types=1);

namespace Tests\Core\Cut;

use Eris\Generators;
use Eris\TestTrait;
use Incastro\Cut\CutPiece;
use Incastro\Cut\PlannedSheet;
use Incastro\Cut\Rectangle;
use Incastro\Cut\SawSetup;
use Incastro\Cut\SheetPlan;
use Incastro\Cut\SheetPlanner;
use Incastro\Cut\Stock;
use Incastro\Cut\Together;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Grain;
use PHPUnit\Framework\TestCase;

final class SheetPlannerTest extends TestCase
{
    use TestTrait;

    private static function mm(float $mm): Length
    {
        return Length::ofDouble($mm);
    }

    private static function piece(string $name, float $length, float $width, int $quantity = 1, Grain $grain = Grain::Length): CutPiece
    {
        return new CutPiece($name, $quantity, self::mm($length), self::mm($width), self::mm(18), 'ply', $grain);
    }

    private static function stock(float $length = 2440, float $width = 1220, float $price = 64, ?int $quantity = null, string $name = 'full'): Stock
    {
        return new Stock($name, $quantity, self::mm($length), self::mm($width), self::mm(18), 'ply', $price);
    }

    /**
     * @param  list<CutPiece>  $pieces
     * @param  list<Stock>  $stock
     */
    private function plan(array $pieces, array $stock, float $kerf = 3.2, float $trim = 6.0, ?int $steps = null): SheetPlan
    {
        return (new SheetPlanner(SawSetup::allEdges(self::mm($kerf), self::mm($trim)), LengthFormat::millimetres('0.1')))->plan($pieces, $stock, $steps);
    }

    public function test_eight_quarters_of_two_sheets_when_the_kerf_is_nothing(): void
    {
        $plan = $this->plan([self::piece('quarter', 1220, 610, 8)], [self::stock()], 0.0, 0.0);
        self::assertCount(2, $plan->sheets);
        self::assertTrue($plan->isFewest());
        self::assertSame(128.0, $plan->price);
        self::assertEqualsWithDelta(1.0, $plan->sheets[0]->yield(), 1e-9);
        // One rip at 610 and one crosscut at 1220.
        self::assertSame(2, $plan->settings);
    }

    public function test_with_a_kerf_they_no_longer_go_and_the_bound_knows(): void
    {
        // By area 2.008 sheets: (1220 + 3.2)(610 + 3.2) · 8 against (2440 + 3.2)(1220 + 3.2). But two of them are 2443.2 long and
        // 1223.2 wide: no two go onto one sheet, and the bound says so.
        $plan = $this->plan([self::piece('quarter', 1220, 610, 8)], [self::stock()], 3.2, 0.0);
        self::assertSame(8, $plan->boundSheets);
        self::assertStringStartsWith('no two of these go onto one sheet: quarter', $plan->because);
        self::assertCount(8, $plan->sheets);
    }

    public function test_grain_decides_how_a_piece_lies(): void
    {
        $lie = fn (Grain $grain) => $this->plan([self::piece('p', 1000, 400, 1, $grain)], [self::stock()])->sheets[0]->pieces[0];
        self::assertSame(1000.0, $lie(Grain::Length)->at->length()->toDouble());
        self::assertFalse($lie(Grain::Length)->turned);
        self::assertSame(400.0, $lie(Grain::Width)->at->length()->toDouble());
        self::assertTrue($lie(Grain::Width)->turned);
        // 1300 does not go across a sheet 1220 wide.
        self::assertCount(1, $this->plan([self::piece('p', 1300, 400, 1, Grain::Width)], [self::stock()])->unplaced);
    }

    public function test_a_half_sheet_is_bought_where_it_is_enough(): void
    {
        $plan = $this->plan([self::piece('p', 1100, 500, 2)], [self::stock(), self::stock(1220, 1220, 36, null, 'half')]);
        self::assertSame(['half'], array_map(fn (PlannedSheet $sheet) => $sheet->stock->name, $plan->sheets));
        self::assertSame(36.0, $plan->price);
    }

    public function test_what_finds_no_sheet_says_why(): void
    {
        $thin = new CutPiece('thin', 1, self::mm(100), self::mm(100), self::mm(12), 'ply', Grain::Any);
        $plan = $this->plan([self::piece('long', 2430, 100), self::piece('two', 2000, 1000, 2), $thin], [self::stock(quantity: 1)]);
        $reasons = [];
        foreach ($plan->unplaced as $unplaced) {
            $reasons[$unplaced->name] = [$unplaced->quantity, $unplaced->reason];
        }
        self::assertSame([1, '2430 mm × 100 mm is larger than every sheet of its kind'], $reasons['long']);
        self::assertSame([1, 'the sheets at hand are used up'], $reasons['two']);
        self::assertSame([1, 'no sheet of its material is in stock 12 mm thick'], $reasons['thin']);
    }

    public function test_trimming_two_edges_leaves_the_others(): void
    {
        $saw = SawSetup::twoEdges(self::mm(3.2), self::mm(6), self::mm(8));
        $plan = (new SheetPlanner($saw, LengthFormat::millimetres()))->plan([self::piece('p', 2432, 1214)], [self::stock()]);
        self::assertSame([8_000_000, 6_000_000], [$plan->sheets[0]->pieces[0]->at->x, $plan->sheets[0]->pieces[0]->at->y]);
    }

    public function test_every_plan_can_be_sawn_and_none_beats_its_bound(): void
    {
        $sizes = Generators::seq(Generators::tuple(Generators::choose(60, 1800), Generators::choose(50, 1100), Generators::elements(...Grain::cases())));
        // Half of them as they are first, half improved; INCASTRO_LISTS says how many (2000 on demand).
        $this->limitTo((int) (getenv('INCASTRO_LISTS') ?: 60))->forAll($sizes)->then(function (array $sizes): void {
            $pieces = array_map(fn (array $size, int $i) => self::piece("p$i", (float) $size[0], (float) $size[1], 1 + $i % 3, $size[2]), $sizes, array_keys($sizes));
            $plan = $this->plan($pieces, [self::stock(), self::stock(1220, 1220, 36, 2, 'half')], steps: count($sizes) % 2 === 0 ? 0 : null);
            $placed = array_merge([], ...array_map(fn (PlannedSheet $sheet) => $sheet->pieces, $plan->sheets));
            $left = array_sum(array_map(fn ($unplaced) => $unplaced->quantity, $plan->unplaced));
            self::assertSame(array_sum(array_map(fn (CutPiece $piece) => $piece->quantity, $pieces)), count($placed) + $left);
            self::assertLessThanOrEqual(count($plan->sheets), $plan->boundSheets);
            self::assertLessThanOrEqual($plan->price + 0.01, $plan->boundPrice);
            foreach ($plan->sheets as $sheet) {
                $this->assertSawn($sheet);
            }
        });
    }

    /** Inside the trimmed sheet, a kerf apart, and separable by cuts that go right through. */
    private function assertSawn(PlannedSheet $sheet): void
    {
        $at = array_map(fn ($placed) => $placed->at, $sheet->pieces);
        foreach ($at as $rectangle) {
            self::assertGreaterThanOrEqual(6_000_000, min($rectangle->x, $rectangle->y));
            self::assertLessThanOrEqual($sheet->stock->length->nanometres() - 6_000_000, $rectangle->x + $rectangle->alongX);
            self::assertLessThanOrEqual($sheet->stock->width->nanometres() - 6_000_000, $rectangle->y + $rectangle->alongY);
        }
        self::assertTrue(self::separable($at), 'A cut would have to stop inside the sheet.');
    }

    /** @param list<Rectangle> $pieces */
    private static function separable(array $pieces): bool
    {
        if (count($pieces) < 2) {
            return true;
        }
        foreach ([['x', 'alongX'], ['y', 'alongY']] as [$from, $along]) {
            foreach ($pieces as $piece) {
                $cut = $piece->$from + $piece->$along;
                $before = array_values(array_filter($pieces, fn (Rectangle $other) => $other->$from + $other->$along <= $cut));
                $after = array_values(array_filter($pieces, fn (Rectangle $other) => $other->$from >= $cut + 3_200_000));
                if ($after !== [] && count($before) + count($after) === count($pieces)) {
                    return self::separable($before) && self::separable($after);
                }
            }
        }

        return false;
    }

    public function test_what_stays_together_comes_from_one_sheet_and_is_cut_like_all_else(): void
    {
        $saw = SawSetup::allEdges(self::mm(3.2), self::mm(6));
        $format = LengthFormat::millimetres('0.1');
        $stock = [self::stock(), self::stock(1220, 1220, 34, name: 'half')];
        $boxes = fn (string $box): array => [self::piece("$box-side-L", 700, 350), self::piece("$box-side-R", 700, 350), self::piece("$box-top", 560, 350), self::piece("$box-bottom", 560, 350), self::piece("$box-rail", 560, 90)];
        $together = new Together($saw, $format, $stock);
        $list = [...$together->block($boxes('A')), ...$together->block($boxes('B')), ...$together->block($boxes('C')), self::piece('long', 2300, 350, 3)];
        self::assertCount(4, $list);
        // Close together: no more than a quarter of what they take is lost between them.
        self::assertLessThan(1.25 * (2 * 700 * 350 + 2 * 560 * 350 + 560 * 90), $list[0]->area());

        $plan = (new SheetPlanner($saw, $format))->plan($list, $stock);
        self::assertSame([], $plan->unplaced);
        $sheets = [];
        foreach ($plan->sheets as $s => $sheet) {
            $this->assertSawn($sheet);
            foreach ($sheet->pieces as $placed) {
                $sheets[explode('-', $placed->piece->name)[0]][$s] = true;
            }
        }
        self::assertSame([1, 1, 1], [count($sheets['A']), count($sheets['B']), count($sheets['C'])]);
        self::assertSame(18, array_sum(array_map(fn (PlannedSheet $sheet) => count($sheet->pieces), $plan->sheets)));
        // What no sheet holds together is planned piece by piece.
        $long = [self::piece('a', 2400, 700), self::piece('b', 2400, 700)];
        self::assertSame($long, $together->block($long));
    }
}
