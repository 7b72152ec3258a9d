<?php

declare(strict_types=1);

namespace Tests\Core\Survey;

use Incastro\Measure\Length;
use Incastro\Rules\Finding;
use Incastro\Survey\ClearSpan;
use Incastro\Survey\Path;
use Incastro\Survey\Survey;
use Incastro\Survey\Take;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;

final class AlcoveSurveyTest extends TestCase
{
    /** @return array<string, array{TestAlcove, float}> */
    public static function alcoves(): array
    {
        return [
            'leaning: 1203 right at the floor − 7 left at the top' => [TestAlcove::leaning(), 1196.0],
            'parallel: 1203 − 7, though every width is 1203' => [TestAlcove::parallel(), 1196.0],
            'skewed: 1200 right at the back − 15 left at the mouth' => [TestAlcove::skewed(), 1185.0],
        ];
    }

    #[DataProvider('alcoves')]
    public function test_exact_readings_give_the_clear_span_of_the_whole_alcove(TestAlcove $alcove, float $span): void
    {
        $survey = $alcove->survey();
        self::assertNotNull($survey->room);
        self::assertSame([], $this->codes($survey));
        self::assertTrue($survey->isSure());
        self::assertEqualsWithDelta($span, self::span($survey, new Path(0.0, 600.0, 0.0, 2400.0))->width, 1e-3);
    }

    public function test_walls_are_found_where_they_stand(): void
    {
        $room = TestAlcove::leaning()->survey()->room;
        self::assertNotNull($room);
        // From the left wall half way up, where the frame begins: 3.5 back at the floor, 3.5 in at the top.
        self::assertEqualsWithDelta(-3.5, $room->frame()->leftAt(300.0, 0.0), 1e-3);
        self::assertEqualsWithDelta(3.5, $room->frame()->leftAt(300.0, 2400.0), 1e-3);
        // Right: 1203 + 10.5 · 600/1200 − 3.5 at 600 up.
        self::assertEqualsWithDelta(1204.75, $room->frame()->rightAt(300.0, 600.0), 1e-3);
    }

    public function test_a_corner_angle_serves_as_well_as_a_diagonal(): void
    {
        $survey = TestAlcove::skewed()->without('diagonal-left', 'diagonal-right')->with('corner-left')->survey();
        self::assertTrue($survey->planIsChecked);
        self::assertEqualsWithDelta(1185.0, self::span($survey, new Path(0.0, 600.0, 0.0, 2400.0))->width, 1e-3);
    }

    public function test_without_a_diagonal_or_a_corner_a_skew_stays_unseen_and_the_survey_is_not_sure(): void
    {
        $survey = TestAlcove::skewed()->without('diagonal-left', 'diagonal-right')->survey();
        self::assertFalse($survey->isSure());
        self::assertSame(1, $survey->toGo());
        self::assertContains('plan-not-checked', $this->codes($survey));
        $span = self::span($survey, new Path(0.0, 600.0, 0.0, 2400.0));
        self::assertNotNull($span);
        // The doubt says so: 20 mm of possible skew at each wall dwarfs what tapes leave.
        self::assertGreaterThan(15.0, $span->doubt);
        self::assertLessThan(1185.5, $span->width - $span->doubt);
    }

    public function test_a_sheet_that_is_not_full_says_what_is_missing_and_draws_what_it_can(): void
    {
        $survey = TestAlcove::leaning()->without('width-high-back', 'plumb-left-low', 'fall-across')->survey();
        self::assertNotNull($survey->room);
        self::assertSame(['width-high-back', 'plumb-left-low', 'fall-across'], array_map(fn ($slot) => $slot->id, $survey->missing));
        self::assertFalse($survey->isSure());
        self::assertNull(TestAlcove::leaning()->without('height-left', 'height-right')->survey()->room);
    }

    public function test_a_two_tier_elevation_names_the_level_that_was_held_upside_down_among_those_that_tie(): void
    {
        // In the upper half the left wall leans in 3.5 and the right one 10.5: the widths narrow by 14. A level of 12 read
        // the wrong way round on a wall that leans 6 a half: −6 instead of 6, and both plumbs tie with each other.
        $alcove = new TestAlcove(fn (float $v, float $z) => 12.0 * $z / 2400.0, fn (float $v, float $z) => 1200.0 - 3.0 * $z / 2400.0);
        $survey = $alcove->reading('plumb-left-high', -6.0)->survey();
        $finding = $this->finding($survey, 'undecided');
        self::assertStringContainsString('“Plumb, left wall, upper half”', $finding->sentence);
        self::assertStringContainsString('the level’s sign the wrong way round', $finding->sentence);
        self::assertSame('plumb-left-high', $finding->place);
        self::assertContains('plumb-right-high', $finding->related);
        self::assertFalse($survey->isSure());
        // Held again the right way up: the two takes of the same wall decide.
        $again = $alcove->surveyOf([...$alcove->reading('plumb-left-high', -6.0)->takes(), new Take('again', 'plumb-left-high', Length::ofMillimetres(6), 'bottom')]);
        self::assertSame(['plumb-left-high'], $again->struck);
        self::assertFalse($again->disagrees());
    }

