<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Incastro\Drawing\Dimension;
use Incastro\Drawing\Drawing;
use Incastro\Drawing\DrawnPoint;
use Incastro\Drawing\FurniturePlan;
use Incastro\Drawing\Label;
use Incastro\Drawing\Outline;
use Incastro\Drawing\RunDrawing;
use Incastro\Drawing\ScreenWriter;
use Incastro\Drawing\SectionDrawing;
use Incastro\Drawing\Shape;
use Incastro\Drawing\SolidDrawing;
use Incastro\Drawing\Style;
use Incastro\Drawing\SvgWriter;
use Incastro\Fit\FittedRun;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** A run as one looks at it: from the front, from above, cut through, and in the round. */
final class RunDrawingTest extends TestCase
{
    private static function layout(): TestLayout
    {
        return TestLayout::of([
            TestLayout::bay('a', ['size' => TestLayout::mm(500)], [Doc::tier('a-1', ['size' => TestLayout::mm(700)]), Doc::tier('a-2', ['joined' => false, 'depth' => TestLayout::mm(280), 'holds' => Recipe::box(0, 3)])]),
            TestLayout::bay('b', [], [Doc::tier('b-1', ['holds' => Recipe::gap()])]),
        ])->thing('socket', 'socket', 700, 300, 82, 82, 8, 'reachable');
    }

    private static function fitted(SpacePlan $plan): FittedRun
    {
        $run = $plan->layout?->runs[0];
        self::assertNotNull($run);

        return $run;
    }

    private static function elevation(SpacePlan $plan): Drawing
    {
        $room = $plan->survey->room;
        self::assertNotNull($room);

        return (new RunDrawing(self::fitted($plan), $plan->assemblies[0], $room->with($plan->space->things), LengthFormat::millimetres()))->elevation();
    }

