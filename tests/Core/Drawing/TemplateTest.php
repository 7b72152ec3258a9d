<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Incastro\Drawing\Drawing;
use Incastro\Drawing\DrawnPoint;
use Incastro\Drawing\DxfWriter;
use Incastro\Drawing\FurniturePlan;
use Incastro\Drawing\Outline;
use Incastro\Drawing\Paper;
use Incastro\Drawing\SectionDrawing;
use Incastro\Drawing\Shape;
use Incastro\Drawing\SolidDrawing;
use Incastro\Drawing\Style;
use Incastro\Drawing\TemplateDrawing;
use Incastro\Drawing\TiledPdf;
use Incastro\Exchange\Templates;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Planner;
use Incastro\Planning\SpacePlan;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;

final class TemplateTest extends TestCase
{
    private static function space(): SpacePlan
    {
        return (new Planner())->plan(TestAlcove::leaning()->job(layout: ['depth' => '400']))->spaces[0];
    }

    public function test_a_template_comes_of_every_scribed_piece_and_of_no_other(): void
    {
        $names = array_map(fn (Drawing $drawing) => explode(' ', $drawing->name)[0], array_values((new Templates(self::space(), LengthFormat::millimetres()))->drawings()));
        sort($names);
        self::assertSame(['B1-rail-top', 'B1-stile-L', 'B1-stile-R'], $names);
        self::assertSame([], (new Templates(self::space(), LengthFormat::millimetres()))->drawings('box:bottom'));
    }

    public function test_stations_carry_the_width_there(): void
    {
        // A strip 1000 long, 50 wide at one end and 70 at the other: 60 half way.
        $rows = TemplateDrawing::stations(new Polygon([new Point(0.0, 0.0), new Point(1000.0, 0.0), new Point(1000.0, 70.0), new Point(0.0, 50.0)]), 1000.0);
        self::assertCount(6, $rows);
        self::assertSame([0.0, 200.0, 400.0, 600.0, 800.0, 1000.0], array_column($rows, 'at'));
        self::assertEqualsWithDelta(58.0, $rows[2]['to'] - $rows[2]['from'], 0.01);
    }

    public function test_pages_are_as_many_as_the_drawing_needs(): void
    {
        $strip = new Drawing('strip', ['cut' => [Outline::rectangle(0.0, 0.0, 2338.0, 57.0, Style::House)]]);
        // A4 shows 190 across and 263 up, 10 of it twice: 1 page wide, ⌈(2338 − 10)/(263 − 10)⌉ = 10 high.
        self::assertSame([1, 10], (new TiledPdf('t', Paper::A4, false))->pages($strip));
        // A3: 277 across and 386 up: ⌈2328/376⌉ = 7. Letter: 245.4 up: ⌈2328/235.4⌉ = 10. A roll takes it whole.
        self::assertSame([1, 7], (new TiledPdf('t', Paper::A3, false))->pages($strip));
        self::assertSame([1, 10], (new TiledPdf('t', Paper::Letter, true))->pages($strip));
        self::assertSame([1, 1], (new TiledPdf('t', Paper::Roll, false))->pages($strip));
        // 400 wide takes three columns of A4: ⌈390/180⌉.
        self::assertSame([3, 1], (new TiledPdf('t', Paper::A4, false))->pages(new Drawing('b', ['cut' => [Outline::rectangle(0.0, 0.0, 200.0, 400.0, Style::House)]])));
    }

    public function test_printed_pages_say_where_they_lie_and_carry_a_check_line(): void
    {
        $file = tempnam(sys_get_temp_dir(), 'template');
        self::assertNotFalse($file);
        file_put_contents($file, (new Templates(self::space(), LengthFormat::millimetres()))->pdf(Paper::A4, 'box:stile-L'));
        $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' - 2>/dev/null');
        unlink($file);
        self::assertStringContainsString('page 1 of 10: row 1 from the foot, column 1 from the left', $text);
        self::assertStringContainsString('page 10 of 10: row 10 from the foot', $text);
        self::assertSame(10, substr_count($text, 'This line is 100 mm long'));
    }

    public function test_dxf_holds_closed_outlines_in_millimetres(): void
    {
        $dxf = DxfWriter::write(new Drawing('t', ['cut' => [Outline::polygon(new Polygon([new Point(0.0, 0.0), new Point(100.5, 0.0), new Point(0.0, 50.25)]), Style::House)]]));
        $lines = explode("\r\n", $dxf);
        self::assertSame(['0', 'SECTION', '2', 'HEADER'], array_slice($lines, 0, 4));
        self::assertSame(3, count(array_keys($lines, 'VERTEX', true)));
        self::assertContains('100.5000', $lines);
        self::assertContains('50.2500', $lines);
        // Unit 4 is the millimetre; flag 70 = 1 closes the polyline.
        self::assertStringContainsString("\$INSUNITS\r\n70\r\n4", $dxf);
        self::assertStringContainsString("POLYLINE\r\n8\r\ncut\r\n66\r\n1\r\n70\r\n1", $dxf);
        self::assertSame('EOF', $lines[count($lines) - 2]);
    }

    public function test_svg_templates_are_full_size(): void
    {
        $svg = (new Templates(self::space(), LengthFormat::millimetres()))->svg('box:stile-L');
        // The stile's blank is 2338 long: with 15 of margin on both sides 2368.
        self::assertStringContainsString('width="2368.000mm"', $svg);
    }

    public function test_a_section_is_cut_through_what_stands_there(): void
    {
        $space = self::space();
        self::assertNotNull($space->survey->room);
        self::assertNotNull($space->layout);
        $drawing = new SectionDrawing($space->layout->runs[0], $space->assemblies[0], $space->survey->room, LengthFormat::millimetres());
        $refs = fn (float $u) => array_map(fn (Shape $shape) => $shape->ref, $drawing->at($u)->layers['cut']);
        self::assertContains('box:shelf-1', $refs(600.0));
        self::assertContains('box:back', $refs(600.0));
        self::assertNotContains('box:side-L', $refs(600.0));
        self::assertContains('box:side-L', $refs($space->layout->runs[0]->left + 9.0));
    }

    public function test_the_solid_view_draws_what_is_behind_first(): void
    {
        $space = self::space();
        self::assertNotNull($space->layout);
        $solid = new SolidDrawing($space->layout->runs[0], $space->assemblies[0]);
        $order = array_map(fn (Shape $shape) => $shape->ref, $solid->draw(false)->layers['pieces']);
        $first = fn (string $ref) => array_search($ref, $order, true);
        self::assertLessThan($first('box:stile-R'), $first('box:back'));
        self::assertLessThan($first('box:side-R'), $first('box:side-L'));
        self::assertLessThan($first('box:top'), $first('box:bottom'));
        // Drawn apart it takes more room.
        $size = fn (Drawing $drawing) => $drawing->bounds()[2] - $drawing->bounds()[0];
        self::assertGreaterThan($size($solid->draw(false)) + 100.0, $size($solid->draw(true)));
    }

    public function test_the_plan_shows_every_box_in_its_place(): void
    {
        $space = self::space();
        self::assertNotNull($space->survey->room);
        self::assertNotNull($space->layout);
        $shapes = (new FurniturePlan($space->layout, $space->survey->room, LengthFormat::millimetres()))->draw()->layers['furniture'];
        $ys = array_map(fn (DrawnPoint $point) => $point->y, $shapes[0]->points());
        self::assertEqualsWithDelta(400.0, max($ys) - min($ys), 1e-6);
    }
}
