<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Incastro\Drawing\DrawnPoint;
use Incastro\Drawing\Label;
use Incastro\Drawing\Outline;
use Incastro\Drawing\ScribeDrawing;
use Incastro\Drawing\Shape;
use Incastro\Fit\Closing\Gap;
use Incastro\Fit\Closing\ScribeLine;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Rules\HouseRules;
use PHPUnit\Framework\TestCase;

final class ScribeDrawingTest extends TestCase
{
    public function test_what_is_cut_away_lies_between_the_blank_and_the_line(): void
    {
        // Every 500 mm gaps of 9, 11, 16, 13, 10: blank 22 over the edge, cuts of 13, 11, 6, 9, 12, compass 13.
        $stations = array_map(fn (int $i, float $gap) => new Point(500.0 * $i, $gap), range(0, 4), [9.0, 11.0, 16.0, 13.0, 10.0]);
        $line = ScribeLine::along(new Gap($stations, 0.6, 0.6), new HouseRules(Unit::Millimetre), LengthFormat::millimetres());
        $scribe = new ScribeDrawing($line, LengthFormat::millimetres());
        $drawing = $scribe->draw();
        $waste = $drawing->layers['waste'][0];
        self::assertInstanceOf(Outline::class, $waste);
        // (13/2 + 11 + 6 + 9 + 12/2) · 500.
        self::assertEqualsWithDelta(38.5 * 500.0, abs((new Polygon(array_map(fn (DrawnPoint $at) => new Point($at->x, $at->y), $waste->points())))->area()), 1e-6);
        $texts = array_map(fn (Shape $shape) => $shape instanceof Label ? $shape->text : '', [...$drawing->layers['compass'], ...$drawing->layers['cuts']]);
        self::assertSame(['', 'compass 13 mm', 'deepest 13 mm', 'shallowest 6 mm'], $texts);
        // The blank touches the surface where that stands out most: there both are 22 over the edge.
        $surface = $drawing->layers['surface'][0];
        self::assertInstanceOf(Outline::class, $surface);
        self::assertEqualsWithDelta(22.0, min(array_map(fn (DrawnPoint $at) => $at->y, $surface->points())), 1e-6);
        // 2000 long and 22 across: drawn ×15 it is a sixth as high as long.
        self::assertSame(15.0, $scribe->times);
    }
}