    public function test_fronts_show_how_they_open(): void
    {
        $points = fn (array $with, string $kind = 'door', string $list = 'fronts'): array => array_map(
            fn (Shape $shape) => array_map(fn (DrawnPoint $point) => [round($point->x), round($point->y)], $shape instanceof Outline ? $shape->points() : []),
            self::elevation(($list === 'fronts'
                ? TestLayout::of([TestLayout::bay('a')])->with(['fronts' => [['with' => $with] + Doc::member('f', $kind, ['a-1'])]])
                : TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Doc::holds($kind, $with)])])]))->plan())->layers['signs'],
        );
        // A wedge with its point at the hinges, half way up; two leaves have theirs outside.
        [[$foot, $hinge, $head]] = $points(['hand' => 'left', 'build' => 'grooved']);
        self::assertLessThan($foot[0], $hinge[0]);
        self::assertEqualsWithDelta(($foot[1] + $head[1]) / 2, $hinge[1], 1.0);
        [$left, $right] = $points(['leaves' => 2, 'build' => 'grooved']);
        self::assertLessThan($left[0][0], $left[1][0]);
        self::assertGreaterThan($right[0][0], $right[1][0]);
        // A bar on each drawer.
        self::assertSame([2, 2, 2, 2], array_map(count(...), $points(['count' => 4], 'drawers', 'tiers')));
    }

    public function test_every_cell_can_be_pressed_where_it_is(): void
    {
        $plan = self::layout()->plan();
        $cells = self::elevation($plan)->layers['cells'];
        self::assertSame(['a-1', 'a-2', 'b-1'], array_map(fn (Shape $shape) => $shape->ref, $cells));
        foreach ($cells as $i => $shape) {
            self::assertInstanceOf(Outline::class, $shape);
            $cell = self::fitted($plan)->cells[$i];
            self::assertEqualsWithDelta($cell->u, $shape->points()[0]->x, 1e-6);
            self::assertEqualsWithDelta($cell->end(), $shape->points()[1]->x, 1e-6);
        }
    }

    public function test_names_and_sizes_are_those_of_the_fit(): void
    {
        $plan = self::layout()->plan();
        $drawing = self::elevation($plan);
        $names = array_map(fn (Shape $shape) => $shape instanceof Label ? $shape->text : '', $drawing->layers['names']);
        foreach (['B1', 'B2', 'Open gap'] as $name) {
            self::assertContains($name, $names);
        }
        $sizes = array_map(fn (Shape $shape) => $shape instanceof Dimension ? $shape->text : '', $drawing->layers['dimensions']);
        self::assertContains('500 mm', $sizes);
        self::assertContains(LengthFormat::millimetres()->write(self::fitted($plan)->bays[1]->width->result), $sizes);
    }

    public function test_a_gap_is_drawn_from_the_furniture_to_the_wall_and_says_its_edge(): void
    {
        $plan = self::layout()->plan();
        $run = self::fitted($plan);
        $gaps = self::elevation($plan)->layers['gaps'];
        self::assertNotSame([], $gaps);
        foreach ($gaps as $gap) {
            self::assertSame(Style::Gap, $gap->style);
            self::assertArrayHasKey($gap->ref, $run->edges);
        }
        $left = array_values(array_filter($gaps, fn (Shape $gap) => $gap->ref === 'left:a-1'))[0] ?? null;
        self::assertInstanceOf(Outline::class, $left);
        $us = array_map(fn ($point) => $point->x, $left->points());
        self::assertEqualsWithDelta($run->boxes[0]->u, max($us), 1e-6);
        self::assertEqualsWithDelta($run->boxes[0]->u - $run->edges['left:a-1']->gap->most, min($us), 1e-6);
    }

    public function test_things_on_the_wall_are_seen_in_their_place(): void
    {
        $plan = self::layout()->plan();
        $things = array_values(array_filter(self::elevation($plan)->layers['things'], fn (Shape $shape) => $shape instanceof Outline));
        self::assertCount(1, $things);
        self::assertInstanceOf(Outline::class, $things[0]);
        $points = $things[0]->points();
        self::assertEqualsWithDelta(82.0, $points[1]->x - $points[0]->x, 0.5);
        self::assertEqualsWithDelta(300.0, min(array_map(fn ($point) => $point->y, $points)), 0.5);
    }

    public function test_a_section_shows_what_is_cut_and_not_what_is_beside_it(): void
    {
        $plan = self::layout()->plan();
        $room = $plan->survey->room;
        self::assertNotNull($room);
        $section = fn (float $u) => (new SectionDrawing(self::fitted($plan), $plan->assemblies[0], $room->with($plan->space->things), LengthFormat::millimetres()))->at($u);
        $cut = fn (float $u) => array_map(fn (Shape $shape) => $shape->ref, $section($u)->layers['cut']);
        $box = self::fitted($plan)->boxes[0];
        // In the middle of the first bay: bottoms, tops, shelves and backs, and neither side.
        $middle = implode(' ', $cut($box->u + 200.0));
        self::assertStringContainsString('a-1:bottom', $middle);
        self::assertStringContainsString('a-2:back', $middle);
        self::assertStringNotContainsString(':side-', $middle);
        // Through its left side there is nothing but that.
        self::assertStringContainsString('a-1:side-L', implode(' ', $cut($box->u + 9.0)));
        // In the open gap no board is cut but the plinth’s own.
        self::assertSame([], array_filter($cut(1000.0), fn (string $ref) => str_starts_with($ref, 'a-')));
        // The upper box is 280 deep: its top ends there.
        $depths = array_map(fn (Shape $shape) => $shape instanceof Outline ? max(array_map(fn ($point) => $point->x, $shape->points())) : 0.0, array_values(array_filter($section($box->u + 200.0)->layers['cut'], fn (Shape $shape) => $shape->ref === 'a-2:top')));
        self::assertEqualsWithDelta(280.0 - 18.0, $depths[0], 1.0);
    }

    public function test_taken_apart_nothing_is_lost_and_everything_is_farther_out(): void
    {
        $plan = self::layout()->plan();
        $room = $plan->survey->room;
        self::assertNotNull($room);
        $solid = new SolidDrawing(self::fitted($plan), $plan->assemblies[0]);
        $refs = fn (Drawing $drawing) => array_values(array_unique(array_map(fn (Shape $shape) => $shape->ref, array_merge(...array_values($drawing->layers)))));
        $together = $refs($solid->draw(false));
        $apart = $refs($solid->draw(true));
        sort($together);
        sort($apart);
        self::assertSame($together, $apart);
        $size = function (Drawing $drawing): float {
            [$left, $bottom, $right, $top] = $drawing->bounds();

            return ($right - $left) * ($top - $bottom);
        };
        self::assertGreaterThan(1.3 * $size($solid->draw(false)), $size($solid->draw(true)));
    }

    public function test_from_above_every_box_lies_before_its_wall(): void
    {
        $plan = self::layout()->plan();
        $room = $plan->survey->room;
        self::assertNotNull($room);
        self::assertNotNull($plan->layout);
        $drawing = (new FurniturePlan($plan->layout, $room->with($plan->space->things), LengthFormat::millimetres()))->draw();
        $refs = array_map(fn (Shape $shape) => $shape->ref, array_merge(...array_values($drawing->layers)));
        foreach ($plan->layout->runs[0]->boxes as $box) {
            self::assertContains($box->id, $refs);
        }
    }

    public function test_from_above_a_worktop_is_drawn_as_its_board_is_cut(): void
    {
        $size = fn (float $mm): array => ['size' => TestLayout::mm($mm)];
        $plan = TestLayout::of([
            TestLayout::bay('k', $size(700), [Doc::tier('k-1', [...$size(700), 'holds' => Recipe::knees()]), Doc::tier('k-2', ['joined' => false, 'holds' => Recipe::gap()])]),
            TestLayout::bay('a', $size(400), [Doc::tier('a-1', $size(700)), Doc::tier('a-2', ['joined' => false, 'holds' => Recipe::gap()])]),
            TestLayout::bay('b', [], [Doc::tier('b-1', ['holds' => Recipe::gap()])]),
        ])->with(['members' => [array_replace(Doc::member('top', 'worktop', ['k-1', 'a-1']), ['with' => ['ends' => TestLayout::mm(15), 'hole' => true]])]])->plan();
        $room = $plan->survey->room;
        self::assertNotNull($room);
        self::assertNotNull($plan->layout);
        $drawing = new FurniturePlan($plan->layout, $room->with($plan->space->things), LengthFormat::millimetres(), $plan->assemblies);
        $across = fn (Shape $shape): array => $shape instanceof Outline ? array_map(fn (DrawnPoint $point) => $point->x, $shape->points()) : [];
        [$board, $hole] = $drawing->draw()->layers['worktops'];
        // Over the free end it stands 15 past the box, which ends 1100 from the run's left end.
        self::assertEqualsWithDelta(self::fitted($plan)->left + 1100.0 + 15.0, max($across($board)), 0.1);
        self::assertEqualsWithDelta(60.0, max($across($hole)) - min($across($hole)), 0.1);
        // In a list it is not made yet: where it lies.
        $lies = (new FurniturePlan($plan->layout, $room, LengthFormat::millimetres()))->small()->layers['worktops'];
        self::assertEqualsWithDelta(self::fitted($plan)->left + 1100.0, max($across($lies[0])), 0.1);
    }

    public function test_furniture_is_not_exaggerated_and_every_drawing_can_be_written(): void
    {
        $plan = self::layout()->plan();
        $drawing = self::elevation($plan);
        foreach ($drawing->layers['furniture'] as $shape) {
            self::assertInstanceOf(Outline::class, $shape);
            foreach ($shape->points() as $point) {
                if ($point->x > self::fitted($plan)->left + 1.0 && $point->x < self::fitted($plan)->right - 1.0 && $point->y > 1.0 && $point->y < 2300.0) {
                    self::assertSame([0.0, 0.0], [$point->cx, $point->cy]);
                }
            }
        }
        $written = ScreenWriter::write($drawing);
        self::assertSame(array_keys($drawing->layers), array_column($written['layers'], 'name'));
        self::assertSame(array_map(count(...), array_values($drawing->layers)), array_map(fn (array $layer) => count($layer['shapes']), $written['layers']));
        self::assertStringContainsString('</svg>', (new SvgWriter(0.1))->write($drawing));
    }
}
