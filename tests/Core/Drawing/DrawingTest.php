<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Incastro\Drawing\Dimension;
use Incastro\Drawing\Drawing;
use Incastro\Drawing\DrawnPoint;
use Incastro\Drawing\Label;
use Incastro\Drawing\Outline;
use Incastro\Drawing\PlanDrawing;
use Incastro\Drawing\ReadingText;
use Incastro\Drawing\RunDrawing;
use Incastro\Drawing\ScreenWriter;
use Incastro\Drawing\Shape;
use Incastro\Drawing\SheetDrawing;
use Incastro\Drawing\Style;
use Incastro\Drawing\SvgWriter;
use Incastro\Drawing\WallDrawing;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Planner;
use Incastro\Survey\ReadingKind;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;

final class DrawingTest extends TestCase
{
    private function drawing(): Drawing
    {
        return new Drawing('Board', ['boards' => [
            Outline::rectangle(0.0, 0.0, 200.0, 50.0, Style::Board, 'B1-shelf-1'),
            new Dimension(new DrawnPoint(0.0, -20.0), new DrawnPoint(200.0, -20.0), '200 mm'),
            new Label(new DrawnPoint(100.0, 25.0), 'a < b', Style::Label),
        ]]);
    }

    public function test_svg_is_true_to_scale_and_carries_a_check_line(): void
    {
        $svg = (new SvgWriter(2.0))->write($this->drawing());
        // 200 mm at 1:2 is 100 mm, plus 15 mm each side.
        self::assertStringContainsString('width="130.000mm"', $svg);
        // y points up in the drawing and down on paper: the top edge comes first.
        self::assertStringContainsString('M15.000 40.000L115.000 40.000L115.000 15.000L15.000 15.000Z', $svg);
        self::assertStringContainsString('a &lt; b', $svg);
        self::assertStringContainsString('100 mm on paper; drawn 1:2', $svg);
        self::assertNotFalse(simplexml_load_string($svg));
    }

    public function test_crookedness_is_a_vector_beside_the_true_place(): void
    {
        $point = new DrawnPoint(7.0, 2400.0, 7.0, 0.0);
        self::assertSame(7.0, $point->exaggerated(1.0)->x);
        self::assertSame(70.0, $point->exaggerated(10.0)->x);
        $shape = ScreenWriter::write(new Drawing('', ['l' => [new Outline([$point, $point], false, Style::House)]]))['layers'][0]['shapes'][0];
        self::assertSame([[7.0, 2400.0, 7.0, 0.0], [7.0, 2400.0, 7.0, 0.0]], $shape['points']);
    }

    public function test_exaggerated_walls_never_cross_the_furniture(): void
    {
        $space = (new Planner())->plan(TestAlcove::leaning()->job())->spaces[0];
        self::assertNotNull($space->layout);
        self::assertNotNull($space->survey->room);
        $drawing = (new RunDrawing($space->layout->runs[0], $space->assemblies[0], $space->survey->room, LengthFormat::millimetres()))->elevation();
        $left = $space->layout->runs[0]->boxes[0]->u;
        foreach ([1.0, 20.0] as $times) {
            foreach ($this->leftWall($drawing->layers['house'])->points() as $point) {
                self::assertLessThan($left, $point->exaggerated($times)->x);
            }
        }
    }

    public function test_every_reading_has_its_line_in_one_of_the_views(): void
    {
        $survey = TestAlcove::leaning()->with('corner-left', 'corner-right')->survey();
        self::assertNotNull($survey->room);
        $texts = new ReadingText($survey, LengthFormat::millimetres());
        $layers = [(new PlanDrawing($survey, $survey->room, $texts))->draw()->layers['readings']];
        foreach ($survey->room->shape->walls() as $wall) {
            $layers[] = (new WallDrawing($survey, $survey->room, $wall, $texts, LengthFormat::millimetres()))->draw()->layers['readings'];
        }
        $refs = array_values(array_unique(array_map(fn (Shape $shape) => $shape->ref, array_merge(...$layers))));
        $drawn = array_map(fn ($slot) => $slot->id, array_filter($survey->slots, fn ($slot) => ! in_array($slot->kind, [ReadingKind::Skirting, ReadingKind::Rise], true) && $slot->id !== 'height-front'));
        sort($refs);
        sort($drawn);
        self::assertSame($drawn, $refs);
    }

