<?php

declare(strict_types=1);

namespace Tests\Core\Saw;

use Incastro\Cut\Axis;
use Incastro\Cut\CutPiece;
use Incastro\Cut\PlacedPiece;
use Incastro\Cut\PlannedSheet;
use Incastro\Cut\Rectangle;
use Incastro\Cut\SheetPlan;
use Incastro\Cut\Stock;
use Incastro\Exchange\SawStepsWriter;
use Incastro\Exchange\SheetPlanWriter;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Grain;
use Incastro\Saw\CutClass;
use Incastro\Saw\Forest;
use Incastro\Saw\GuidedSaw;
use Incastro\Saw\MitreSaw;
use Incastro\Saw\NotSawable;
use Incastro\Saw\SawCut;
use Incastro\Saw\SawPlanner;
use Incastro\Saw\SawSteps;
use Incastro\Saw\SettingOrder;
use Incastro\Saw\Slice;
use Incastro\Saw\Step;
use Incastro\Saw\StepWords;
use Incastro\Saw\TableSaw;
use Incastro\Saw\Tools;
use Incastro\Saw\Way;
use Incastro\Saw\Yard;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SawPlannerTest extends TestCase
{
    private static function nm(float $mm): int
    {
        return (int) round($mm * 1e6);
    }

    /** @param list<float> $guides */
    private static function tools(array $guides = [2700], float $pushAlone = 20, float $pushTwo = 35, int $people = 1, bool $hasMitre = true): Tools
    {
        return new Tools(
            new TableSaw(self::nm(3.2), self::nm(610), $pushAlone, $pushTwo, self::nm(300), null, 0, self::nm(75), true),
            $guides === [] ? null : new GuidedSaw(self::nm(2.2), array_map(self::nm(...), $guides), self::nm(150), self::nm(92), self::nm(36), self::nm(55)),
            $hasMitre ? new MitreSaw(self::nm(3.2), self::nm(300), self::nm(90), self::nm(2400), self::nm(150)) : null,
            $people,
        );
    }

    /** @param array{float, float}|null $ride */
    private static function withYard(Tools $tools, ?array $ride = null, int $cuts = 3): Tools
    {
        return new Tools($tools->table, $tools->guided, $tools->mitre, $tools->people, new Yard($cuts, self::nm(2), self::nm(100), self::nm(4), self::nm(5), self::nm(1), $ride === null ? null : [self::nm($ride[0]), self::nm($ride[1])]));
    }

    private static function steps(PlannedSheet ...$sheets): SawSteps
    {
        return self::planner(self::tools(pushAlone: 100))->steps(array_values($sheets));
    }

    private static function planner(Tools $tools, float $kerf = 2.2): SawPlanner
    {
        return new SawPlanner(Cupboards::saw($kerf), $tools, LengthFormat::millimetres('0.1'), fn () => 680.0);
    }

    /**
     * A sheet of 2440 × 1220 trimmed by 6 all round, with strips of a width one above the other, each with pieces side by side.
     *
     * @param  list<array{float, list<array{string, float}>}>  $strips
     * @param  list<array{string, float, float, float, float}>  $besides  pieces elsewhere: name, x, y, extents
     */
    private static function sheet(array $strips, array $besides = [], float $kerf = 2.2): PlannedSheet
    {
        $pieces = [];
        $y = 6.0;
        foreach ($strips as [$width, $row]) {
            $x = 6.0;
            foreach ($row as [$name, $length]) {
                $pieces[] = self::placed($name, $x, $y, $length, $width);
                $x += $length + $kerf;
            }
            $y += $width + $kerf;
        }

        return new PlannedSheet(
            new Stock('full', null, Length::ofMillimetres(2440), Length::ofMillimetres(1220), Length::ofDouble(18.1), 'ply', 64.0),
            [...$pieces, ...array_map(fn (array $one) => self::placed(...$one), $besides)],
            [],
        );
    }

    private static function placed(string $name, float $x, float $y, float $length, float $width): PlacedPiece
    {
        return new PlacedPiece(
            new CutPiece($name, 1, Length::ofDouble($length), Length::ofDouble($width), Length::ofDouble(18.1), 'ply', Grain::Length),
            new Rectangle(self::nm($x), self::nm($y), self::nm($length), self::nm($width)),
            false,
        );
    }

    /** @return list<PlannedSheet> two boxes, 600 and 560 wide, with a plinth */
    private static function twoBoxes(): array
    {
        return [
            self::sheet(
                [[355, [['side 1', 2000]]], [355, [['side 2', 2000]]], [355, [['side 3', 2000]]], [90, [['nailer 1', 563], ['nailer 2', 563], ['nailer 3', 523], ['nailer 4', 523]]]],
                array_map(fn (int $i) => ["bearer $i", 2008.2, 6 + $i * 72.2, 279, 70], range(0, 3)),
            ),
            self::sheet([[355, [['side 4', 2000]]], [355, [['board 1', 563], ['board 2', 563], ['shelf 1', 560], ['shelf 2', 560]]], [355, [['board 3', 523], ['board 4', 523], ['shelf 3', 520], ['shelf 4', 520]]], [70, [['rail 1', 1160], ['rail 2', 1160]]]]),
        ];
    }

    public function test_two_boxes_take_twelve_settings_where_rips_first_would_take_thirteen(): void
    {
        // Fence 355 × 6, 90 × 1, 70 × 5; guide 2000 × 4, 563, 560, 523, 520 × 2 each; stop 1160 × 2, 563 × 2, 523 × 2, 279 × 4: 34 cuts. The
        // part of which the bearers are ripped is there only after the guide stood at 2000, so fence 70 waits for it.
        $steps = self::steps(...self::twoBoxes());
        $cuts = [];
        foreach ($steps->steps as $step) {
            if ($step->size !== null) {
                $cuts[$step->way->tool()->value.' '.$step->size / 1e6] = count($step->cuts);
            }
        }
        ksort($cuts);

        self::assertSame([
            'guided_saw 2000' => 4, 'guided_saw 520' => 2, 'guided_saw 523' => 2, 'guided_saw 560' => 2, 'guided_saw 563' => 2,
            'mitre_saw 1160' => 2, 'mitre_saw 279' => 4, 'mitre_saw 523' => 2, 'mitre_saw 563' => 2,
            'table_saw 355' => 6, 'table_saw 70' => 5, 'table_saw 90' => 1,
        ], $cuts);
        self::assertSame([12, 12, 12, true], [$steps->settings, $steps->distinct, $steps->fewest, $steps->isProven]);
    }

    public function test_a_grid_is_cut_the_other_way_where_that_saves_a_setting(): void
    {
        // Strips of 400 with pieces of 300 on one sheet; on the other 300 and 400 change places: of two by two alike both ways go through.
        $grid = self::sheet([[400, [['a', 500], ['b', 500]]], [400, [['c', 500], ['d', 500]]]]);
        $steps = self::steps($grid);

        self::assertSame(2, $steps->settings);
        self::assertCount(6, array_merge(...array_map(fn ($step) => $step->size === null ? [] : $step->cuts, $steps->steps)));
    }

    public function test_strips_lie_side_by_side_under_the_guide(): void
    {
        // Four strips of 355 to crosscut at 2000 under a guide of 1400 that runs on by 150: three at once (1065 ≤ 1250), then one.
        $tools = new Tools(null, self::tools([2700])->guided, null);
        $sheets = [self::sheet([[290, [['a', 2000]]], [290, [['b', 2000]]], [290, [['c', 2000]]], [290, [['d', 2000]]]])];
        $wide = self::planner($tools)->steps($sheets);
        $alone = self::planner($tools)->steps($sheets, isSideBySide: false);
        $clampings = fn (SawSteps $steps) => array_values(array_map(fn ($step) => $step->clampings, array_filter($steps->steps, fn ($step) => $step->size === self::nm(2000))));

        self::assertSame([1], $clampings($wide));
        self::assertSame([4], $clampings($alone));
    }

    public function test_where_the_guide_lies(): void
    {
        // On the piece: 563 − 92 = 471. On the waste: 563 + 2.4 + 36 = 601.4.
        $tools = new Tools(null, new GuidedSaw(self::nm(2.4), [self::nm(1400)], 0, self::nm(92), self::nm(36), self::nm(55)), null);

        self::assertSame(self::nm(471), $tools->guideAt(Way::GuideOnPiece, self::nm(563)));
        self::assertSame(self::nm(601.4), $tools->guideAt(Way::GuideOnWaste, self::nm(563)));
        self::assertNull($tools->guideAt(Way::Fence, self::nm(563)));
    }

    public function test_a_scale_that_is_off_is_set_otherwise_and_says_what_that_gives(): void
    {
        $usual = self::tools();
        $tools = new Tools(new TableSaw(self::nm(3.2), self::nm(610), 20, 35, self::nm(300), null, 0, self::nm(75), true, correction: self::nm(-0.8)), $usual->guided, new MitreSaw(self::nm(3.2), self::nm(300), self::nm(90), self::nm(2400), self::nm(150), self::nm(0.5)));
        self::assertSame([self::nm(-0.8), self::nm(0.5), self::nm(-92), self::nm(36), 0], array_map($tools->setOff(...), [Way::Fence, Way::Stop, Way::GuideOnPiece, Way::GuideOnWaste, Way::Sled]));
        $words = new StepWords(LengthFormat::millimetres());
        $step = fn (Way $way, Step $like): Step => new Step($like->class, $way, self::nm(599.2), null, $like->cuts, 0, $tools->setOff($way));
        $like = array_values(array_filter(self::steps(...self::twoBoxes())->steps, fn (Step $one) => $one->size !== null))[0];
        // 599.2 − 0.8 on its scale is 599.2 in wood.
        self::assertSame(self::nm(598.4), $words->number($step(Way::Fence, $like))->nanometres());
        self::assertStringEndsWith('That gives 599.2 mm: its scale is 0.8 mm off.', $words->words($step(Way::Fence, $like)));
        // What a guide is put right by is in where its edge lies: the mark is at the size.
        self::assertSame(self::nm(599.2), $words->number($step(Way::GuideOnPiece, $like))->nanometres());
    }

    public function test_a_cut_that_no_tool_makes_says_why_and_what_would(): void
    {
        // A rip of 2440 under guides of 1400 that run on by 150, and a sheet of 36.6 kg on a saw for 35.
        $steps = self::planner(self::tools([1400], people: 2))->steps([self::twoBoxes()[0]]);

        self::assertNotSame([], $steps->impossible);
        self::assertStringContainsString('needs a guide of 2590', $steps->impossible[0]->because);
        self::assertStringContainsString('A guide of 2590', implode(' ', $steps->impossible[0]->waysOut));
        self::assertContains('Let the yard make this cut.', $steps->impossible[0]->waysOut);
    }

    public function test_a_heavy_sheet_is_broken_down_on_the_floor_before_its_parts_go_over_the_saw(): void
    {
        $steps = self::planner(self::tools())->steps(self::twoBoxes());
        $cuts = $steps->cuts();
        $pushed = array_filter($cuts, fn ($cut) => $cut->takes->kg > 20);

        self::assertSame([], $steps->impossible);
        foreach ($steps->steps as $step) {
            foreach ($step->cuts as $cut) {
                self::assertTrue($step->way !== Way::Fence || $cut->takes->kg <= 20.0);
            }
        }
        self::assertNotSame([], $pushed);
    }

    public function test_pieces_that_lie_like_a_pinwheel_cannot_be_sawn(): void
    {
        $this->expectException(NotSawable::class);
        self::steps(self::sheet([], [['a', 6, 6, 600, 300], ['b', 608.2, 6, 300, 600], ['c', 308.2, 608.2, 600, 300], ['d', 6, 308.2, 300, 600]]));
    }

    public function test_the_same_plan_gives_the_same_steps_and_another_order_keeps_the_ids(): void
    {
        [$one, $two] = self::twoBoxes();
        $ids = function (SawSteps $steps): array {
            $pieces = [];
            foreach ($steps->parts as $part) {
                if ($part->piece !== null && $part->fate->value === 'piece') {
                    $pieces[$part->piece] = $part->id;
                }
            }
            ksort($pieces);

            return $pieces;
        };
        $narrow = self::planner(self::tools(pushAlone: 100))->steps([$one, $two], 1);

        self::assertEquals(self::steps($one, $two), self::steps($one, $two));
        self::assertSame($ids(self::steps($one, $two)), $ids($narrow));
        self::assertGreaterThanOrEqual(12, $narrow->settings);
    }

    /** @return iterable<string, array{Tools, int}> */
    public static function workshops(): iterable
    {
        yield 'everything' => [self::tools(), PHP_INT_MAX];
        yield 'one sheet at a time' => [self::tools(), 1];
        yield 'guide alone' => [new Tools(null, self::tools()->guided, null), 2];
        yield 'short guides' => [self::tools([1400]), 2];
        yield 'the yard, short guides' => [self::withYard(self::tools([1400])), 2];
        yield 'the yard and a small car' => [self::withYard(self::tools([1400]), [1300, 900]), 1];
        yield 'two people without a guide' => [self::tools([], people: 2, pushTwo: 40), 2];
    }

    /** @return list<string> what the yard is asked for, by sheet: sizes and kg */
    private static function asked(SawSteps $steps): array
    {
        $yard = array_filter($steps->steps, fn (Step $step) => $step->class === CutClass::Yard);

        return array_values(array_map(fn (Step $step) => implode(', ', array_map(fn (SawCut $cut) => sprintf('%s (%.1f kg)', $cut->at / 1e6, $cut->frees->kg), $step->cuts)), $yard));
    }

    public function test_the_yard_cuts_what_is_too_heavy_and_too_long_at_home(): void
    {
        // The first strip has a factory edge: 6 + 355 + 5. The others have the yard's on both sides: 355 + 5. Three cuts of 4: of 1220 are
        // left 1220 − 1086 − 12 = 122, at worst 116, which is more than 90 + 6. 2440 × 0.366 × 0.0181 × 680 = 11.0 kg.
        $tools = self::withYard(self::tools([1400]));
        $steps = self::planner($tools)->steps(self::twoBoxes());
        self::assertSame(['366 (11.0 kg), 360 (10.8 kg), 360 (10.8 kg)', '366 (11.0 kg), 360 (10.8 kg), 360 (10.8 kg)'], self::asked($steps));
        // Without it the rip of 2440 needs a guide of 2590; with it nothing is impossible.
        self::assertSame([], $steps->impossible);
        self::assertNotSame([], self::planner(self::tools([1400]))->steps(self::twoBoxes())->impossible);
        // All of it is done before the first cut at home, and sets nothing.
        self::assertSame([CutClass::Yard, CutClass::Yard], array_map(fn (Step $step) => $step->class, array_slice($steps->steps, 0, 2)));
    }

    public function test_what_does_not_go_home_is_cut_across_too(): void
    {
        // 1300 long at the most: of the strips of 2440 none goes home. One cut along and one across is all that two cuts give.
        $steps = self::planner(self::withYard(self::tools(), [1300, 1300], 6))->steps([self::sheet([[355, [['a', 1000], ['b', 1000]]], [355, [['c', 1000], ['d', 1000]]]])]);
        self::assertNotSame([], self::asked($steps));
        self::assertNotSame([], array_filter($steps->steps, fn (Step $step) => $step->class === CutClass::Yard && $step->cuts[0]->axis === Axis::X));
    }

    public function test_where_the_sheet_would_not_bear_the_tolerance_the_yard_cuts_less(): void
    {
        // Three strips of 398 and two kerfs of 2.2 are 1198.4 of 1208: 9.6 are over. Two cuts take 2 × (5 + 4 − 2.2) = 13.6, one 6.8.
        $sheet = self::sheet([[398, [['a', 2000]]], [398, [['b', 2000]]], [398, [['c', 2000]]]]);
        self::assertSame(['409 (12.3 kg)'], self::asked(self::planner(self::withYard(self::tools([1400])))->steps([$sheet])));
    }

    #[DataProvider('workshops')]
    public function test_every_plan_is_sawn_as_it_says(Tools $tools, int $window): void
    {
        $lists = (int) (getenv('INCASTRO_LISTS') ?: 30);
        for ($seed = 1; $seed <= $lists; $seed++) {
            $plan = Cupboards::plan($seed, 10 + $seed * 7 % 50, $seed % 3 * 30);
            $steps = self::planner($tools, 3.2)->steps($plan->sheets, $window);
            self::assertSame([], self::faults($plan, $steps, $tools, $window), "list $seed");
            self::assertGreaterThanOrEqual($steps->fewest, $steps->settings);
            self::assertTrue($steps->isProven === ($steps->settings === $steps->fewest));
        }
    }

    /** @return list<string> */
    private static function faults(SheetPlan $plan, SawSteps $steps, Tools $tools, int $window): array
    {
        $written = SheetPlanWriter::write($plan, Cupboards::saw());

        return (new StepValidator($written, $tools, $window))->faults(SawStepsWriter::write($steps, $plan->sheets));
    }

    public function test_settings_are_never_above_the_first_order_and_mostly_proven(): void
    {
        // With one tool and all sheets open, so that nothing but the trees asks for a setting twice.
        $tools = new Tools(null, self::tools()->guided, null);
        $proven = 0;
        for ($seed = 1; $seed <= 12; $seed++) {
            $steps = self::planner($tools, 3.2)->steps(Cupboards::plan($seed)->sheets);
            self::assertGreaterThanOrEqual($steps->distinct, $steps->fewest);
            $proven += (int) $steps->isProven;
        }

        self::assertGreaterThanOrEqual(10, $proven);
    }

    public function test_the_search_is_never_worse_than_the_greedy_and_its_bound_holds(): void
    {
        $tools = new Tools(null, self::tools()->guided, null);
        foreach ([1, 2, PHP_INT_MAX] as $window) {
            for ($seed = 1; $seed <= 6; $seed++) {
                $sheets = Cupboards::plan($seed, 30)->sheets;
                $slices = array_map(fn (PlannedSheet $sheet) => Slice::of($sheet->pieces, self::nm(3.2)), $sheets);
                $order = new SettingOrder((new Forest($sheets, $slices, Cupboards::saw(), $tools, fn () => 680.0))->cuts(), $window);
                $greedy = $order->greedy();
                $fewest = $order->fewest();
                self::assertLessThanOrEqual(count($greedy->settings), count($fewest->settings));
                self::assertLessThanOrEqual(count($fewest->settings), $fewest->fewest);
                self::assertStringNotContainsString('0', $fewest->done);
            }
        }
    }
}
