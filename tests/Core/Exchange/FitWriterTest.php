<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Incastro\Exchange\FitWriter;
use Incastro\Exchange\LengthWriter;
use Incastro\Exchange\ScribeWriter;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\Recipes\StartingLayouts;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\HouseRules;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;
use Tests\Core\TestLayout;

/** What the Fit station is told: every number with its working, every edge with its stations, every way in with its steps. */
final class FitWriterTest extends TestCase
{
    use AddsUp;

    /** @return array<string, mixed> */
    private static function station(SpacePlan $plan, ?LengthFormat $format = null): array
    {
        return (new FitWriter($plan, $format ?? LengthFormat::millimetres(), new HouseRules(($format ?? LengthFormat::millimetres())->unit)))->station();
    }

    #[DataProviderExternal(TestKind::class, 'all')]
    public function test_every_working_adds_up_in_every_kind_of_space(SpaceKind $kind): void
    {
        $space = new TestKind($kind, 17);
        foreach (array_keys(StartingLayouts::names($kind)) as $name) {
            $plan = $space->plan((new StartingLayouts(SpaceShape::of($kind), "starting-$name", LengthFormat::millimetres('1')))->named($name) ?? []);
            $this->allAddUp(self::station($plan), $name);
            foreach ($plan->pieces() as $piece) {
                $lengths = new LengthWriter(LengthFormat::millimetres());
                $this->addsUp($lengths->working($piece->length), "$name: length of $piece->mark");
                $this->addsUp($lengths->working($piece->width), "$name: width of $piece->mark");
            }
        }
        self::assertGreaterThan(50, $this->added);
    }

    #[DataProviderExternal(TestKind::class, 'all')]
    public function test_every_station_of_a_scribe_line_is_its_gap_cut_from_the_blank(SpaceKind $kind): void
    {
        $name = (string) array_key_first(StartingLayouts::names($kind));
        $plan = (new TestKind($kind, 9))->plan((new StartingLayouts(SpaceShape::of($kind), 'starting', LengthFormat::millimetres('1')))->named($name) ?? []);
        $scribed = 0;
        $edges = [];
        foreach (self::station($plan)['runs'] as $run) {
            $edges += array_column($run['edges'], null, 'edge');
        }
        foreach ($plan->layout?->edges() ?? [] as $fitted) {
            $edge = $edges[$fitted->key()];
            self::assertLessThanOrEqual($edge['most']['nm'], $edge['least']['nm'], $edge['label']);
            $line = (new ScribeWriter(LengthFormat::millimetres()))->write($fitted);
            self::assertSame($edge['scribed'], $line !== null);
            if ($line === null) {
                continue;
            }
            foreach ($line['stations'] as $i => $station) {
                // gap + what is cut away there = what the blank hangs over.
                self::assertEqualsWithDelta($line['overhang']['nm'], $station['gap']['nm'] + $station['cut']['nm'], 2000, $edge['label']);
                self::assertGreaterThanOrEqual($edge['least']['nm'] - 1000, $station['gap']['nm']);
                self::assertLessThanOrEqual($edge['most']['nm'] + 1000, $station['gap']['nm']);
                self::assertTrue($i === 0 || $station['at']['nm'] > $line['stations'][$i - 1]['at']['nm'], 'Stations follow one another.');
                $scribed++;
            }
            // The compass is set to the deepest cut; the shallowest leaves at least the reserve of 5.
            self::assertSame($line['setting']['nm'], $line['deepest']['nm']);
            self::assertGreaterThanOrEqual(5_000_000 - 1000, $line['shallowest']['nm']);
        }
        self::assertGreaterThan(4, $scribed);
    }

