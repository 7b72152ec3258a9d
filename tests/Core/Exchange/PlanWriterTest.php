<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Incastro\Exchange\PlanWriter;
use Incastro\Exchange\ShoppingList;
use Incastro\Planning\Plan;
use Incastro\Planning\Planner;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;

final class PlanWriterTest extends TestCase
{
    use AddsUp;

    /** @param array<string, mixed> $layout */
    private function plan(string $measure = 'mm/1', array $layout = ['depth' => '400']): Plan
    {
        return (new Planner())->plan(TestAlcove::leaning()->job($measure, $layout));
    }

    public function test_every_working_that_is_written_can_be_added_up_again(): void
    {
        foreach (['mm/1', 'in/16'] as $measure) {
            $this->allAddUp((new PlanWriter($this->plan($measure, ['depth' => $measure === 'mm/1' ? '400' : '15 3/4'])))->all());
        }
        self::assertGreaterThan(80, $this->added);
    }

    public function test_lengths_are_written_in_the_jobs_fraction(): void
    {
        $box = (new PlanWriter($this->plan('in/16', ['depth' => '15 3/4'])))->all()['spaces'][0]['runs'][0]['boxes'][0];
        self::assertSame('46 5/8 in', $box['width']['text']);
        self::assertSame('91 3/8 in', $box['height']['text']);
        self::assertSame('15 3/4 in', $box['depth']['text']);
    }

    public function test_the_tape_carries_one_fact_for_each_station(): void
    {
        self::assertSame(
            ['measure' => '21 readings, all agree', 'fit' => '3 edges to scribe', 'pieces' => '21 pieces', 'sheets' => '4 sheets'],
            (new PlanWriter($this->plan()))->tape(),
        );
        self::assertSame('1 clash', (new PlanWriter($this->plan(layout: ['depth' => '400', 'width' => '1200'])))->tape()['fit']);
    }

    public function test_stations_say_what_a_screen_shows(): void
    {
        $plan = $this->plan();
        $writer = new PlanWriter($plan);
        $measure = $writer->measure($plan->spaces[0]);
        self::assertTrue($measure['sure']);
        self::assertContains('The left wall leans in 7 mm from floor to ceiling.', $measure['sentences']);
        self::assertContains('The right wall bows out 11 mm half way up.', $measure['sentences']);
        self::assertContains('The floor is level.', $measure['sentences']);
        $fit = $writer->fit($plan->spaces[0]);
        self::assertSame(['left:box', 'right:box', 'top:box', 'foot:box/plinth'], array_column($fit['runs'][0]['edges'], 'edge'));
        self::assertSame('365 mm', $fit['decisions']['Clear between shelves, B1']['text']);
        self::assertSame([], $fit['runs'][0]['edges'][3]['choices']);
        $sheets = $writer->sheets();
        self::assertCount(count($plan->sheets->sheets), $sheets['sheets']);
        self::assertSame($plan->sheets->price, $sheets['price']);
    }

    public function test_the_shopping_list_adds_up_to_the_price(): void
    {
        $plan = $this->plan();
        $lines = (new ShoppingList($plan))->lines();
        self::assertSame($plan->sheets->price, array_sum(array_column($lines, 'total')));
        self::assertSame(count($plan->sheets->sheets), array_sum(array_column($lines, 'quantity')));
        self::assertContains('2440 × 1220 mm', array_column($lines, 'size'));
    }

    public function test_a_plan_of_an_unmeasured_space_is_written_too(): void
    {
        $plan = (new Planner())->plan(TestAlcove::leaning()->without(...array_map(fn ($take) => $take->slot, TestAlcove::leaning()->takes()))->job());
        $writer = new PlanWriter($plan);
        self::assertSame(['measure' => '19 readings to go', 'fit' => 'waits for readings', 'pieces' => 'none yet', 'sheets' => 'none yet'], $writer->tape());
        self::assertSame([], $writer->fit($plan->spaces[0])['runs']);
        self::assertFalse($writer->fit($plan->spaces[0])['ready']);
        self::assertNotSame([], $writer->measure($plan->spaces[0])['drawings']['plan']['layers'] ?? []);
        self::assertSame([], $writer->sheets()['sheets']);
    }
}
