<?php

declare(strict_types=1);

namespace Tests\Core\Survey;

use Incastro\Geometry\Point;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Survey\Path;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\CeilingKind;
use Incastro\Survey\Space\EdgeKind;
use Incastro\Survey\Space\ExtraSlot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\SpaceSurvey;
use Incastro\Survey\Survey;
use Incastro\Survey\Things\Face;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Survey\Things\ThingRule;
use Incastro\Trial\Dice;
use Incastro\Trial\HiddenRoom;
use Incastro\Trial\Tape;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;

/** Spaces of every kind, found from readings of a room that is known. */
final class SpaceSurveyTest extends TestCase
{
    #[DataProviderExternal(TestKind::class, 'all')]
    public function test_a_perfect_tape_finds_every_kind_of_space_without_a_warning(SpaceKind $kind): void
    {
        foreach ([1, 2, 3] as $seed) {
            $hidden = new HiddenRoom(SpaceShape::of($kind), $seed);
            $survey = (new TestSpace($hidden->shape))->read($hidden->truth(...))->survey();
            self::assertSame([], self::warnings($survey), "$kind->value $seed");
            self::assertNotNull($survey->room);
            self::assertTrue($survey->isSure());
            foreach ($hidden->corners as $i => $corner) {
                self::assertLessThan(1.5, $corner->distanceTo($survey->room->corners[$i]), "$kind->value $seed corner $i");
            }
        }
    }

    #[DataProviderExternal(TestKind::class, 'all')]
    public function test_its_starting_sheet_is_short_and_says_how(SpaceKind $kind): void
    {
        $slots = (new TestSpace(SpaceShape::of($kind)))->sheet->slots();
        self::assertLessThanOrEqual($kind->mostTakes(), count($slots));
        self::assertSame(count($slots), count(array_unique(array_map(fn (Slot $slot) => $slot->id, $slots))));
        foreach ($slots as $slot) {
            self::assertNotSame('', $slot->how);
            self::assertSame($slot->kind->takesEnd(), $slot->ends !== []);
        }
    }

    public function test_slips_are_named_or_stand_in_the_set_that_is_asked_for_again(): void
    {
        // Tapes with their own σ and one inch of slip in a required length: named, or in a set with others.
        $dice = new Dice(11);
        $found = $all = $false = 0;
        foreach ([SpaceKind::Closet, SpaceKind::UnderStair, SpaceKind::RoofSlope, SpaceKind::Chimney] as $kind) {
            for ($i = 0; $i < 20; $i++) {
                $hidden = new HiddenRoom(SpaceShape::of($kind), 500 + $i);
                $lengths = array_values(array_filter((new TestSpace($hidden->shape))->sheet->slots(), fn (Slot $slot) => $slot->required && ! $slot->kind->isAngle() && ! $slot->kind->takesEnd() && ! in_array($slot->kind, [ReadingKind::Skirting, ReadingKind::Rise], true)));
                assert($lengths !== []);
                $wrong = $dice->pick($lengths)->id;
                $by = $dice->pick([-25.4, 25.4]);
                $tape = new Tape(new Dice(900 + $i), LengthFormat::millimetres());
                $survey = (new TestSpace($hidden->shape))->read(fn (Sheet $sheet, Slot $slot) => $tape->read($slot, $hidden->truth($sheet, $slot)) + ($slot->id === $wrong ? $by : 0.0))->survey();
                $said = array_filter($survey->findings, fn (Finding $finding) => $finding->severity === Severity::Warning);
                $all++;
                $found += in_array($wrong, $survey->struck, true) || array_filter($said, fn (Finding $finding) => $finding->place === $wrong || in_array($wrong, $finding->related, true)) !== [] ? 1 : 0;
                $false += array_diff($survey->struck, [$wrong]) !== [] ? 1 : 0;
            }
        }
        self::assertGreaterThanOrEqual(0.9 * $all, $found);
        self::assertLessThanOrEqual(0.08 * $all, $false);
    }

    public function test_before_anything_is_read_the_usual_shape_is_drawn_and_nothing_is_built(): void
    {
        $survey = (new TestSpace(SpaceShape::of(SpaceKind::Chimney)))->survey();
        self::assertNull($survey->room);
        self::assertNotNull($survey->draft);
        self::assertNull($survey->draft->wallOffsetSigma(0, 100.0, 1000.0));
        self::assertSame([], self::warnings($survey));
        self::assertGreaterThan(20, $survey->toGo());
    }

