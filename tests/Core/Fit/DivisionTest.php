<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Eris\Generators;
use Eris\TestTrait;
use Incastro\Fit\Division;
use Incastro\Fit\Layout\Size;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use PHPUnit\Framework\TestCase;

final class DivisionTest extends TestCase
{
    use TestTrait;

    /** @param list<non-empty-list<Size>> $groups */
    private static function divided(float $total, array $groups): Division
    {
        return Division::of(Working::start('run', Length::ofDouble($total)), $groups, Length::ofMillimetres(18), LengthFormat::millimetres());
    }

    /** @return list<list<float>> */
    private static function sizes(Division $division): array
    {
        return array_map(fn (array $group) => array_map(fn (Working $size) => $size->result->toDouble(), array_values($group)), $division->sizes);
    }

    public function test_boxes_that_stand_alone_take_their_numbers_as_outer_sizes(): void
    {
        // 1000 less the fixed 300 leaves 700; of 12 shares 4 and 8: 233.3, down, and 466.6, down. 1 is left over.
        $division = self::divided(1000.0, [[Size::share(4)], [Size::fixed(Length::ofMillimetres(300))], [Size::share(8)]]);
        self::assertSame([[233.0], [300.0], [466.0]], self::sizes($division));
        self::assertSame(1.0, $division->left->toDouble());
        self::assertSame(466.0, $division->outer(2, Length::ofMillimetres(18))->result->toDouble());
    }

    public function test_cells_that_share_boards_are_clear_openings(): void
    {
        // Three openings need four boards: (1000 − 4 · 18)/3 = 309.33, down to 309; outer 3 · 309 + 72 = 999.
        $division = self::divided(1000.0, [[Size::share(), Size::share(), Size::share()]]);
        self::assertSame([[309.0, 309.0, 309.0]], self::sizes($division));
        self::assertSame(999.0, $division->outer(0, Length::ofMillimetres(18))->result->toDouble());
        self::assertSame(1.0, $division->left->toDouble());
    }

    public function test_what_asks_for_more_than_there_is_says_by_how_much(): void
    {
        $division = self::divided(1000.0, [[Size::fixed(Length::ofMillimetres(700))], [Size::fixed(Length::ofMillimetres(380))]]);
        self::assertSame(80.0, $division->over->toDouble());
        // Shares get nothing where the fixed ones take it all.
        $none = self::divided(1000.0, [[Size::fixed(Length::ofMillimetres(1000))], [Size::share()]]);
        self::assertSame([[1000.0], [0.0]], self::sizes($none));
    }

    public function test_nothing_is_lost_and_equal_shares_stay_equal(): void
    {
        $this->limitTo(200)->forAll(Generators::choose(600, 4000), Generators::vector(5, Generators::choose(1, 24)))->then(function (int $total, array $shares): void {
            $division = self::divided((float) $total, array_map(fn (int $share) => [Size::share($share)], $shares));
            $sizes = array_merge(...self::sizes($division));
            self::assertEqualsWithDelta($total, array_sum($sizes) + $division->left->toDouble(), 1e-6);
            self::assertLessThan(count($shares), $division->left->toDouble());
            foreach ($shares as $i => $share) {
                self::assertSame($sizes[array_search($share, $shares, true)], $sizes[$i]);
            }
        });
    }
}
