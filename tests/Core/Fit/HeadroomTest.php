<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Incastro\Fit\Headroom;
use Incastro\Fit\Layout\TopForm;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Survey\Network\Normal;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Space\SpaceKind;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;
use Tests\Core\TestKind;
use Tests\Core\TestTerms;

/** How high furniture may be: under a flat ceiling by hand, under rakes and slopes by what must hold of any. */
final class HeadroomTest extends TestCase
{
    private static function flat(?float $inFront = 2500.0): Headroom
    {
        $room = (new TestAlcove(fn () => 0.0, fn () => 1200.0, inFront: $inFront))->survey()->room;

        return new Headroom(TestTerms::of($room), self::room($room)->frame(), 0.0, 400.0);
    }

    private static function room(?Room $room): Room
    {
        self::assertNotNull($room);

        return $room;
    }

    /** @return list<string> */
    private static function labels(Working $working): array
    {
        return array_map(fn ($step) => $step->label, $working->steps);
    }

    public function test_a_flat_ceiling_by_hand(): void
    {
        // 2400 less 70 for the plinth, 6 to lift it over that, and the doubt of the place on its way where the ceiling is known least.
        $frame = self::room((new TestAlcove(fn () => 0.0, fn () => 1200.0))->survey()->room)->frame();
        $sigmas = array_map(fn (array $at) => $frame->ceilingSigmaAt(...$at), [[0.0, 0.0], [1200.0, 0.0], [0.0, 600.0], [1200.0, 600.0]]);
        [$left, $right, $back] = self::flat()->heights(TopForm::Below, 0.0, 1200.0, 70.0, null);
        self::assertEqualsWithDelta(2400.0 - 70.0 - 6.0 - 1.645 * max($sigmas), $left->result->toDouble(), 0.001);
        self::assertSame(['lowest clear height over its way home', 'plinth, from the highest floor point', 'above, to lift it into its place', 'doubt of the height, 95 %'], self::labels($left));
        self::assertSame([$left, $left], [$right, $back]);
        // Without a plinth there is no such step.
        self::assertNotContains('plinth, from the highest floor point', self::labels(self::flat()->heights(TopForm::Below, 0.0, 1200.0, 0.0, null)[0]));
    }

    public function test_what_a_closing_above_asks_for_takes_the_place_of_the_lift(): void
    {
        $high = fn (?float $reserve) => self::flat()->heights(TopForm::Below, 0.0, 1200.0, 70.0, $reserve === null ? null : Length::ofDouble($reserve))[0];
        self::assertEqualsWithDelta(24.0, $high(null)->result->toDouble() - $high(30.0)->result->toDouble(), 1e-6);
        self::assertContains('kept free above for its closing', self::labels($high(30.0)));
        // 6 are kept free in any case.
        self::assertSame($high(null)->result->toDouble(), $high(4.0)->result->toDouble());
    }

    public function test_stood_up_under_the_ceiling_in_front_or_in_the_space_itself(): void
    {
        [$ceiling, $sigma, $where] = self::flat()->whereTilted();
        self::assertSame([2500.0, 'in front'], [$ceiling, $where]);
        // √((2500 − 6 − 1.645 σ)² − 382²)
        self::assertEqualsWithDelta(sqrt((2494.0 - 1.645 * $sigma) ** 2 - 382.0 ** 2), self::flat()->tilted(382.0)[1]->toDouble(), 0.001);
        self::assertSame('in the space', self::flat(null)->whereTilted()[2]);
        self::assertEqualsWithDelta(2400.0, self::flat(null)->whereTilted()[0], 0.01);
        // Deeper than it is high, nothing can be stood up.
        self::assertSame(0.0, self::flat()->tilted(3000.0)[1]->toDouble());
    }

    public function test_under_a_rake_each_side_is_as_high_as_its_own_place(): void
    {
        foreach ([5, 21, 30] as $seed) {
            $room = self::room((new TestKind(SpaceKind::UnderStair, $seed))->survey->room);
            $frame = $room->frame();
            $headroom = new Headroom(TestTerms::of($room), $frame, 0.0, 400.0);
            $length = $frame->length();
            self::assertTrue($headroom->isRaked(0.0, $length));
            self::assertFalse($headroom->isSloped(0.0, $length));
            $high = fn (TopForm $form) => array_map(fn (Working $height) => $height->result->toDouble(), $headroom->heights($form, 200.0, 900.0, 70.0, null));
            [$left, $right] = $high(TopForm::Sloped);
            // A plane: it falls or rises by its slope over the 700 between them, but for what the doubt differs.
            $slope = ($frame->ceilingAt(900.0, 0.0) - $frame->ceilingAt(200.0, 0.0)) / 700.0;
            self::assertEqualsWithDelta(700.0 * $slope, $right - $left, 2.0);
            foreach ([TopForm::Stepped, TopForm::Below] as $form) {
                self::assertSame([min($left, $right), min($left, $right)], array_slice($high($form), 0, 2));
            }
        }
    }

    public function test_under_a_roof_the_back_is_lower_than_the_face(): void
    {
        foreach ([5, 21, 30] as $seed) {
            $room = self::room((new TestKind(SpaceKind::RoofSlope, $seed))->survey->room);
            $headroom = new Headroom(TestTerms::of($room), $room->frame(), 0.0, 600.0);
            self::assertTrue($headroom->isSloped(0.0, $room->frame()->length()));
            self::assertFalse($headroom->isRaked(0.0, $room->frame()->length()));
            $high = fn (TopForm $form) => array_map(fn (Working $height) => $height->result->toDouble(), $headroom->heights($form, 100.0, 800.0, 0.0, null));
            [$sloped, $stepped, $below] = [$high(TopForm::Sloped), $high(TopForm::Stepped), $high(TopForm::Below)];
            // Up to its face; up to 320 behind it; no higher than right at the back.
            self::assertGreaterThan($stepped[0], $sloped[0]);
            self::assertGreaterThan($below[0], $stepped[0]);
            self::assertSame([$below[0], $below[0]], [$sloped[2], $stepped[2]]);
        }
    }

    public function test_where_a_height_comes_clear_is_exactly_where_it_goes(): void
    {
        $room = self::room((new TestKind(SpaceKind::RoofSlope, 21))->survey->room);
        $headroom = new Headroom(TestTerms::of($room), $room->frame(), 0.0, 600.0);
        $clear = function (float $v) use ($headroom): float {
            $lowest = INF;
            foreach ([100.0, 800.0] as $u) {
                [$height, $sigma] = $headroom->over($u, $v);
                $lowest = min($lowest, $height - 6.0 - Normal::ONE_SIDED_95 * $sigma);
            }

            return $lowest - 70.0;
        };
        foreach ([$clear(50.0), $clear(200.0), $clear(555.0)] as $i => $height) {
            self::assertEqualsWithDelta([50.0, 200.0, 555.0][$i], $headroom->clears(100.0, 800.0, $height, 70.0), 0.01);
        }
        // Low enough for the wall itself; and so high that it never comes clear before the face.
        self::assertSame(0.0, $headroom->clears(100.0, 800.0, $clear(0.0) - 1.0, 70.0));
        self::assertEqualsWithDelta(600.0, $headroom->clears(100.0, 800.0, $clear(600.0) + 50.0, 70.0), 0.001);
    }
}
