<?php

declare(strict_types=1);

namespace Tests\Core\Log;

use Incastro\Log\Bias;
use Incastro\Log\DurationReader;
use Incastro\Log\Hours;
use Incastro\Log\MoneyReader;
use Incastro\Log\Ratio;
use Incastro\Log\Stretch;
use Incastro\Log\WorkKind;
use Incastro\Measure\Unreadable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Hours, money and ratios of the log, and how they are read. */
final class LogTest extends TestCase
{
    private static function at(string $hour): int
    {
        [$h, $m] = explode(':', $hour);

        return 3600 * (int) $h + 60 * (int) $m;
    }

    public function test_overlaps_of_a_person_count_once(): void
    {
        $between = fn (string $id, string $who, string $from, ?string $to, WorkKind $kind = WorkKind::Install): Stretch => Stretch::between($id, $who, $kind, self::at($from), $to === null ? null : self::at($to));
        // A 9:10–11:40 and 11:30–12:45 are 3 h 35, the ten minutes once; B 10:00–12:00; in all 5 h 35.
        $all = [$between('1', 'A', '9:10', '11:40'), $between('2', 'A', '11:30', '12:45'), $between('3', 'B', '10:00', '12:00')];
        $hours = new Hours($all);
        self::assertSame(['A' => 215 * 60, 'B' => 120 * 60], $hours->byPerson());
        self::assertSame(335 * 60, $hours->seconds());
        mt_srand(3);
        for ($i = 0; $i < 50; $i++) {
            $again = [...$all, ...array_slice($all, mt_rand(0, 2))];
            shuffle($again);
            self::assertSame(335 * 60, (new Hours($again))->seconds());
        }
        // What was typed comes on top; of two kinds each has its own.
        $more = new Hours([...$all, Stretch::lasting('4', 'A', WorkKind::Finish, self::at('0:00'), 90 * 60)]);
        self::assertSame(['finish' => 90 * 60, 'install' => 335 * 60], $more->byKind());
    }

    public function test_what_still_runs_ends_where_something_later_begins(): void
    {
        $running = new Hours([Stretch::between('1', 'A', WorkKind::Saw, self::at('9:00'), null), Stretch::between('2', 'A', WorkKind::Install, self::at('10:00'), null), Stretch::between('3', 'B', WorkKind::Saw, self::at('9:30'), null)]);
        self::assertSame(['saw' => 3600], array_filter($running->byKind()));
        self::assertEqualsCanonicalizing(['2', '3'], array_map(fn (Stretch $one) => $one->id, $running->running()));
    }

    public function test_a_ratio_believes_two_hours_of_the_estimate(): void
    {
        // 265 against 190 is 1.39; (265 + 120)/(190 + 120) = 1.24.
        $entry = fn (float $estimate, float $actual, string $job = 'j'): array => ['estimate' => $estimate, 'actual' => $actual, 'job' => $job];
        $five = [$entry(60, 85), $entry(40, 55), $entry(40, 50), $entry(30, 45), $entry(20, 30)];
        self::assertEqualsWithDelta(1.242, (new Ratio($five))->offered(), 0.001);
        self::assertTrue((new Ratio($five))->isTold());
        // From five entries or three jobs on, and only beyond 0.85 to 1.15.
        self::assertFalse((new Ratio(array_slice($five, 0, 4)))->isTold());
        self::assertTrue((new Ratio([$entry(200, 300, 'a'), $entry(200, 300, 'b'), $entry(200, 300, 'c')]))->isTold());
        self::assertFalse((new Ratio(array_fill(0, 5, $entry(60, 66))))->isTold());
    }

    public function test_twelve_boards_tell_a_saw_that_is_off(): void
    {
        $bias = new Bias([0.5, 1.0, 0.5, 1.0, 1.0, 0.5, 1.5, 1.0, 0.5, 1.0, 0.5, 1.0]);
        // 10/12 = 0.83; s = 0.33; 2.201·0.326/√12 = 0.21: 0.63 to 1.04.
        self::assertEqualsWithDelta([0.833, 0.326, 0.207], [$bias->mean, $bias->deviation, $bias->half], 0.001);
        self::assertTrue($bias->isOff(0.3));
        self::assertFalse((new Bias([0.2, 0.1, 0.2, 0.1, 0.2, 0.1, 0.2, 0.1]))->isOff(0.3));
    }

    public function test_a_planted_bias_is_found_and_none_is_made_up(): void
    {
        mt_srand(11);
        $normal = fn (float $mean, float $sigma): float => $mean + $sigma * sqrt(-2 * log(mt_rand(1, mt_getrandmax()) / mt_getrandmax())) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
        $homes = (int) (getenv('INCASTRO_HOMES') ?: 2000);
        $found = $false = 0;
        for ($i = 0; $i < $homes; $i++) {
            $n = mt_rand(8, 20);
            $found += (int) (new Bias(array_map(fn () => $normal(0.8, 0.35), range(1, $n))))->isOff(0.3);
            $false += (int) (new Bias(array_map(fn () => $normal(0.0, 0.35), range(1, $n))))->isOff(0.3);
        }
        self::assertGreaterThanOrEqual(0.95 * $homes, $found);
        self::assertLessThanOrEqual(0.05 * $homes, $false);
    }

    /** @return iterable<string, array{string, int|string}> */
    public static function amounts(): iterable
    {
        yield 'cents' => ['27.50', 2750];
        yield 'a comma' => ['27,5', 2750];
        yield 'whole' => ['128', 12800];
        yield 'returned' => ['−27.50', -2750];
        yield 'both marks' => ['12,345.50', 1234550];
        yield 'both marks the other way' => ['12.345,50 €', 1234550];
        yield 'thousands or thousandths' => ['1,234', 'may be 1234.00 or 1.234'];
        yield 'another currency' => ['$ 12', 'This job counts in €.'];
        yield 'a word' => ['twelve', 'is not an amount'];
        yield 'a fortune' => ['99999999', 'more than a job costs'];
        yield 'more digits than there is money' => ['9223372036854775808', 'is not an amount'];
    }

    #[DataProvider('amounts')]
    public function test_money_is_read_where_it_is_plain(string $text, int|string $is): void
    {
        self::assertRead($is, fn (): int => MoneyReader::read($text, '€'));
    }

    /** @return iterable<string, array{string, int|string}> */
    public static function durations(): iterable
    {
        foreach (['2,5', '2.5', '2h30', '150 min', '2:30', '2 h 30'] as $text) {
            yield $text => [$text, 150];
        }
        yield 'hours alone' => ['3', 180];
        yield 'minutes or what' => ['230', '230 minutes (3 h 50)?'];
        yield 'too long' => ['1000 min', '16 h 40'];
        yield 'nothing' => ['0', 'between a minute'];
        yield 'a word' => ['all day', 'is not a time'];
    }

    #[DataProvider('durations')]
    public function test_a_duration_is_read_in_many_ways(string $text, int|string $is): void
    {
        self::assertRead($is, fn (): int => DurationReader::read($text));
    }

    /** @param \Closure(): int $read */
    private static function assertRead(int|string $is, \Closure $read): void
    {
        if (is_int($is)) {
            self::assertSame($is, $read());

            return;
        }
        try {
            $read();
            self::fail('This was read.');
        } catch (Unreadable $unreadable) {
            self::assertStringContainsString($is, $unreadable->getMessage());
        }
    }
}
