<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Geometry\Point;
use Incastro\Planning\JobChoices;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use PHPUnit\Framework\TestCase;
use Tests\Core\PieceSizes;
use Tests\Core\TestLayout;

/** A seat on a crate of half-lapped boards, by hand. */
final class SeatCrateTest extends TestCase
{
    /** @param array<string, mixed> $crate */
    private static function layout(float $wide, float $high, float $deep, array $crate = [], string $measure = 'mm/1', float $board = 17.8): TestLayout
    {
        $materials = array_map(fn (array $material) => $material['id'] === 'carcass' ? ['thickness' => TestLayout::mm($board)] + $material : $material, JobChoices::defaults('Test', $measure)['materials']);
        $layout = TestLayout::of([TestLayout::bay('a', [], [
            Doc::tier('a-1', ['size' => TestLayout::mm($high), 'holds' => Doc::holds('seat-crate', $crate)]),
            Doc::tier('a-2', ['joined' => false, 'holds' => Recipe::gap()]),
        ])], ['depth' => TestLayout::mm($deep)], $wide, $deep + 200.0);

        return $layout->with(['members' => [Doc::member('seat', 'bench-seat', ['a-1'])]])->changing(['materials' => $materials] + JobChoices::defaults('Test', $measure));
    }

    /** 1600 long between walls, 545 deep and 312 high, of 17.8: cells of 377.75 by 245.8. */
    public function test_a_crate_by_hand(): void
    {
        $plan = self::layout(1611.0, 312.0, 545.0)->plan();
        self::assertSame('fits', $plan->verdict->state, implode(' ', array_map(fn (Finding $finding) => $finding->sentence, $plan->findings)));
        $sizes = PieceSizes::byMark($plan);
        self::assertSame([1600.0, 312.0], $sizes['front']);
        self::assertSame([1600.0, 312.0], $sizes['back']);
        // 545 − 2 × 17.8 = 509.4; 1600 − 2 × 17.8 = 1564.4
        self::assertSame([509.0, 312.0], $sizes['end-left']);
        self::assertSame([1564.0, 312.0], $sizes['long-1']);
        self::assertArrayNotHasKey('long-2', $sizes);
        self::assertSame([509.0, 312.0], $sizes['cross-3']);
        self::assertArrayNotHasKey('cross-4', $sizes);
        // Slots 18.3 wide and 156.5 deep: of the long board from above at 377.5, 773 and 1168.6, of each cross board from below at 245.6.
        self::assertEqualsWithDelta([[377.5, 395.8], [773.05, 791.35], [1168.6, 1186.9]], self::slots($plan, 'long-1', 155.5), 0.01);
        self::assertEqualsWithDelta([[245.55, 263.85]], self::slots($plan, 'cross-1', 156.5), 0.01);
    }

    /** 72 long, 23 15/16 deep and 12 1/2 high, of 23/32: cells of 17.102 by 10 57/64. */
    public function test_a_crate_in_inches_by_hand(): void
    {
        $plan = self::layout(72.42 * 25.4, 12.5 * 25.4, 23.9375 * 25.4, [], 'in/16', 25.4 * 23 / 32)->plan();
        $sizes = array_map(fn (array $size) => array_map(fn (float $mm) => round($mm / 25.4, 6), $size), PieceSizes::byMark($plan));
        self::assertSame([72.0, 12.5], $sizes['front']);
        self::assertSame([22.5, 12.5], $sizes['cross-3']);
        self::assertSame([70.5625, 12.5], $sizes['long-1']);
        $slots = self::slots($plan, 'long-1', 6.234375 * 25.4);
        self::assertEqualsWithDelta([17.094, 34.914, 52.734], array_map(fn (array $slot) => $slot[0] / 25.4, $slots), 0.001);
    }

    public function test_a_seat_bends_over_cells_that_are_too_wide(): void
    {
        $layout = self::layout(1811.0, 312.0, 850.0, ['cell' => TestLayout::mm(600.0)], board: 15.0);
        $bends = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::SeatBends));
        self::assertSame('Cells of 400 mm', $bends[0]->waysOut[0]->label);
        self::assertSame([], array_filter($layout->edited($bends[0]->waysOut[0]->edit)->plan()->findings, fn (Finding $finding) => $finding->code === Code::SeatBends));
    }

    /** @return list<array{float, float}> from and to of what is cut into a board to a height of it, from the left */
    private static function slots(SpacePlan $plan, string $role, float $at): array
    {
        foreach ($plan->pieces() as $piece) {
            if (str_ends_with($piece->mark, "-$role")) {
                $cut = array_values(array_filter($piece->outline->outer->points, fn (Point $point) => abs($point->y - $at) < 0.1));
                $places = array_map(fn (Point $point) => $point->x, $cut);
                sort($places);

                return array_chunk($places, 2);
            }
        }

        return [];
    }
}
