<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Incastro\Check\Passage;
use Incastro\Check\WayIn;
use Incastro\Drawing\Drawing;
use Incastro\Drawing\Label;
use Incastro\Drawing\Outline;
use Incastro\Drawing\Shape;
use Incastro\Drawing\WayDrawing;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Rules\HouseRules;
use PHPUnit\Framework\TestCase;

/** Room for hands is 20; a box is usually 600 deep. */
final class WayDrawingTest extends TestCase
{
    private static function drawn(WayIn $way): Drawing
    {
        return (new WayDrawing($way, new HouseRules(Unit::Millimetre), LengthFormat::millimetres()))->draw();
    }

    private static function text(Drawing $drawing): string
    {
        return implode(' ', array_map(fn (Shape $shape) => $shape instanceof Label ? $shape->text : '', $drawing->layers['text']));
    }

    public function test_through_a_door_goes_what_leaves_room_for_hands(): void
    {
        self::assertSame('740 × 1980 mm', self::text(self::drawn(new WayIn('door', 'Door', 760.0, 2000.0))));
    }

    public function test_round_a_turn_goes_the_longest_box_that_clears_its_inner_corner(): void
    {
        // At 45°, the tightest between equal widths: (900 + 900)/√2 − L/2 = 600 + 20, so L = 1305.6, down to 1305.
        $drawing = self::drawn(new WayIn('turn', 'Turn', 900.0, 2000.0, 900.0));
        self::assertSame('1305 × 600 mm', self::text($drawing));
        $box = $drawing->layers['box'][0];
        self::assertInstanceOf(Outline::class, $box);
        // Drawn at the outer walls: its long side runs from the one to the other, and the inner corner lies 20 off it.
        [$a, $b, $c] = $box->points();
        self::assertEqualsWithDelta([0.0, 900.0], [$a->x, $b->y], 1e-6);
        self::assertEqualsWithDelta(1305.6, hypot($b->x - $a->x, $b->y - $a->y), 0.1);
        self::assertEqualsWithDelta(600.0, hypot($c->x - $b->x, $c->y - $b->y), 1e-6);
        self::assertGreaterThanOrEqual(0.0, Passage::turned(1305.0, 620.0, 900.0, 900.0));
        self::assertLessThan(0.0, Passage::turned(1306.0, 620.0, 900.0, 900.0));
    }

    public function test_where_nothing_of_usual_depth_turns_it_says_so(): void
    {
        self::assertSame('no box of 600 mm turns', self::text(self::drawn(new WayIn('turn', 'Turn', 500.0, 2000.0, 500.0))));
    }
}
