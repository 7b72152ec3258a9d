<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Incastro\Buy\BuyLine;
use Incastro\Exchange\PlanWriter;
use Incastro\Exchange\ShoppingList;
use Incastro\Measure\Unit;
use Incastro\Pieces\Piece;
use Incastro\Planning\JobChoices;
use Incastro\Planning\Plan;
use Incastro\Planning\Planner;
use Incastro\Planning\ToBuy;
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
        self::assertCount(count($plan->cut->sheets->sheets), $sheets['sheets']);
        self::assertSame($plan->cut->sheets->price, $sheets['price']);
    }

    public function test_the_shopping_list_adds_up_to_the_price(): void
    {
        $plan = $this->plan();
        $lines = (new ShoppingList($plan))->lines();
        self::assertSame($plan->cut->sheets->price, array_sum(array_column($lines, 'total')));
        self::assertSame(count($plan->cut->sheets->sheets), array_sum(array_column($lines, 'quantity')));
        self::assertContains('2440 × 1220 mm', array_column($lines, 'size'));
    }

    public function test_hardware_is_bought_in_packs_at_the_price_of_the_job(): void
    {
        $usual = JobChoices::defaults('Test', 'mm/1');
        $articles = array_map(fn (array $one) => match ($one['id']) {
            'shelf-pin' => ['pack' => 5, 'price' => 2.5] + $one,
            'pocket-screw-2' => ['price' => null] + $one,
            default => $one,
        }, $usual['articles']);
        // A larger pack of which nobody knows the price is none while there is one with a price.
        $articles[] = ['id' => 'gift', 'pack' => 1000, 'price' => null] + $articles[(int) array_search('shelf-pin', array_column($articles, 'id'), true)];
        $plan = (new Planner())->plan(TestAlcove::leaning()->job('mm/1', ['depth' => '400', 'adjustable_shelves' => 3], ['articles' => $articles]));
        $all = (new ToBuy($plan, ['hardware:shelf pin' => 7]))->lines();
        $lines = array_column(array_map(fn (BuyLine $line) => ['key' => $line->need->key, 'line' => $line], $all), 'line', 'key');
        // Three shelves on four pins each: 12, five more for those that are lost, 7 at hand: 10, in packs of five.
        $pins = $lines['hardware:shelf pin'];
        self::assertSame([12, 5, 10, '2 × pack of 5', 500], [$pins->need->use, $pins->need->spare, $pins->toBuy, $pins->cover->words(), $pins->cover->price]);
        self::assertNull($lines['hardware:pocket screw, 32 mm']->cover->price);
        // Banding, glue and finish have no price in the list either.
        $unpriced = array_filter($all, fn (BuyLine $line) => $line->price() === null);
        self::assertSame(count($unpriced), ToBuy::price($all)['unknown']);
        self::assertSame(array_sum(array_map(fn (BuyLine $line) => (int) $line->price(), $all)), ToBuy::price($all)['minor']);
    }

    public function test_a_trim_of_a_moulding_is_as_wide_as_it_is(): void
    {
        $usual = JobChoices::defaults('Test', 'mm/1');
        $plan = (new Planner())->plan(TestAlcove::leaning()->job('mm/1', ['depth' => '400', 'closings' => ['left' => 'trim']], ['uses' => ['trim' => 'cover-strip'] + $usual['uses']]));
        $trim = array_values(array_filter($plan->pieces(), fn (Piece $piece) => $piece->name === 'Trim'));
        self::assertSame([40.0, 9.0], [$trim[0]->width->result->toDouble(), $trim[0]->thickness->toDouble()]);
        self::assertSame([], $plan->cut->unplaced());
        self::assertSame('Rounded cover strip 9 × 40', $plan->cut->boards->boards[0]->stock->material->name);
    }

    public function test_a_face_frame_of_boards_is_bought_by_length(): void
    {
        $usual = JobChoices::defaults('Test', 'mm/1');
        $board = ['id' => 'poplar', 'kind' => 'board', 'name' => 'Poplar 18 × 90', 'width' => JobChoices::stored('90', Unit::Millimetre)] + $usual['materials'][1];
        $changes = ['materials' => [...$usual['materials'], $board], 'uses' => ['frame' => 'poplar'] + $usual['uses']];
        $long = ['id' => 'poplar-long', 'material' => 'poplar', 'name' => '2.4 m', 'length' => JobChoices::stored('2400', Unit::Millimetre), 'width' => null, 'price' => 11.0, 'quantity' => 2];
        $plan = (new Planner())->plan(TestAlcove::leaning()->job('mm/1', ['depth' => '400'], $changes + ['stock' => [...$usual['stock'], $long]]));
        $frame = array_filter($plan->pieces(), fn (Piece $piece) => $piece->material->id === 'poplar');
        self::assertCount(4, $frame);
        // The stiles are 2338 long and take a board each; both rails, 1109, go on one: 2221.2 of 2380. Of the two at hand that is
        // one too few, and what is missing stands in the list of what to buy.
        self::assertSame([2, 3], [count($plan->cut->boards->boards), count($plan->complete->boards->boards)]);
        self::assertTrue($plan->cut->isShort());
        $writer = new PlanWriter($plan);
        $bought = array_values(array_filter((new ShoppingList($plan))->lines(), fn (array $line) => $line['what'] === 'Poplar 18 × 90, 2.4 m'));
        self::assertSame([['what' => 'Poplar 18 × 90, 2.4 m', 'size' => '2400 × 90 mm', 'quantity' => 3, 'each' => 11.0, 'total' => 33.0]], $bought);
        self::assertSame('Poplar 18 × 90 · 2 boards', $writer->sheets()['boards'][0]['title']);
        self::assertStringEndsWith(' sheets, 2 boards', $writer->tape()['sheets']);
        self::assertSame(count($frame), array_sum(array_map(fn (array $one) => count($one['pieces']), $writer->all()['boards']['boards'])) + count($writer->all()['boards']['unplaced']));
        $none = (new Planner())->plan(TestAlcove::leaning()->job('mm/1', ['depth' => '400'], $changes));
        self::assertStringContainsString('cannot be cut: no board of its material is in stock. Give the job a board for it, or make it smaller.', implode(' ', array_map(fn ($finding) => $finding->sentence, $none->clashes())));
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
