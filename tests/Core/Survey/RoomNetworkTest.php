<?php

declare(strict_types=1);

namespace Tests\Core\Survey;

use Incastro\Survey\Network\Adjustment;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Room\RoomNetwork;
use Incastro\Survey\Room\WallReadings;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Trial\HiddenRoom;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;

final class RoomNetworkTest extends TestCase
{
    /** The slopes that are known in closed form are those that a small step of every unknown shows. */
    #[DataProviderExternal(TestKind::class, 'all')]
    public function test_every_reading_depends_on_the_unknowns_as_small_steps_show(SpaceKind $kind): void
    {
        $space = new TestSpace(SpaceShape::of($kind));
        $hidden = new HiddenRoom($space->sheet->shape, 4);
        $space->read($hidden->truth(...));
        $room = $space->survey()->room;
        self::assertNotNull($room);
        $x = $room->adjusted->unknowns;
        foreach ($space->sheet->slots() as $slot) {
            $observation = (new WallReadings($room->network))->observation($slot->id, $slot, 0.0, 1.0);
            if ($observation === null || $observation->weights !== null) {
                continue;
            }
            $row = Adjustment::row($observation, $x);
            foreach ($x as $i => $value) {
                $up = ($observation->predict)([$i => $value + 0.01] + $x);
                $down = ($observation->predict)([$i => $value - 0.01] + $x);
                self::assertEqualsWithDelta(($up - $down) / 0.02, $row[$i] ?? 0.0, 1e-5, "$slot->id by unknown $i");
            }
        }
    }

    /**
     * By hand: a wall 30 mm off the square over 600, meeting the line 300 out; it stands 4 mm into the room there, and
     * moves along by 4/sin(angle) = 4·√(600² + 30²)/600 = 4.005 mm.
     */
    public function test_a_slanting_wall_moves_by_its_offset_over_the_sine(): void
    {
        $shape = SpaceShape::of(SpaceKind::Alcove);
        $space = new TestSpace($shape);
        $hidden = new HiddenRoom($shape, 1);
        $space->read($hidden->truth(...));
        $network = new RoomNetwork($space->sheet, array_values(array_filter($space->sheet->slots(), fn (Slot $slot) => $slot->kind === ReadingKind::Plumb)));
        // Corners: right back at the origin, left back at (1200, 0), left front at (1230, 600), right front at (0, 600).
        $x = array_replace(array_fill(0, $network->unknowns, 0.0), [1200.0, 1230.0, 600.0, 0.0, 600.0]);
        $straight = $network->meets($x, 1, 1000.0, 0, 300.0);
        foreach ($network->fields[1]->weights(300.0, 1000.0) as $i => $weight) {
            $x[$i] = 4.0;
        }
        self::assertEqualsWithDelta(-15.0, $straight, 1e-9);
        self::assertEqualsWithDelta(-15.0 + 4.0 * sqrt(600 ** 2 + 30 ** 2) / 600, $network->meets($x, 1, 1000.0, 0, 300.0), 1e-9);
    }
}
