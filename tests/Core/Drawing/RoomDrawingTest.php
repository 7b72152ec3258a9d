<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Incastro\Drawing\Dimension;
use Incastro\Drawing\Drawing;
use Incastro\Drawing\DrawnPoint;
use Incastro\Drawing\Outline;
use Incastro\Drawing\PlanDrawing;
use Incastro\Drawing\ReadingText;
use Incastro\Drawing\Shape;
use Incastro\Drawing\Style;
use Incastro\Drawing\WallDrawing;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Survey;
use Incastro\Survey\Things\Face;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Survey\Things\ThingRule;
use Incastro\Trial\HiddenRoom;
use PHPUnit\Framework\TestCase;
use Tests\Core\Survey\TestSpace;

/** Plan and walls of spaces of any kind, drawn from their readings. */
final class RoomDrawingTest extends TestCase
{
    /** @param list<Thing> $things */
    private function survey(SpaceKind $kind, int $seed = 3, array $things = []): Survey
    {
        $hidden = new HiddenRoom(SpaceShape::of($kind), $seed);

        return (new TestSpace($hidden->shape))->read($hidden->truth(...))->survey($things);
    }

    private function plan(Survey $survey): Drawing
    {
        $room = $survey->room ?? $survey->draft;
        self::assertNotNull($room);

        return (new PlanDrawing($survey, $room, new ReadingText($survey, LengthFormat::millimetres())))->draw();
    }

    private function wall(Survey $survey, int $wall): Drawing
    {
        $room = $survey->room ?? $survey->draft;
        self::assertNotNull($room);

        return (new WallDrawing($survey, $room, $wall, new ReadingText($survey, LengthFormat::millimetres()), LengthFormat::millimetres()))->draw();
    }

    /** @return list<Shape> */
    private function of(Drawing $drawing, string $ref): array
    {
        return array_values(array_filter($drawing->shapes(), fn (Shape $shape) => $shape->ref === $ref));
    }

    public function test_the_back_wall_lies_at_the_top_with_its_left_end_on_the_left(): void
    {
        $plan = $this->plan($this->survey(SpaceKind::Closet));
        [$b] = $this->of($plan, 'corner:B');
        [$a] = $this->of($plan, 'corner:A');
        [$c] = $this->of($plan, 'corner:C');
        self::assertLessThan($a->points()[0]->x, $b->points()[0]->x);
        self::assertLessThan($b->points()[0]->y, $c->points()[0]->y);
        // A wall is drawn as a wall, a door as an opening.
        self::assertSame(Style::House, $this->of($plan, 'edge:0')[0]->style);
        self::assertSame(Style::Hidden, $this->of($plan, 'edge:3')[0]->style);
    }

    public function test_exaggerated_once_a_plan_is_true_and_without_crookedness_right_angled(): void
    {
        $plan = $this->plan($this->survey(SpaceKind::Closet));
        $corners = $this->of($plan, 'floor')[0]->points();
        $straight = array_map(fn (DrawnPoint $point) => $point->exaggerated(0.0), $corners);
        self::assertEqualsWithDelta($straight[0]->y, $straight[1]->y, 1e-6);
        self::assertEqualsWithDelta($straight[1]->x, $straight[2]->x, 1e-6);
        self::assertNotEqualsWithDelta($corners[1]->x, $corners[2]->x, 1e-6);
    }

    public function test_a_space_nobody_measured_is_drawn_all_the_same(): void
    {
        foreach (SpaceKind::cases() as $kind) {
            $survey = (new TestSpace(SpaceShape::of($kind)))->survey();
            $shape = $survey->sheet->shape;
            self::assertNotEmpty($this->plan($survey)->layers['house']);
            foreach ($shape->walls() as $wall) {
                [$left, $bottom, $right, $top] = $this->wall($survey, $wall)->bounds();
                self::assertGreaterThan(100.0, $right - $left);
                self::assertTrue($top > 300.0 && $top < 4000.0, "$kind->value $wall: $top");
            }
        }
    }

    public function test_a_height_under_a_slope_is_drawn_on_the_wall_it_stands_nearest_to(): void
    {
        $survey = $this->survey(SpaceKind::RoofSlope);
        $where = fn (string $slot) => array_values(array_filter($survey->sheet->shape->walls(), fn (int $wall) => $this->of($this->wall($survey, $wall), $slot) !== []));
        self::assertSame([0], $where('height-knee-left'));
        self::assertSame([1], $where('height-slope-left'));
        self::assertSame([3], $where('height-front-right'));
        // Its line ends at the slope: floor to ceiling as read.
        [$line] = $this->of($this->wall($survey, 1), 'height-slope-left');
        self::assertInstanceOf(Dimension::class, $line);
        self::assertEqualsWithDelta($survey->readings['height-slope-left']->value(), $line->to->y - $line->from->y, 1.0);
    }

    public function test_a_thing_is_drawn_where_its_two_distances_put_it_and_says_which_they_are(): void
    {
        $thing = new Thing('t', ThingKind::Valve, 'Stop valve', Face::Wall, 0, 160.0, true, 420.0, false, 70.0, 60.0, 90.0, ThingRule::Reachable, 'front', 150.0, 0.0, null, null);
        $survey = $this->survey(SpaceKind::Closet, things: [$thing]);
        $length = $survey->room?->edgeLength(0) ?? 0.0;
        $shapes = $this->of($this->wall($survey, 0), 'thing:t');
        $outline = array_values(array_filter($shapes, fn (Shape $shape) => $shape instanceof Outline))[0];
        // 160 from the right corner to its near edge, 420 from the floor to its foot.
        self::assertEqualsWithDelta($length - 160.0, max(array_map(fn (DrawnPoint $point) => $point->x, $outline->points())), 1e-6);
        self::assertEqualsWithDelta(420.0, min(array_map(fn (DrawnPoint $point) => $point->y, $outline->points())), 1e-6);
        $texts = array_map(fn (Dimension $dimension) => $dimension->text, array_values(array_filter($shapes, fn (Shape $shape) => $shape instanceof Dimension)));
        self::assertSame(['160 mm', '420 mm'], $texts);
        // From above it stands out from the wall.
        $above = $this->of($this->plan($survey), 'thing:t')[0]->points();
        self::assertEqualsWithDelta(90.0, max(array_map(fn (DrawnPoint $point) => $point->y, $above)) - min(array_map(fn (DrawnPoint $point) => $point->y, $above)), 3.0);
    }

    public function test_a_sheet_to_fill_in_shows_numbers_instead_of_values(): void
    {
        $survey = $this->survey(SpaceKind::Closet);
        self::assertNotNull($survey->room);
        $drawing = (new PlanDrawing($survey, $survey->room, new ReadingText($survey, LengthFormat::millimetres(), ['side-A-B' => 5])))->draw();
        [$side] = $this->of($drawing, 'side-A-B');
        self::assertInstanceOf(Dimension::class, $side);
        self::assertSame('5', $side->text);
        [$other] = $this->of($drawing, 'side-B-C');
        self::assertInstanceOf(Dimension::class, $other);
        self::assertSame('', $other->text);
    }
}
