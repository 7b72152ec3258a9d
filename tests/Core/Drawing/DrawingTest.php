<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Incastro\Drawing\Dimension;
use Incastro\Drawing\Drawing;
use Incastro\Drawing\DrawnPoint;
use Incastro\Drawing\Label;
use Incastro\Drawing\Outline;
use Incastro\Drawing\RunDrawing;
use Incastro\Drawing\ScreenWriter;
use Incastro\Drawing\Style;
use Incastro\Drawing\SvgWriter;
use Incastro\Planning\Planner;
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
        self::assertNotNull($space->run);
        self::assertNotNull($space->assembly);
        $drawing = (new RunDrawing($space->run, $space->assembly, \Incastro\Measure\LengthFormat::millimetres()))->elevation();
        $left = $space->run->cell->u;
        foreach ([1.0, 20.0] as $times) {
            foreach ($drawing->layers['house'][0]->points() as $point) {
                self::assertLessThan($left, $point->exaggerated($times)->x);
            }
        }
    }
}