    public function test_a_plan_without_a_diagonal_is_not_checked_and_asks_for_one(): void
    {
        $hidden = new HiddenRoom(SpaceShape::of(SpaceKind::Closet), 4);
        $survey = (new TestSpace($hidden->shape))->read(fn (Sheet $sheet, Slot $slot) => $slot->kind === ReadingKind::Diagonal || $slot->kind === ReadingKind::Corner ? null : $hidden->truth($sheet, $slot))->survey();
        self::assertFalse($survey->planIsChecked);
        self::assertFalse($survey->isSure());
    }

    public function test_under_a_slope_the_lowest_plane_counts(): void
    {
        // Knee wall 900, then up at 45° (900 + v), under a flat ceiling of 2400: they meet 1500 in.
        $space = (new TestSpace(SpaceShape::of(SpaceKind::RoofSlope)))->read(fn (Sheet $sheet, Slot $slot) => match (true) {
            $slot->kind === ReadingKind::Height && $slot->plane === 0 => 900.0 + $slot->spots[0]->depth,
            $slot->kind === ReadingKind::Height => 2400.0,
            $slot->kind === ReadingKind::Slope => 45.0,
            default => self::square($sheet, $slot),
        });
        $survey = $space->survey();
        self::assertSame([], self::warnings($survey));
        $frame = $survey->room?->frame();
        self::assertNotNull($frame);
        self::assertEqualsWithDelta(900.0, $frame->ceilingAt(1000.0, 0.0), 0.1);
        self::assertEqualsWithDelta(1400.0, $frame->ceilingAt(1000.0, 500.0), 0.1);
        self::assertEqualsWithDelta(2400.0, $frame->ceilingAt(1000.0, 1700.0), 0.1);
        self::assertEqualsWithDelta(900.0, $frame->lowestCeiling(600.0)[0], 0.1);
        self::assertEqualsWithDelta(45.0, $survey->room->levels->slopeAt($frame->point(1000.0, 300.0)), 0.05);
    }

    public function test_a_chase_in_the_side_narrows_the_span_where_it_stands(): void
    {
        // 1500 wide; on the left a chase 200 deep and 300 wide from the back wall: seen from above, anticlockwise from the
        // right back corner: back wall 1300 to the chase, its face 300 out, 200 to the left wall, 600 on to the front.
        $shape = SpaceShape::any([EdgeKind::Wall, EdgeKind::Wall, EdgeKind::Wall, EdgeKind::Wall, EdgeKind::Open, EdgeKind::Wall], [2], CeilingKind::Flat);
        $corners = [new Point(0.0, 0.0), new Point(1300.0, 0.0), new Point(1300.0, 300.0), new Point(1500.0, 300.0), new Point(1500.0, 900.0), new Point(0.0, 900.0)];
        $survey = (new TestSpace($shape))->read(fn (Sheet $sheet, Slot $slot) => self::ofCorners($corners, $slot))->survey();
        self::assertSame([], self::warnings($survey));
        $room = $survey->room;
        self::assertNotNull($room);
        $frame = $room->frame();
        // Seen from the front, the chase's cheek stands at u = 0 of the back wall that ends there.
        self::assertEqualsWithDelta(1300.0, $frame->length(), 0.1);
        self::assertEqualsWithDelta(0.0, $frame->leftAt(150.0, 1000.0), 0.1);
        self::assertEqualsWithDelta(-200.0, $frame->leftAt(600.0, 1000.0), 0.1);
        self::assertEqualsWithDelta(1300.0, $room->span($frame, new Path(0.0, 900.0, 0.0, 2000.0))->width, 0.1);
        self::assertEqualsWithDelta(1500.0, $room->span($frame, new Path(310.0, 900.0, 0.0, 2000.0))->width, 0.1);
    }

    public function test_offsets_by_rule_give_the_bow_of_a_wall_wherever_the_straightedge_stood(): void
    {
        // The left wall bows 6 mm into the room over 2400: 6·(1 − (2z/2400 − 1)²). The plumb straightedge stands 40 off it.
        $bow = fn (float $z) => 6.0 * (1 - (2 * $z / 2400.0 - 1) ** 2);
        $extra = new ExtraSlot('x-bow', ReadingKind::Offset, wall: 1, along: 300.0);
        $space = (new TestSpace(SpaceShape::of(SpaceKind::Alcove), [$extra]))->read(fn (Sheet $sheet, Slot $slot) => match (true) {
            $slot->kind === ReadingKind::Offset => 40.0 - $bow((float) $slot->height),
            $slot->kind === ReadingKind::Plumb && $slot->wall === 1 => $bow((float) $slot->height + (float) $slot->span) - $bow((float) $slot->height),
            $slot->kind === ReadingKind::Width => 900.0 - $bow((float) $slot->height) + $bow($sheet->places()->planHeight()),
            $slot->kind === ReadingKind::Corner => null,
            default => self::square($sheet, $slot, 900.0, 600.0),
        });
        self::assertGreaterThanOrEqual(9, count(array_filter($space->sheet->slots(), fn (Slot $slot) => $slot->kind === ReadingKind::Offset)));
        $survey = $space->survey();
        self::assertSame([], self::warnings($survey));
        $room = $survey->room;
        self::assertNotNull($room);
        $plan = $space->sheet->places()->planHeight();
        foreach ([100.0, 600.0, 1800.0, 2300.0] as $z) {
            self::assertEqualsWithDelta($bow($z) - $bow($plan), $room->wallOffset(1, 300.0, $z), 0.5, "at $z");
            // A rule reads to 0.3, and the level's own doubt tilts the whole line.
            self::assertLessThan(1.6, $room->wallOffsetSigma(1, 300.0, $z));
        }
    }