    public function test_the_elevation_shows_the_walls_where_they_were_found(): void
    {
        $survey = TestAlcove::leaning()->survey();
        self::assertNotNull($survey->room);
        $drawing = (new WallDrawing($survey, $survey->room, 0, new ReadingText($survey, LengthFormat::millimetres()), LengthFormat::millimetres()))->draw();
        $walls = array_values(array_filter($drawing->layers['house'], fn (Shape $shape) => $shape->ref === 'walls'))[0]->points();
        // Up the left wall, then down the right one: the left leans in 7 from its foot to its head.
        self::assertEqualsWithDelta(7.0, $walls[2]->x - $walls[0]->x, 1e-3);
        self::assertEqualsWithDelta(1203.0, $walls[count($walls) - 1]->x - $walls[0]->x, 1e-3);
        // Its crookedness is measured from the mean of the three heights.
        self::assertEqualsWithDelta(0.0, array_sum(array_map(fn (DrawnPoint $point) => $point->cx, array_slice($walls, 0, 3))), 1e-3);
    }

    public function test_a_sheet_is_drawn_with_its_pieces_inside(): void
    {
        $plan = (new Planner())->plan(TestAlcove::leaning()->job());
        foreach ($plan->cut->sheets->sheets as $i => $sheet) {
            $drawing = (new SheetDrawing($plan->job->saw(), $plan->job->format))->of($sheet, $i + 1);
            self::assertSame([0.0, 0.0, 2440.0, 1220.0], array_map(fn (float $edge) => round($edge, 6), $drawing->bounds()));
            $boards = array_filter($drawing->layers['pieces'], fn (Shape $shape) => $shape instanceof Outline);
            self::assertCount(count($sheet->pieces), $boards);
        }
    }

    public function test_narrow_pieces_fall_back_to_their_mark(): void
    {
        $plan = (new Planner())->plan(TestAlcove::leaning()->job());
        $labels = [];
        foreach ($plan->cut->sheets->sheets as $i => $sheet) {
            foreach ((new SheetDrawing($plan->job->saw(), $plan->job->format))->of($sheet, $i + 1)->layers['pieces'] as $shape) {
                if ($shape instanceof Label && $shape->ref === 'P1-bearer-1') {
                    $labels[] = $shape;
                }
            }
        }
        self::assertCount(1, $labels);
        self::assertSame('P1-bearer-1', $labels[0]->short);
        self::assertStringContainsString('70 mm', $labels[0]->text);
        self::assertGreaterThan(200.0, $labels[0]->room);
    }

    public function test_a_scribed_stile_is_drawn_up_to_the_wall_and_not_through_it(): void
    {
        $space = (new Planner())->plan(TestAlcove::leaning()->job(layout: ['depth' => '400']))->spaces[0];
        self::assertNotNull($space->layout);
        self::assertNotNull($space->survey->room);
        $layers = (new RunDrawing($space->layout->runs[0], $space->assemblies[0], $space->survey->room, LengthFormat::millimetres()))->elevation()->layers;
        $stile = array_values(array_filter($layers['furniture'], fn (Shape $shape) => str_ends_with($shape->ref, 'stile-L')))[0];
        foreach ([1.0, 20.0] as $times) {
            $wall = array_map(fn (DrawnPoint $point) => $point->exaggerated($times), $this->leftWall($layers['house'])->points());
            $farthest = min(array_map(fn (DrawnPoint $point) => $point->x, $wall));
            foreach ($stile->points() as $point) {
                self::assertGreaterThanOrEqual($farthest - 1e-6, $point->exaggerated($times)->x);
            }
        }
    }

    /** @param list<Shape> $house */
    private function leftWall(array $house): Shape
    {
        return array_values(array_filter($house, fn (Shape $shape) => $shape->ref === 'wall:left'))[0];
    }
}