    public function test_readings_within_their_uncertainty_accuse_nobody(): void
    {
        $survey = TestAlcove::leaning()->reading('width-high-back', 1198.0)->reading('plumb-left-high', 3.0)->survey();
        self::assertSame([], $this->codes($survey));
    }

    public function test_a_diagonal_an_inch_long_is_asked_for_again_and_then_struck(): void
    {
        $alcove = TestAlcove::leaning();
        $wrong = $alcove->reading('diagonal-left', hypot(1210.0, 600.0) + 25.4);
        $finding = $this->finding($wrong->survey(), 'undecided');
        self::assertContains('diagonal-left', [$finding->place, ...$finding->related]);
        self::assertStringContainsString('one inch too long', $finding->sentence);
        $again = $alcove->surveyOf([...$wrong->takes(), new Take('again', 'diagonal-left', Length::ofDouble(hypot(1210.0, 600.0)))]);
        self::assertSame(['diagonal-left'], $again->struck);
        self::assertTrue($again->isSure());
    }

    public function test_diagonals_that_no_plan_can_have_are_left_out_and_named(): void
    {
        // A diagonal of 0.1 m across an alcove 1.2 m wide and 0.6 m deep.
        $survey = TestAlcove::leaning()->reading('diagonal-left', 100.0)->reading('diagonal-right', 29_000.0)->survey();
        self::assertNotNull($survey->room);
        self::assertTrue($survey->disagrees());
        self::assertFalse($survey->isSure());
        $impossible = TestAlcove::leaning()->without('diagonal-right')->reading('corner-left', 1.0)->with('corner-left')->reading('diagonal-left', 25_000.0)->survey();
        self::assertTrue($impossible->room === null || $impossible->disagrees());
    }

    public function test_two_takes_that_differ_ask_for_a_third(): void
    {
        // σ of one inside width of 1.2 m is √(2² + 0.36²) = 2.03; 2.8 σ = 5.7.
        $takes = TestAlcove::leaning()->takes();
        $second = fn (float $by) => [...$takes, new Take('again', 'width-low-back', Length::ofDouble(1203.0 + $by))];
        $codes = fn (float $by) => $this->codes(TestAlcove::leaning()->surveyOf($second($by)));
        self::assertContains('takes-differ', $codes(6.0));
        self::assertNotContains('takes-differ', $codes(5.0));
    }

    public function test_the_doubt_is_honest(): void
    {
        // Alcoves whose walls lean and bow as they like and twist as assumed (σ 3 mm), read with their tools' σ: the box
        // of the clear span less U goes into the true alcove in 95 % and a little more, since U covers every pair of places.
        mt_srand(20260314);
        $went = 0;
        $rounds = 200;
        for ($i = 0; $i < $rounds; $i++) {
            $wall = function (float $at): \Closure {
                [$lean, $bow, $twist, $skew] = [self::gauss(6.0), self::gauss(3.0), self::gauss(3.0), self::gauss(4.0)];

                return fn (float $v, float $z) => $at + $skew * ($v - 300.0) / 600.0
                    + ($lean + $twist * ($v - 300.0) / 560.0) * ($z - 1200.0) / 2400.0
                    + $bow * (1 - abs($z - 1200.0) / 1200.0);
            };
            [$left, $right] = [$wall(0.0), $wall(1200.0)];
            $alcove = new TestAlcove($left, $right);
            foreach ($alcove->survey()->readings as $id => $reading) {
                $alcove = $alcove->reading($id, $alcove->truth($reading->slot) + self::gauss($reading->sigma()));
            }
            $span = self::span($alcove->survey(), new Path(0.0, 600.0, 0.0, 2400.0));
            self::assertNotNull($span);
            $places = [[0.0, 0.0], [600.0, 0.0], [0.0, 1200.0], [600.0, 1200.0], [0.0, 2400.0], [600.0, 2400.0]];
            $true = min(array_map(fn (array $p) => $right(...$p), $places)) - max(array_map(fn (array $p) => $left(...$p), $places));
            $went += $true >= $span->width - $span->doubt ? 1 : 0;
        }
        self::assertGreaterThanOrEqual(0.93 * $rounds, $went);
    }

    private static function span(Survey $survey, Path $path): ClearSpan
    {
        self::assertNotNull($survey->room);

        return $survey->room->span($survey->room->frame(), $path);
    }

    /** @return list<string> codes of warnings */
    private function codes(Survey $survey): array
    {
        return array_values(array_map(fn (Finding $finding) => $finding->code->value, array_filter($survey->findings, fn (Finding $finding) => $finding->severity->value !== 'note')));
    }

    private function finding(Survey $survey, string $code): Finding
    {
        foreach ($survey->findings as $finding) {
            if ($finding->code->value === $code) {
                return $finding;
            }
        }
        self::fail("No finding “{$code}” but: ".implode(', ', $this->codes($survey)));
    }

    private static function gauss(float $sigma): float
    {
        return $sigma * sqrt(-2 * log((mt_rand() + 1) / (mt_getrandmax() + 2))) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
    }
}
