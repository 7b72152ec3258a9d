<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Planning\Job;
use Incastro\Planning\Plan;
use Incastro\Planning\Planner;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;

/**
 * Alcoves planned by hand. Each is 2400 high and 600 deep with a level floor; the box is 400 deep with 5 shelves, boards
 * are 18 thick, the back 6, the plinth 70 high. U of the width is 1.645 σ of the clear span, from the adjustment of the
 * readings (tested in AlcoveSurveyTest against simulated alcoves). The height is read half way in, so its doubt at the back
 * wall adds to the tape's, √(1² + 0.72²) = 1.232, that of the floor across, 0.583, half that of its fall in depth, 0.292, and
 * that of a ceiling nobody measured in depth, 3 mm a metre over 300: 0.9. U = 1.645 · √(1.518 + 0.340 + 0.085 + 0.81) = 2.73.
 */
final class WorkedExamplesTest extends TestCase
{
    private const HEIGHT = 2321.0; // 2400 − 70 plinth − 6 above − 2.73 doubt = 2321.27, down

    public function test_a_leaning_left_wall_and_a_bowed_right_one(): void
    {
        // Widths 1203 at the floor, 1210 half way, 1196 at the top; left leans in 7 over 2400, right bows out 10.5.
        // On its way the box reaches 70 + 2321 + 6 = 2397 up: there the left wall stands in 7 · 2397/2400 = 6.991.
        // The right wall is nearest at the floor: 1203. Clear span 1203 − 6.991 = 1196.009.
        // U = 4.173. Width 1196.009 − 3 − 3 − 4.173 = 1185.836, down to 1185.
        $plan = $this->plan(TestAlcove::leaning()->job(layout: ['depth' => '400']));
        $run = $plan->spaces[0]->layout?->runs[0];
        self::assertNotNull($run);
        self::assertEqualsWithDelta(1196.009, $run->span->width, 0.001);
        self::assertEqualsWithDelta(4.173, $run->span->doubt, 0.001);
        $this->assertPieces($plan, $this->boxOf(1185.0) + [
            // The left gap is largest at the foot: (1196.009 − 1185)/2 + 7 · (2397 − 70)/2400 = 5.504 + 6.787 = 12.291.
            // Stile 38 + 12.291 + 5 + 1.645 · 0.65 = 38 + 18.36, overhang up to 19: 57.
            'B1-stile-L' => [2338.0, 57.0],
            // The right gap is largest half way up: 5.504 + 10.5 = 16.004; 16.004 + 5 + 1.07 = 22.07, up to 23: 61.
            'B1-stile-R' => [2338.0, 61.0],
        ]);
    }

    public function test_b_both_walls_lean_right_and_every_width_is_1203(): void
    {
        // Every width is 1203, but a straight box meets the left wall at its top (6.991) and the right one at the floor
        // (1203): clear span 1196.009, not 1203. U = 3.740. Width 1196.009 − 6 − 3.740 = 1186.269, down to 1186.
        $plan = $this->plan(TestAlcove::parallel()->job(layout: ['depth' => '400']));
        $run = $plan->spaces[0]->layout?->runs[0];
        self::assertNotNull($run);
        self::assertEqualsWithDelta(1196.009, $run->span->width, 0.001);
        self::assertEqualsWithDelta(3.740, $run->span->doubt, 0.001);
        self::assertEqualsWithDelta(2397.0, $run->span->leftHeight, 0.001);
        self::assertEqualsWithDelta(0.0, $run->span->rightHeight, 0.001);
        $this->assertPieces($plan, $this->boxOf(1186.0) + [
            // Left, largest at the foot: (1196.009 − 1186)/2 + 6.787 = 11.791; 11.791 + 5 + 1.07 = 17.86, up to 18: 56.
            // Right, largest at the top of the box, 2391 up: 5.004 + 7 · 2391/2400 = 11.978; + 6.07 = 18.05, up to 19: 57.
            'B1-stile-L' => [2338.0, 56.0],
            'B1-stile-R' => [2338.0, 57.0],
        ]);
    }

    public function test_c_a_skewed_plan(): void
    {
        // Plumb walls 1200 apart that run 15 to the right over 600 of depth: a box that slides straight back is stopped
        // left at the mouth (15) and right at the back (1200): 1185. U = 4.202. 1185 − 6 − 4.202 = 1174.798, down to 1174.
        $plan = $this->plan(TestAlcove::skewed()->job(layout: ['depth' => '400']));
        $run = $plan->spaces[0]->layout?->runs[0];
        self::assertNotNull($run);
        self::assertEqualsWithDelta(1185.0, $run->span->width, 0.001);
        self::assertEqualsWithDelta(4.202, $run->span->doubt, 0.001);
        $this->assertPieces($plan, $this->boxOf(1174.0) + [
            // At the face, 400 in, the left wall is 10 along: gap 15 + 5.5 − 10 = 10.5; + 5 + 1.07 = 16.57, up to 17: 55.
            'B1-stile-L' => [2338.0, 55.0],
            // The right wall is 10 along there: gap 10 + 5.5 = 15.5; + 5 + 1.07 = 21.57, up to 22: 60.
            'B1-stile-R' => [2338.0, 60.0],
        ]);
    }

