<?php

declare(strict_types=1);

namespace Tests\Core\Survey;

use Incastro\Measure\LengthFormat;
use Incastro\Survey\Network\Adjustment;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Path;
use Incastro\Survey\Room\Place;
use Incastro\Survey\Room\SpanSearch;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Trial\Dice;
use Incastro\Trial\HiddenRoom;
use Incastro\Trial\Tape;
use PHPUnit\Framework\TestCase;

/** The room as found: frames of runs, clear spans, floor and ceiling, and how honest their doubts are. */
final class RoomTest extends TestCase
{
    public function test_every_wall_has_a_frame_whose_left_end_is_where_u_begins(): void
    {
        $hidden = new HiddenRoom(SpaceShape::of(SpaceKind::Closet), 8);
        $room = (new TestSpace($hidden->shape))->read($hidden->truth(...))->survey()->room;
        self::assertNotNull($room);
        foreach ($room->shape->walls() as $wall) {
            $frame = $room->frame($wall);
            [$u, $v] = $frame->place($room->corners[$room->shape->after($wall)]);
            self::assertEqualsWithDelta(0.0, hypot($u, $v), 1e-6);
            [$u, $v] = $frame->place($room->corners[$wall]);
            self::assertEqualsWithDelta($frame->length(), $u, 1e-6);
            // Out from a wall is into the room.
            [, $inside] = $frame->place($room->corners[($wall + 3) % 6]);
            self::assertGreaterThanOrEqual(-20.0, $inside);
            // A place and its point are inverse to each other.
            $point = $frame->point(123.0, 45.0);
            self::assertEqualsWithDelta(123.0, $frame->place($point)[0], 1e-6);
            self::assertEqualsWithDelta(45.0, $frame->place($point)[1], 1e-6);
        }
    }

    public function test_the_span_of_a_longer_path_is_never_wider(): void
    {
        $hidden = new HiddenRoom(SpaceShape::of(SpaceKind::Closet), 12);
        $room = (new TestSpace($hidden->shape))->read($hidden->truth(...))->survey()->room;
        self::assertNotNull($room);
        $frame = $room->frame();
        $whole = $room->span($frame, new Path(0.0, 1000.0, 0.0, 2200.0));
        foreach ([[0.0, 500.0, 0.0, 2200.0], [0.0, 1000.0, 300.0, 1500.0], [400.0, 600.0, 900.0, 1000.0]] as $path) {
            self::assertGreaterThanOrEqual($whole->width - 1e-6, $room->span($frame, new Path(...$path))->width);
        }
        // The places that bind are on the path, and the walls stand there.
        self::assertEqualsWithDelta($whole->right - $whole->left, $whole->width, 1e-9);
        self::assertEqualsWithDelta($frame->leftAt($whole->leftDepth, $whole->leftHeight), $whole->left, 1e-9);
    }

    public function test_an_open_side_ends_where_its_wall_does(): void
    {
        $hidden = new HiddenRoom(SpaceShape::of(SpaceKind::RoomCorner), 5);
        $room = (new TestSpace($hidden->shape))->read($hidden->truth(...))->survey()->room;
        self::assertNotNull($room);
        $frame = $room->frame();
        // The other wall stands on the left; on the right the back wall simply ends.
        self::assertEqualsWithDelta($frame->length(), $frame->rightAt(300.0, 1000.0), 1e-6);
        self::assertEqualsWithDelta(0.0, $frame->leftAt(0.0, $room->network->planHeight), 1.0);
    }

    public function test_the_floor_is_0_at_its_highest_corner_and_below_it_elsewhere(): void
    {
        foreach ([1, 2, 3, 4] as $seed) {
            $hidden = new HiddenRoom(SpaceShape::of(SpaceKind::Closet), $seed);
            $room = (new TestSpace($hidden->shape))->read($hidden->truth(...))->survey()->room;
            self::assertNotNull($room);
            $heights = array_map($room->levels->floorAt(...), $room->corners);
            self::assertEqualsWithDelta(0.0, max($heights), 1e-9);
            self::assertEqualsWithDelta(-min($heights), $room->levels->fall($room->corners), 1e-9);
        }
    }

    public function test_the_doubt_of_spans_and_ceilings_is_honest(): void
    {
        // Closets read with their tools' σ: the true span is at least the one found less U in 95 %, and the ceiling within
        // 1.645 σ of the truth above in 95 %. HiddenRoom's walls lean, bow and twist about as the assumptions say.
        $spans = $ceilings = 0;
        $rooms = 60;
        for ($seed = 0; $seed < $rooms; $seed++) {
            $hidden = new HiddenRoom(SpaceShape::of(SpaceKind::Closet), 700 + $seed);
            $tape = new Tape(new Dice(40 + $seed), LengthFormat::of('mm/0.5'));
            $read = fn (\Closure $value) => (new TestSpace($hidden->shape))->read($value)->survey()->room;
            $room = $read(fn (Sheet $sheet, Slot $slot) => $tape->read($slot, $hidden->truth($sheet, $slot)));
            $true = $read($hidden->truth(...));
            self::assertNotNull($room);
            self::assertNotNull($true);
            $path = new Path(0.0, 900.0, 0.0, 2200.0);
            $span = $room->frame()->span($path);
            $spans += $true->frame()->span($path)->width >= $span->width - $span->doubt ? 1 : 0;
            $ceiling = $room->frame()->ceilingAt(500.0, 500.0) - 1.645 * $room->frame()->ceilingSigmaAt(500.0, 500.0);
            $ceilings += $true->frame()->ceilingAt(500.0, 500.0) >= $ceiling ? 1 : 0;
        }
        self::assertGreaterThanOrEqual(0.93 * $rooms, $spans);
        self::assertGreaterThanOrEqual(0.9 * $rooms, $ceilings);
    }

    public function test_a_looser_pair_of_places_that_is_known_worse_binds(): void
    {
        // Forty places on the left, known to 1 mm, at 0, −0.1, −0.2 …, and one at −10 known to 8; one on the right at 800 ± 0.
        $places = array_map(fn (int $i) => new Place(-0.1 * $i, 0.0, 50.0 * $i), range(0, 39));
        $places[] = new Place(-10.0, 0.0, 2100.0);
        $observations = array_map(fn (Place $place, int $i) => Observation::linear("left $i", $place->u, $i === 40 ? 8.0 : 1.0, [$i => 1.0]), $places, array_keys($places));
        $adjusted = Adjustment::solve($observations, array_fill(0, 41, 0.0));
        $search = new SpanSearch($adjusted, fn (Place $place) => [(int) array_search($place, $places, true) => 1.0], fn (Place $place) => []);
        $span = $search->between($places, [new Place(800.0, 0.0, 0.0)]);
        self::assertEqualsWithDelta(800.0, $span->width, 1e-6);
        // By the tightest pair 800 − 1.645 = 798.36 is free; by the worst known 810 − 1.645 · 8 = 796.84.
        self::assertEqualsWithDelta(796.84, $span->width - $span->doubt, 1e-6);
    }
}
