<?php

declare(strict_types=1);

namespace Tests\Core\Buy;

use Incastro\Buy\BuyLine;
use Incastro\Buy\Cover;
use Incastro\Buy\Need;
use Incastro\Buy\Pack;
use Incastro\Buy\Shop;
use Incastro\Exchange\CsvRows;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class CoverTest extends TestCase
{
    /**
     * @param  array<int, ?float>  $sold  prices by units
     * @return non-empty-list<Pack>
     */
    private static function packs(array $sold): array
    {
        $packs = [];
        foreach ($sold as $units => $price) {
            $packs[] = new Pack($units, $price === null ? null : (int) round(100 * $price), "pack of $units");
        }

        return $packs ?: throw new \LogicException();
    }

    /** @return iterable<string, array{int, array<int, ?float>, string, ?int}> */
    public static function examples(): iterable
    {
        // ceil(172 · 1.1) = 190, 40 at hand: 150. Two hundreds would be 13.00, one of 200 is 11.50.
        yield 'screws' => [150, [100 => 6.50, 200 => 11.50, 500 => 24.00], '1 × pack of 200', 1150];
        // 200 + 100 = 17.50 with 70 left, before 500 at 21.00.
        yield 'two packs' => [230, [100 => 6.50, 200 => 11.00, 500 => 21.00], '1 × pack of 200, 1 × pack of 100', 1750];
        // 14.6 m² · 2 / 12 · 1.1 = 2.677 l less 0.4: one of 2.5.
        yield 'paint' => [2277, [750 => 14.50, 1000 => 17.95, 2500 => 36.90, 5000 => 65.80], '1 × pack of 2500', 3690];
        // 14.6 / 10 · 1.1 = 1.606 l: 1 + 0.75 = 26.80 before 29.90.
        yield 'primer' => [1606, [750 => 11.90, 1000 => 14.90, 2500 => 29.90], '1 × pack of 1000, 1 × pack of 750', 2680];
        yield 'nothing' => [0, [10 => 1.0], '', 0];
        yield 'many' => [25_000, [100 => 6.50, 500 => 24.00], '50 × pack of 500', 120_000];
        yield 'without a price the fewest packs' => [300, [100 => null, 250 => 3.0], '1 × pack of 250, 1 × pack of 100', null];
    }

    /** @param array<int, ?float> $sold */
    #[DataProvider('examples')]
    public function test_packs_by_hand(int $need, array $sold, string $words, ?int $price): void
    {
        $cover = Cover::of($need, self::packs($sold));

        self::assertSame([$words, $price], [$cover->words(), $cover->price]);
    }

    public function test_a_larger_pack_that_costs_little_more_is_told(): void
    {
        // 29.90 is 12 % above 26.80; 21.00 is 20 % above 17.50.
        self::assertSame('Pack of 2500 alone costs 3.10 more.', Cover::of(1606, self::packs([750 => 11.90, 1000 => 14.90, 2500 => 29.90]))->note);
        self::assertNull(Cover::of(230, self::packs([100 => 6.50, 200 => 11.00, 500 => 21.00]))->note);
    }

    public function test_no_choice_of_packs_is_cheaper(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(5));
        for ($list = 0; $list < 500; $list++) {
            $sold = [];
            for ($p = $chance->getInt(1, 4); $p > 0; $p--) {
                $sold[$chance->getInt(1, 40)] = $chance->getInt(50, 900) / 100;
            }
            $packs = self::packs($sold);
            $need = $chance->getInt(1, 90);
            $cover = Cover::of($need, $packs);
            self::assertGreaterThanOrEqual($need, $cover->units);
            self::assertSame(self::cheapest($need, $packs), $cover->price, "list $list");
        }
    }

    /** @param list<Pack> $packs */
    private static function cheapest(int $need, array $packs): int
    {
        if ($need <= 0) {
            return 0;
        }
        $pack = array_shift($packs);
        if ($pack === null) {
            return PHP_INT_MAX >> 1;
        }
        $least = PHP_INT_MAX >> 1;
        for ($count = 0; $count <= intdiv($need + $pack->units - 1, $pack->units); $count++) {
            $least = min($least, $count * (int) $pack->price + self::cheapest($need - $count * $pack->units, $packs));
        }

        return $least;
    }

    public function test_what_is_at_hand_and_bought_is_not_bought_again(): void
    {
        $need = new Need('screws', Shop::Ironmonger, 'Pocket screws', '32 mm', 172, 18, self::packs([100 => 6.50, 200 => 11.50]), fn (int $n) => (string) $n);

        self::assertSame(150, (new BuyLine($need, 40, 0))->toBuy);
        self::assertSame(1150, (new BuyLine($need, 40, 0))->price());
        self::assertTrue((new BuyLine($need, 40, 200))->isDone());
        // The price of the list stays what it is when something of it is in the bag.
        self::assertSame(1150, (new BuyLine($need, 40, 200))->price());
    }

    public function test_a_name_that_looks_like_a_formula_is_text(): void
    {
        self::assertSame("\"'=2+3 \"\"long\"\"\"\r\n", CsvRows::write([['=2+3 "long"']]));
    }
}