    public function test_a_again_in_sixteenths(): void
    {
        // Allowances 1/8 = 3.175 each; plinth 2 3/4 = 69.85; top 1/4 = 6.35; boards 23/32 = 18.256, frame 3/4 = 19.05,
        // back 7/32 = 5.556; the box is 15 3/4 = 400.05 deep.
        // Height 2400 − 69.85 − 6.35 − 2.73 = 2321.07, down to 91 3/8 = 2320.925.
        // Width 1196.008 − 6.35 − 4.175 = 1185.483, down to 46 5/8 = 1184.275.
        $plan = $this->plan(TestAlcove::leaning()->job('in/16', ['depth' => '15 3/4']));
        $this->assertPieces($plan, [
            // Depth 400.05 − 19.05 − 5.556 = 375.444, down to 14 3/4 = 374.65.
            'B1-side-L' => [2320.925, 374.65],
            // 1184.275 − 2 · 18.256 = 1147.763 = 45 3/16 exactly.
            'B1-bottom' => [1147.7625, 374.65],
            // less 1/8
            'B1-shelf-1' => [1144.5875, 374.65],
            'B1-shelf-3' => [1147.7625, 374.65],
            // both less 1/16: 91 5/16 × 46 9/16
            'B1-back' => [2319.3375, 1182.6875],
            'B1-nailer-top' => [1147.7625, 88.9],
            // Gap at the top 2400 − 69.85 − 2320.925 = 9.225; + 4.7625 + 2.33 = 16.32, up to 11/16 = 17.4625.
            // Left gap 12.655 + 4.7625 + 1.07 = 18.49, up to 3/4 = 19.05; stile 1 1/2 = 38.1 + 19.05 = 57.15.
            'B1-stile-L' => [2338.3875, 57.15],
            // Right gap 16.367 + 4.7625 + 1.07 = 22.20, up to 7/8 = 22.225; 38.1 + 22.225 = 60.325.
            'B1-stile-R' => [2338.3875, 60.325],
            // 1184.275 − 2 · 38.1 = 1108.075
            'B1-rail-bottom' => [1108.075, 44.45],
            'P1-rail-front' => [1184.275, 69.85],
            // Depth 400.05 − 63.5 toes − 2 · 18.256 = 300.0375 = 11 13/16.
            'P1-bearer-1' => [300.0375, 69.85],
        ]);
    }

    public function test_butted_parts_meet_when_boards_are_thinner_than_their_name(): void
    {
        // Boards of 17.6: between the sides 1185 − 35.2 = 1149.8, down to 1149; all parts between the sides alike.
        $materials = \Incastro\Planning\JobChoices::defaults('', 'mm/1')['materials'];
        $materials[0]['thickness'] = ['nm' => 17_600_000, 'typed' => '17.6'];
        $plan = $this->plan(TestAlcove::leaning()->job(layout: ['depth' => '400'], changes: ['materials' => $materials]));
        $lengths = [];
        foreach ($plan->pieces() as $piece) {
            if (in_array($piece->name, ['Bottom', 'Top', 'Fixed shelf', 'Nailer'], true)) {
                $lengths[] = $piece->length->result->toDouble();
            }
        }
        self::assertSame([1149.0], array_values(array_unique($lengths)));
    }

    public function test_every_piece_carries_a_working_that_comes_to_its_size(): void
    {
        foreach ($this->plan(TestAlcove::skewed()->job())->pieces() as $piece) {
            foreach ([$piece->length, $piece->width] as $working) {
                $last = $working->steps[count($working->steps) - 1];
                self::assertTrue(count($working->steps) === 1 || $last->sign !== '→' || $last->value->isEqualTo($working->result), $piece->mark);
                self::assertTrue($working->result->isPositive(), $piece->mark);
            }
        }
    }

    private function plan(Job $job): Plan
    {
        return (new Planner())->plan($job);
    }

    /**
     * The pieces of a box so wide, 2321 high and 400 deep.
     *
     * @return array<string, array{float, float}>
     */
    private function boxOf(float $width): array
    {
        $depth = 376.0; // 400 − 18 face frame − 6 back
        $between = $width - 36.0; // less two sides of 18

        return [
            'B1-side-L' => [self::HEIGHT, $depth],
            'B1-side-R' => [self::HEIGHT, $depth],
            'B1-bottom' => [$between, $depth],
            'B1-top' => [$between, $depth],
            'B1-shelf-1' => [$between - 3.0, $depth], // adjustable: 3 of play
            'B1-shelf-2' => [$between - 3.0, $depth],
            'B1-shelf-3' => [$between, $depth], // the middle one is fixed
            'B1-shelf-4' => [$between - 3.0, $depth],
            'B1-shelf-5' => [$between - 3.0, $depth],
            'B1-back' => [self::HEIGHT - 2.0, $width - 2.0],
            'B1-nailer-top' => [$between, 90.0],
            'B1-nailer-bottom' => [$between, 90.0],
            'B1-rail-bottom' => [$width - 76.0, 45.0], // less two stiles of 38
            // The gap above is 2400 − 70 − 2321 = 9: overhang 9 + 5 + 2.33 = 16.33, up to 17; rail 45 + 17.
            'B1-rail-top' => [$width - 76.0, 62.0],
            'P1-rail-front' => [$width, 70.0],
            'P1-rail-back' => [$width, 70.0],
            'P1-bearer-1' => [299.0, 70.0], // 400 − 65 toes − 2 · 18 rails
            'P1-bearer-2' => [299.0, 70.0], // 1185 − 18 = 1167 is two steps of at most 600: three bearers
            'P1-bearer-3' => [299.0, 70.0],
        ];
    }

    /** @param array<string, array{float, float}> $expected */
    private function assertPieces(Plan $plan, array $expected): void
    {
        $actual = [];
        foreach ($plan->pieces() as $piece) {
            $actual[$piece->mark] = [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
        }
        foreach ($expected as $mark => $size) {
            self::assertSame($size, $actual[$mark] ?? null, $mark);
        }
        if (count($expected) > 15) {
            self::assertSame([], array_diff_key($actual, $expected), 'Pieces that nobody reckoned with.');
        }
    }
}