    public function test_a_layout_is_told_cell_by_cell(): void
    {
        $layout = TestLayout::of([
            TestLayout::bay('a', ['size' => TestLayout::mm(500)], [Doc::tier('low', ['size' => TestLayout::mm(700)]), Doc::tier('high', ['joined' => false])]),
            TestLayout::bay('b', [], [Doc::tier('k', ['holds' => Recipe::knees(), 'size' => TestLayout::mm(700)]), Doc::tier('o', ['holds' => Recipe::gap(), 'joined' => false])]),
        ], ['depth' => TestLayout::mm(500)]);
        $run = self::station($layout->with(['members' => [...$layout->layout['members'], Doc::member('top', 'worktop', ['low', 'k'])]])->plan())['runs'][0];
        self::assertSame(['low' => 'B1', 'high' => 'B2', 'k' => null, 'o' => null], array_column($run['cells'], 'mark', 'id'));
        self::assertSame(['shelves', 'shelves', 'knee-space', 'gap'], array_map(fn (array $cell) => $cell['holds']['kind'], $run['cells']));
        $asUsual = ['value' => null, 'text' => '', 'usual' => true];
        // Nothing was chosen of the worktop; of the shelves both counts were, and one is as usual otherwise.
        self::assertSame(['overhang' => ['value' => 20_000_000, 'text' => '20 mm', 'usual' => true], 'cleats' => ['value' => true, 'text' => 'yes', 'usual' => true], 'made' => $asUsual], array_diff_key(array_column($run['members'], null, 'id')['top']['holds']['with'], ['sides' => 1, 'between' => 1, 'legs' => 1, 'strip' => 1, 'hole' => 1, 'ends' => 1, 'split' => 1]));
        self::assertSame(['fixed' => ['value' => 0, 'text' => '0', 'usual' => true], 'adjustable' => ['value' => 0, 'text' => '0', 'usual' => false], 'made' => $asUsual], array_slice($run['cells'][0]['holds']['with'], 0, 3));
        self::assertSame(['Shelves', 'Knee space'], [$run['cells'][0]['holds']['label'], $run['cells'][2]['holds']['label']]);
        self::assertSame([['id' => 'top', 'mark' => 'W1']], array_map(fn (array $top) => ['id' => $top['id'], 'mark' => $top['mark']], $run['worktops']));
        self::assertSame('500 mm', $run['bays'][0]['width']['text']);
        self::assertSame('back wall', $run['name']);
        self::assertSame([], $run['open_sides']);
        // Only boxes have closings to choose; a worktop is cut to its walls in any case.
        $edges = array_column($run['edges'], null, 'edge');
        self::assertTrue($edges['left:low']['chosen']);
        self::assertFalse($edges['left:top']['chosen']);
        self::assertContains('filler', array_column($edges['left:low']['choices'], 'value'));
    }

    public function test_it_is_told_in_the_jobs_own_measure(): void
    {
        $plan = TestLayout::of([TestLayout::bay('a', ['size' => TestLayout::mm(25.4 * 31.625)])])->plan();
        $run = self::station($plan, LengthFormat::inches())['runs'][0];
        self::assertSame('31 5/8 in', $run['boxes'][0]['width']['text']);
        self::assertSame((int) round(25.4 * 31.625 * 1e6), $run['boxes'][0]['width']['nm']);
        self::assertStringEndsWith(' in', $run['edges'][0]['gap']);
    }

    public function test_what_does_not_go_in_says_at_which_step_and_by_how_much(): void
    {
        $door = ['id' => 'door', 'kind' => 'door', 'name' => 'Attic door', 'width' => TestLayout::mm(400), 'height' => TestLayout::mm(1900), 'second_width' => null];
        $layout = TestLayout::of([TestLayout::bay('a')], ['depth' => TestLayout::mm(450)]);
        $goes = self::station($layout->plan())['carried'][0];
        self::assertTrue($goes['goes']);
        $stuck = self::station($layout->changing(['ways_in' => [$door]])->plan())['carried'][0];
        self::assertFalse($stuck['goes']);
        $failing = array_values(array_filter($stuck['steps'], fn (array $step) => ! $step['goes']));
        self::assertCount(1, $failing);
        self::assertStringContainsString('Attic door', $failing[0]['words']);
        // 450 less the face frame of 18, and 20 for hands, into 400: −52 mm.
        self::assertSame(-(450 - 18 + 20 - 400), intdiv($failing[0]['spare']['nm'], 1_000_000));
    }

    public function test_an_unmeasured_and_an_empty_space_say_so(): void
    {
        $empty = self::station(TestLayout::of([TestLayout::bay('a')])->with(Doc::none())->plan());
        self::assertSame([true, true, []], [$empty['ready'], $empty['empty'], $empty['runs']]);
        self::assertSame(['back wall', 'left wall', 'right wall'], array_column($empty['walls'], 'name'));
        self::assertFalse($empty['sloped']);
        self::assertTrue(self::station((new TestKind(SpaceKind::UnderStair))->plan(Doc::none()))['sloped']);
    }

    public function test_ranges_of_a_gap_are_written_once(): void
    {
        $range = fn (float $least, float $most) => LengthFormat::millimetres()->writeRange(Length::ofDouble($least), Length::ofDouble($most));
        self::assertSame('6–13 mm', $range(6.2, 13.4));
        self::assertSame('9 mm', $range(8.8, 9.3));
    }
}
