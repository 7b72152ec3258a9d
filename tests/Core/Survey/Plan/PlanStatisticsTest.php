<?php

declare(strict_types=1);

namespace Tests\Core\Survey\Plan;

use Incastro\Survey\Plan\PlanReading;
use Incastro\Trial\Dice;
use PHPUnit\Framework\TestCase;

/** What the accusations are worth, over many made-up plans read with the tape's own σ. Seeded, so the shares are fixed. */
final class PlanStatisticsTest extends TestCase
{
    private const PLANS = 300;

    private function plan(Dice $dice, int $least = 5): TestPlan
    {
        return TestPlan::random($dice->whole($least, 8), $dice)->sides()->diagonals(4)->noisy($dice);
    }

    public function test_a_slip_of_20_mm_or_more_is_named_first(): void
    {
        $dice = new Dice(4);
        $named = 0;
        for ($i = 0; $i < self::PLANS; $i++) {
            $plan = $this->plan($dice);
            $wrong = $dice->whole(0, count($plan->readings) - 1);
            $plan->slip($wrong, $dice->pick([-1, 1]) * $dice->between(20.0, 60.0));
            $named += (TestPlan::suspects($plan->solve())[0] ?? null) === $plan->readings[$wrong]->id ? 1 : 0;
        }
        self::assertGreaterThanOrEqual(0.95 * self::PLANS, $named);
    }

    public function test_sound_readings_are_hardly_ever_accused(): void
    {
        $dice = new Dice(5);
        $accused = 0;
        for ($i = 0; $i < self::PLANS; $i++) {
            $solution = $this->plan($dice)->solve();
            $accused += TestPlan::suspects($solution) !== [] || $solution->scrutinised?->undecided !== [] ? 1 : 0;
        }
        self::assertLessThanOrEqual(0.07 * self::PLANS, $accused);
    }

    public function test_two_slips_at_once_are_both_named(): void
    {
        $dice = new Dice(6);
        $named = 0;
        for ($i = 0; $i < self::PLANS; $i++) {
            [$plan, $wrong] = $this->twoSlips($this->plan($dice, 6), $dice);
            $named += array_diff($wrong, TestPlan::suspects($plan->solve())) === [] ? 1 : 0;
        }
        self::assertGreaterThanOrEqual(0.93 * self::PLANS, $named);
    }

    public function test_a_pentagon_with_two_slips_asks_for_more_or_leaves_it_undecided(): void
    {
        $dice = new Dice(7);
        for ($i = 0; $i < 60; $i++) {
            [$plan, $wrong] = $this->twoSlips(TestPlan::random(5, $dice)->sides()->diagonals()->noisy($dice), $dice);
            $solution = $plan->solve();
            // Now and then two slips look just like one: then it is said that more readings are needed to be sure.
            $asks = ($solution->scrutinised->undecided ?? []) !== [] || str_contains(implode(' ', $solution->findings), 'More readings are needed');
            self::assertTrue($asks || array_diff($wrong, TestPlan::suspects($solution)) === [], "plan $i");
        }
    }

    public function test_a_homeowners_quadrilateral_leaves_the_slip_in_its_set_and_repeats_find_it(): void
    {
        $dice = new Dice(8);
        $inside = $found = $repeats = 0;
        for ($i = 0; $i < self::PLANS; $i++) {
            [$width, $depth] = [$dice->between(800.0, 3000.0), $dice->between(600.0, 2500.0)];
            $off = fn (float $at) => $at + $dice->between(-25.0, 25.0);
            $plan = (new TestPlan([[0.0, 0.0], [$width, $off(0.0)], [$off($width), $off($depth)], [$off(0.0), $off($depth)]]))->sides()->diagonals()->noisy($dice);
            $wrong = $dice->whole(0, 5);
            // A slip as people make them: an inch, 10 mm thrice, a foot, or anything else.
            $plan->slip($wrong, $dice->pick([-1, 1]) * $dice->pick([25.4, 25.4, 30.0, 50.8, 100.0, $dice->between(25.0, 60.0)]));
            $id = $plan->readings[$wrong]->id;
            $solution = $plan->solve();
            $undecided = $solution->scrutinised->undecided[0] ?? null;
            $inside += in_array($id, $undecided->ids ?? [], true) || TestPlan::suspects($solution) === [$id] ? 1 : 0;
            for ($repeat = 0; $repeat < 7 && $undecided !== null; $repeat++) {
                $asked = array_values(array_filter($plan->readings, fn (PlanReading $reading) => $reading->id === $undecided->takeAgain))[0];
                $plan->read($asked->from, $asked->to, $dice->normal($asked->sigma()));
                // Two takes that differ: a third settles which, and is not counted.
                if (abs(end($plan->readings)->value - $asked->value) > 2.8 * $asked->sigma()) {
                    $plan->read($asked->from, $asked->to, $dice->normal($asked->sigma()));
                }
                $repeats++;
                $solution = $plan->solve();
                $undecided = $solution->scrutinised->undecided[0] ?? null;
            }
            $found += TestPlan::suspects($solution) === [$id] ? 1 : 0;
        }
        self::assertGreaterThanOrEqual(0.95 * self::PLANS, $inside);
        self::assertGreaterThanOrEqual(0.95 * self::PLANS, $found);
        self::assertLessThanOrEqual(3.0 * self::PLANS, $repeats);
    }

    /** @return array{TestPlan, list<string>} the plan, and the ids of the two wrong readings */
    private function twoSlips(TestPlan $plan, Dice $dice): array
    {
        $wrong = [];
        while (count($wrong) < 2) {
            $wrong[$dice->whole(0, count($plan->readings) - 1)] = true;
        }
        foreach (array_keys($wrong) as $reading) {
            $plan->slip($reading, $dice->pick([-1, 1]) * $dice->between(20.0, 60.0));
        }

        return [$plan, array_map(fn (int $reading) => $plan->readings[$reading]->id, array_keys($wrong))];
    }
}