    public function test_a_plumb_reading_speaks_for_the_levels_own_span_alone(): void
    {
        // The lower half of the left wall leans in 6 a metre, the upper half is plumb: each level says so of its own half.
        $lean = fn (float $z) => 0.006 * min($z, 1200.0);
        $space = (new TestSpace(SpaceShape::of(SpaceKind::Alcove)))->read(fn (Sheet $sheet, Slot $slot) => match (true) {
            $slot->kind === ReadingKind::Plumb && $slot->wall === 1 => $lean((float) $slot->height + (float) $slot->span) - $lean((float) $slot->height),
            $slot->kind === ReadingKind::Width => 900.0 - $lean((float) $slot->height) + $lean(1200.0),
            $slot->kind === ReadingKind::Corner => null,
            default => self::square($sheet, $slot, 900.0, 600.0),
        });
        $room = $space->survey()->room;
        self::assertNotNull($room);
        self::assertEqualsWithDelta(-6.0, $room->wallOffset(1, 300.0, 200.0), 0.4);
        self::assertEqualsWithDelta(0.0, $room->wallOffset(1, 300.0, 2000.0), 0.4);
    }

    public function test_a_side_read_at_another_height_is_reduced_to_the_plan_by_the_walls_lean(): void
    {
        // Left wall leans in 10 over 2400, so at z the back wall's corners are 1800 − 10·(z − 1000)/2400 apart.
        $shape = SpaceShape::of(SpaceKind::Closet);
        $hidden = new HiddenRoom($shape, 9);
        $survey = (new TestSpace($shape))->read($hidden->truth(...))->survey();
        $room = $survey->room;
        self::assertNotNull($room);
        $low = $room->cornerAt(0, 100.0)->distanceTo($room->cornerAt(1, 100.0));
        $high = $room->cornerAt(0, 2200.0)->distanceTo($room->cornerAt(1, 2200.0));
        // Corners move with both walls that meet there: left wall (1) and right wall (5), at their back ends.
        $change = fn (float $z) => -$room->wallOffset(1, $room->edgeLength(1), $z) - $room->wallOffset(5, 0.0, $z);
        self::assertEqualsWithDelta($change(2200.0) - $change(100.0), $high - $low, 0.6);
    }

    public function test_a_tie_fixes_a_corner_where_a_diagonal_is_blocked(): void
    {
        // From B (left back) to a mark 200 along the right wall from its left end as one faces it, which is its front end
        // … 600 − 200 = 400 from the back: √(900² + 400²).
        $extra = new ExtraSlot('x-tie', ReadingKind::Tie, from: 1, wall: 3, along: 400.0);
        $space = (new TestSpace(SpaceShape::of(SpaceKind::Alcove), [$extra]))->read(fn (Sheet $sheet, Slot $slot) => match ($slot->kind) {
            ReadingKind::Diagonal, ReadingKind::Corner => null,
            ReadingKind::Tie => hypot(900.0, 400.0),
            default => self::square($sheet, $slot, 900.0, 600.0),
        });
        $survey = $space->survey();
        self::assertTrue($survey->planIsChecked);
        self::assertEqualsWithDelta(900.0, $survey->room?->corners[2]->x ?? 0.0, 1.0);
    }

    public function test_things_outside_their_wall_are_said_with_the_field_and_nothing_else_stops(): void
    {
        $hidden = new HiddenRoom(SpaceShape::of(SpaceKind::Alcove), 2);
        $space = (new TestSpace($hidden->shape))->read($hidden->truth(...));
        $thing = fn (float $along, float $up) => new Thing('t', ThingKind::Socket, 'Socket', Face::Wall, 0, $along, false, $up, false, 80.0, 80.0, 10.0, ThingRule::Reachable, 'front', 0.0, 0.0, null, null);
        $codes = fn (Thing $thing) => array_map(fn (Finding $finding) => $finding->code->value, array_filter($space->survey([$thing])->findings, fn (Finding $finding) => $finding->place === 'thing:t'));
        self::assertSame(['caution'], array_values($codes($thing(100.0, 300.0))));
        self::assertContains('thing-outside', $codes($thing(4000.0, 300.0)));
        self::assertContains('thing-outside', $codes($thing(100.0, 5000.0)));
        self::assertNotNull($space->survey([$thing(4000.0, 300.0)])->room);
    }

