<?php

declare(strict_types=1);

namespace Tests\Core\Survey;

use Incastro\Survey\ReadingKind;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\CeilingKind;
use Incastro\Survey\Space\EdgeKind;
use Incastro\Survey\Space\ExtraSlot;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Tool;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a starting sheet asks of plans of any size, and the readings a person adds to it. */
final class SheetsTest extends TestCase
{
    /** @return array<string, array{int}> */
    public static function corners(): array
    {
        return ['triangle' => [3], 'five' => [5], 'eight' => [8], 'twenty-four' => [24]];
    }

    #[DataProvider('corners')]
    public function test_any_plan_is_determined_and_has_readings_to_spare(int $corners): void
    {
        $sheet = (new TestSpace(SpaceShape::any(array_fill(0, $corners, EdgeKind::Wall), [], CeilingKind::Flat)))->sheet;
        $plan = array_filter($sheet->slots(), fn (Slot $slot) => $slot->required && ($slot->kind->isBetweenCorners() || in_array($slot->kind, [ReadingKind::Tie, ReadingKind::Corner, ReadingKind::ThreeFourFive], true)));
        // 2n − 3 unknowns.
        self::assertGreaterThan(2 * $corners - 3, count($plan));
        foreach ($plan as $slot) {
            if ($slot->kind === ReadingKind::Diagonal) {
                self::assertTrue($sheet->shape->sees((int) $slot->from, (int) $slot->to), $slot->id);
            }
        }
    }

    public function test_outside_corners_are_gauged_from_outside_and_no_diagonal_runs_through_the_masonry(): void
    {
        $space = new TestSpace(SpaceShape::of(SpaceKind::Chimney));
        $corners = array_values(array_filter($space->sheet->slots(), fn (Slot $slot) => $slot->kind === ReadingKind::Corner));
        self::assertSame(['corner-C', 'corner-D'], array_map(fn (Slot $slot) => $slot->id, $corners));
        foreach ($corners as $corner) {
            self::assertTrue($corner->outside);
            self::assertTrue($corner->required);
            self::assertSame(Tool::Gauge, $corner->tool);
        }
        // From A, in one alcove, the other alcove's corners E and F are out of sight.
        $pairs = array_map(fn (Slot $slot) => $slot->id, array_filter($space->sheet->slots(), fn (Slot $slot) => $slot->kind === ReadingKind::Diagonal));
        self::assertNotContains('diagonal-A-E', $pairs);
        self::assertNotContains('diagonal-A-F', $pairs);
    }

    public function test_sides_across_an_opening_are_taped_and_those_along_a_wall_are_bent_into_the_corner(): void
    {
        $space = new TestSpace(SpaceShape::of(SpaceKind::Closet));
        self::assertSame(Tool::Inside, $space->slot('side-A-B')->tool);
        self::assertSame(Tool::Tape, $space->slot('side-D-E')->tool);
        self::assertStringContainsString('door opening', $space->slot('side-D-E')->label);
    }

    public function test_heights_under_a_slope_name_the_plane_that_they_reach(): void
    {
        $space = new TestSpace(SpaceShape::of(SpaceKind::RoofSlope));
        self::assertSame([0, 0, 1], array_map(fn (string $id) => $space->slot($id)->plane, ['height-knee-left', 'height-slope-right', 'height-front-middle']));
        $rake = new TestSpace(SpaceShape::of(SpaceKind::UnderStair, CeilingKind::RakeAndFlat));
        self::assertSame([0, 1], array_map(fn (string $id) => $rake->slot($id)->plane, ['height-back-low', 'height-back-high']));
    }

    public function test_a_low_wall_is_measured_within_its_own_height(): void
    {
        $space = new TestSpace(SpaceShape::of(SpaceKind::RoofSlope));
        $knee = $space->slot('plumb-A–B-low-middle');
        // A knee wall thought to be 900 high: the level is held between 100 above the floor and 100 below the slope.
        self::assertLessThanOrEqual(800.0, (float) $knee->height + (float) $knee->span);
        self::assertSame(Tool::Level600, $knee->tool);
        self::assertLessThanOrEqual(450.0, $space->slot('side-A-B')->height);
    }

    public function test_a_straightedge_has_stations_200_to_300_apart_at_one_place(): void
    {
        $plumb = new TestSpace(SpaceShape::of(SpaceKind::Alcove), [new ExtraSlot('x-1', ReadingKind::Offset, wall: 1, along: 350.0)]);
        $level = new TestSpace(SpaceShape::of(SpaceKind::Closet), [new ExtraSlot('x-2', ReadingKind::Offset, wall: 0, height: 900.0, isLevel: true)]);
        foreach ([[$plumb, 'height', 'along', 350.0], [$level, 'along', 'height', 900.0]] as [$space, $moves, $stays, $place]) {
            $stations = array_values(array_filter($space->sheet->slots(), fn (Slot $slot) => $slot->kind === ReadingKind::Offset));
            self::assertGreaterThan(5, count($stations));
            foreach ($stations as $i => $slot) {
                self::assertSame($place, $slot->{$stays});
                self::assertSame(Tool::Rule, $slot->tool);
                if ($i > 0) {
                    $step = $slot->{$moves} - $stations[$i - 1]->{$moves};
                    self::assertTrue($step >= 200.0 && $step <= 300.0, "step $step");
                }
            }
        }
    }

    public function test_added_readings_stand_at_the_end_and_are_never_required(): void
    {
        $space = new TestSpace(SpaceShape::of(SpaceKind::Alcove), [
            new ExtraSlot('x-345', ReadingKind::ThreeFourFive, from: 1),
            new ExtraSlot('x-height', ReadingKind::Height, wall: 0, along: 300.0, depth: 200.0),
            new ExtraSlot('x-plumb', ReadingKind::Plumb, wall: 0, along: 100.0, height: 300.0),
        ]);
        $last = array_slice($space->sheet->slots(), -3);
        self::assertSame(['x-345', 'x-height', 'x-plumb'], array_map(fn (Slot $slot) => $slot->id, $last));
        self::assertSame([600.0, 800.0], $last[0]->legs);
        self::assertSame([], array_filter($last, fn (Slot $slot) => $slot->required));
    }

    public function test_slots_name_the_other_side_that_may_have_been_written_here_by_mistake(): void
    {
        $space = new TestSpace(SpaceShape::of(SpaceKind::Alcove));
        foreach (['height-left' => 'height-right', 'depth-right' => 'depth-left', 'plumb-left-low' => 'plumb-right-low', 'diagonal-left' => 'diagonal-right'] as $id => $other) {
            self::assertSame($other, $space->slot($id)->swap);
            self::assertSame($id, $space->slot($other)->swap);
        }
    }
}
