<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Eris\Generators;
use Eris\TestTrait;
use Incastro\Exchange\PlanWriter;
use Incastro\Fit\Closing\Side;
use Incastro\Planning\Planner;
use PHPUnit\Framework\TestCase;
use Tests\Core\KeptMemory;
use Tests\Core\TestAlcove;

/** Laws that every plan keeps, whatever the alcove. */
final class PlannerTest extends TestCase
{
    use TestTrait;

    public function test_the_box_of_exact_readings_always_goes_in_along_its_whole_way(): void
    {
        $tenths = fn (int $most) => Generators::choose(-$most, $most);
        $this->limitTo(40)->forAll($tenths(120), $tenths(120), $tenths(60), $tenths(60), $tenths(100), Generators::choose(400, 1800))
            ->then(function (int $leanLeft, int $leanRight, int $bowLeft, int $bowRight, int $skew, int $width): void {
                $wall = fn (float $at, int $lean, int $bow) => fn (float $v, float $z) => $at
                    + $lean / 10 * $z / 2400.0 + $bow / 10 * (1 - abs($z - 1200.0) / 1200.0) + $skew / 10 * $v / 600.0;
                $left = $wall(0.0, $leanLeft, $bowLeft);
                $right = $wall((float) $width, $leanRight, $bowRight);
                $run = (new Planner())->plan((new TestAlcove($left, $right))->job(layout: ['depth' => '400']))->spaces[0]->layout?->runs[0];
                self::assertNotNull($run);
                // The frame of the run begins at the left wall half way up at the back.
                $origin = $left(0.0, 1200.0);
                foreach ([0.0, 600.0] as $v) {
                    foreach ([0.0, 1200.0, 2397.0] as $z) {
                        self::assertGreaterThan(2.9, $origin + $run->boxes[0]->u - $left($v, $z));
                        self::assertGreaterThan(2.9, $right($v, $z) - $origin - $run->boxes[0]->u - $run->boxes[0]->outerWidth()->toDouble());
                    }
                }
                foreach ($run->edges as $edge) {
                    if ($edge->scribe !== null) {
                        self::assertGreaterThanOrEqual(5.0 - 1e-6, $edge->scribe->shallowest()->toDouble());
                        self::assertTrue($edge->scribe->setting()->isEqualTo($edge->scribe->blank()->minus(\Incastro\Measure\Length::ofDouble($edge->gap->least))));
                    }
                }
            });
    }

    public function test_no_readings_however_wrong_stop_it(): void
    {
        $slots = array_map(fn ($take) => $take->slot, TestAlcove::leaning()->takes());
        $this->limitTo(120)->forAll(Generators::vector(count($slots), Generators::frequency([4, Generators::constant(null)], [1, Generators::choose(0, 30_000)], [1, Generators::choose(0, 60)])))
            ->then(function (array $values) use ($slots): void {
                $alcove = TestAlcove::leaning();
                foreach ($values as $i => $value) {
                    $alcove = $value === null ? $alcove : $alcove->reading($slots[$i], (float) $value);
                }
                $plan = (new Planner())->plan($alcove->job());
                self::assertNotSame('', $plan->spaces[0]->verdict->sentence);
                // What is written for a screen must be numbers, whatever was read.
                json_encode((new PlanWriter($plan))->all() + (new PlanWriter($plan))->measure($plan->spaces[0]) + (new PlanWriter($plan))->fit($plan->spaces[0]), JSON_THROW_ON_ERROR);
            });
    }

    public function test_the_same_job_is_planned_the_same_again(): void
    {
        $job = TestAlcove::leaning()->job();
        self::assertEquals((new Planner())->plan($job), (new Planner())->plan($job));
    }

    public function test_a_mirrored_alcove_is_planned_mirrored(): void
    {
        $left = fn (float $v, float $z) => 7.0 * $z / 2400.0 + 5.0 * $v / 600.0;
        $right = fn (float $v, float $z) => 1200.0 - 3.0 * $z / 2400.0;
        $run = (new Planner())->plan((new TestAlcove($left, $right))->job(layout: ['depth' => '400']))->spaces[0]->layout?->runs[0];
        $mirrored = (new Planner())->plan((new TestAlcove(fn (float $v, float $z) => 1200.0 - $right($v, $z), fn (float $v, float $z) => 1200.0 - $left($v, $z)))->job(layout: ['depth' => '400']))->spaces[0]->layout?->runs[0];
        self::assertNotNull($run);
        self::assertNotNull($mirrored);
        self::assertSame($run->boxes[0]->outerWidth()->toDouble(), $mirrored->boxes[0]->outerWidth()->toDouble());
        self::assertEqualsWithDelta($run->edge(Side::Left, 'box')->gap->most, $mirrored->edge(Side::Right, 'box')->gap->most, 1e-3);
        self::assertEqualsWithDelta($run->edge(Side::Right, 'box')->gap->least, $mirrored->edge(Side::Left, 'box')->gap->least, 1e-3);
    }

    public function test_a_narrower_reading_never_makes_a_wider_box(): void
    {
        $width = function (float $by): float {
            $alcove = TestAlcove::leaning();
            foreach (['low', 'middle', 'high'] as $row) {
                foreach (['back', 'front'] as $column) {
                    $alcove = $alcove->reading("width-$row-$column", ['low' => 1203.0, 'middle' => 1210.0, 'high' => 1196.0][$row] - $by);
                }
            }

            return (new Planner())->plan($alcove->job(layout: ['depth' => '400']))->spaces[0]->layout?->runs[0]->boxes[0]->outerWidth()->toDouble() ?? 0.0;
        };
        // Six widths 6 less against two diagonals that are as sure as they: most of it is believed, not all.
        self::assertSame(1185.0, $width(0.0));
        self::assertSame(1183.0, $width(3.0));
        self::assertSame(1181.0, $width(6.0));
    }

    public function test_only_the_sheet_plan_is_remembered_and_only_for_the_same_pieces(): void
    {
        $memory = new KeptMemory();
        $planner = new Planner($memory);
        // A draft is made anew each time, until somebody looked at the sheets: then that plan is everybody's.
        $leaning = TestAlcove::leaning()->job();
        $planner->plan($leaning);
        self::assertSame(0, $memory->computed);
        $thorough = $planner->plan($leaning, isThorough: true);
        self::assertEquals($thorough->cut, $planner->plan($leaning)->cut);
        self::assertSame(1, $memory->computed);
        $planner->plan(TestAlcove::skewed()->job(), isThorough: true);
        self::assertSame(2, $memory->computed);
        self::assertStringStartsWith('cut ', array_key_first($memory->kept) ?? '');
    }
}