    public function test_a_reading_that_cannot_be_taken_is_asked_for_no_more(): void
    {
        $shape = SpaceShape::of(SpaceKind::Alcove);
        $without = new Sheet($shape, SheetChoices::defaults(Unit::Millimetre), skipped: ['width-high-front']);
        $required = fn (Sheet $sheet) => count(array_filter($sheet->slots(), fn (Slot $slot) => $slot->required));
        self::assertSame($required((new TestSpace($shape))->sheet) - 1, $required($without));
    }

    public function test_a_corner_that_nothing_holds_is_named_with_the_reading_that_would_hold_it(): void
    {
        // Five corners with all sides, but no diagonal can be taken: a linkage of bars with two freedoms.
        $shape = SpaceShape::any([EdgeKind::Wall, EdgeKind::Wall, EdgeKind::Wall, EdgeKind::Open, EdgeKind::Wall], [], CeilingKind::Flat);
        $space = (new TestSpace($shape))->read(fn (Sheet $sheet, Slot $slot) => $slot->kind === ReadingKind::Diagonal ? null : self::ofCorners($shape->nominal, $slot));
        $cannot = array_values(array_map(fn (Slot $slot) => $slot->id, array_filter($space->sheet->slots(), fn (Slot $slot) => $slot->kind === ReadingKind::Diagonal)));
        $survey = (new SpaceSurvey(new Sheet($shape, SheetChoices::defaults(Unit::Millimetre), skipped: $cannot), $space->takes, [], LengthFormat::millimetres()))->solve();
        self::assertNull($survey->room);
        self::assertStringContainsString('Corner', self::warnings($survey)[0]);
        self::assertMatchesRegularExpression('/Corners? .*D.* floats?: .*“Diagonal .*would help most/', self::warnings($survey)[0]);
    }

    /** What a true room of given size reads: 2400 high, right-angled, plumb and level. */
    private static function square(Sheet $sheet, Slot $slot, float $width = 2400.0, float $depth = 1800.0): float
    {
        return match ($slot->kind) {
            ReadingKind::Height => 2400.0,
            ReadingKind::Width => $width,
            ReadingKind::Side, ReadingKind::Depth, ReadingKind::Diagonal => self::ofCorners([new Point(0.0, 0.0), new Point($width, 0.0), new Point($width, $depth), new Point(0.0, $depth)], $slot),
            ReadingKind::Corner => 90.0,
            default => 0.0,
        };
    }

    /** @param list<Point> $corners of a plumb and level room, 2400 high */
    private static function ofCorners(array $corners, Slot $slot): float
    {
        $angle = function (int $at) use ($corners, $slot): float {
            [$p, $next, $before] = [$corners[$at], $corners[(int) $slot->to], $corners[(int) $slot->from]];
            $turn = rad2deg(atan2($before->y - $p->y, $before->x - $p->x) - atan2($next->y - $p->y, $next->x - $p->x));
            $interior = $turn < 0 ? $turn + 360.0 : $turn;

            return $slot->outside ? 360.0 - $interior : $interior;
        };

        return match ($slot->kind) {
            ReadingKind::Side, ReadingKind::Depth, ReadingKind::Diagonal => $corners[(int) $slot->from]->distanceTo($corners[(int) $slot->to]),
            ReadingKind::Corner => $angle((int) $slot->at),
            ReadingKind::Height => 2400.0,
            default => 0.0,
        };
    }

    /** @return list<string> */
    private static function warnings(Survey $survey): array
    {
        return array_values(array_map(fn (Finding $finding) => $finding->sentence, array_filter($survey->findings, fn (Finding $finding) => $finding->severity === Severity::Warning)));
    }

    public function test_a_plane_of_the_ceiling_that_nobody_read_is_missing(): void
    {
        // Its knee wall and its slope are read; of the flat ceiling nothing is.
        $read = fn (bool $isFlatRead) => (new TestSpace(SpaceShape::of(SpaceKind::RoofSlope)))->read(fn (Sheet $sheet, Slot $slot) => match (true) {
            $slot->kind === ReadingKind::Height && $slot->plane === 0 => 900.0 + $slot->spots[0]->depth,
            $slot->kind === ReadingKind::Height => $isFlatRead ? 2400.0 : null,
            $slot->kind === ReadingKind::Slope => 45.0,
            default => self::square($sheet, $slot),
        })->survey();
        self::assertNotNull($read(true)->room);
        self::assertNull($read(false)->room);
    }
}
