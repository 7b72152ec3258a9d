<?php

declare(strict_types=1);

namespace Tests\Core\Install;

use Incastro\Install\StudGrid;
use PHPUnit\Framework\TestCase;

final class StudGridTest extends TestCase
{
    public function test_five_found_studs_claim_their_pitch_and_say_where_the_others_are(): void
    {
        $grid = StudGrid::of([212, 615, 1018, 1830, 2236]);
        // 406.4: origin 210.24, off by 1.8 −1.6 −5.0 −5.8 −6.2 less their mean …: 0.95; 400: 8.67.
        self::assertSame([406.4], $grid->pitches());
        self::assertEqualsWithDelta(0.95, $grid->cost(406.4), 0.01);
        self::assertEqualsWithDelta(8.67, $grid->cost(400.0), 0.01);
        // σ = 7·√(1 + 1/5) = 7.67; ±1.96 σ = ±15.
        $expected = array_map(fn (array $one) => array_map(fn (float $mm) => (int) round($mm), $one), $grid->expected(100, 2700));
        self::assertSame([['u' => 1426, 'from' => 1411, 'to' => 1441], ['u' => 2645, 'from' => 2630, 'to' => 2660]], $expected);
        self::assertSame([], $grid->beside());
        self::assertNull($grid->decides(5000));
    }

    public function test_an_extra_stud_is_kept_beside_the_grid(): void
    {
        $grid = StudGrid::of([212, 615, 1018, 1700, 1830, 2236]);
        self::assertSame([406.4], $grid->pitches());
        [$beside] = $grid->beside();
        self::assertSame(1700.0, $beside['u']);
        self::assertEqualsWithDelta(-132, $beside['off'], 0.5);
        self::assertEqualsWithDelta(1426, $grid->expected(1200, 1600)[0]['u'], 0.5);
    }

    public function test_three_studs_leave_400_and_16_inches_undecided_until_one_farther_along(): void
    {
        $grid = StudGrid::of([212, 615, 1018]);
        self::assertSame([400.0, 406.4], $grid->pitches());
        self::assertEqualsWithDelta(0.37, $grid->cost(400.0), 0.01);
        self::assertEqualsWithDelta(0.47, $grid->cost(406.4), 0.01);
        // At k = 3 they are 1415 and 1428, nearer than 15: one band round both.
        [$next] = $grid->expected(1200, 1600);
        self::assertEqualsWithDelta((1415 + 1428) / 2, $next['u'], 0.5);
        self::assertLessThan(1415 - 15, $next['from']);
        self::assertGreaterThan(1428 + 15, $next['to']);
        // At k = 4 they differ by 2·6.4·… = 19: that one decides.
        self::assertEqualsWithDelta(1815, (float) $grid->decides(5000), 0.5);
        self::assertSame([], $grid->expected(3300, 3500));
    }

    public function test_two_studs_say_nothing_of_others(): void
    {
        self::assertSame([], StudGrid::of([212, 615])->pitches());
        self::assertSame([], StudGrid::of([212, 615])->expected(0, 3000));
    }

    /**
     * Made-up walls: studs 3 from their places, found 5 from there, four to seven of them, every other wall with a stray one.
     */
    public function test_a_pitch_is_rarely_claimed_wrongly(): void
    {
        $walls = (int) (getenv('INCASTRO_WALLS') ?: 400);
        mt_srand(11);
        $chance = fn (): float => sqrt(-2 * log(mt_rand(1, 1_000_000) / 1_000_000)) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
        $right = $wrong = $among = 0;
        for ($i = 0; $i < $walls; $i++) {
            $pitch = StudGrid::PITCHES[$i % count(StudGrid::PITCHES)];
            $count = mt_rand(4, 7);
            $places = range(0, 9);
            shuffle($places);
            $origin = mt_rand(30, 400);
            $found = array_map(fn (int $k): float => $origin + $k * $pitch + 3 * $chance() + 5 * $chance(), array_slice($places, 0, $count));
            if ($i % 2 === 1) {
                $found[] = $origin + mt_rand(0, 3600);
            }
            $pitches = StudGrid::of(array_values(array_map(floatval(...), $found)))->pitches();
            $among += in_array($pitch, $pitches, true) ? 1 : 0;
            $right += $pitches === [$pitch] ? 1 : 0;
            $wrong += count($pitches) === 1 && $pitches !== [$pitch] ? 1 : 0;
        }
        self::assertLessThanOrEqual(0.01 * $walls, $wrong);
        self::assertGreaterThanOrEqual(0.85 * $walls, $right);
        self::assertGreaterThanOrEqual(0.99 * $walls, $among);
    }
}
