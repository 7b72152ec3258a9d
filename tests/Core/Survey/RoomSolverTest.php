<?php

declare(strict_types=1);

namespace Tests\Core\Survey;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Survey\Network\Adjusted;
use Incastro\Survey\Network\Adjustment;
use Incastro\Survey\Network\Undetermined;
use Incastro\Survey\Plan\PlanNetwork;
use Incastro\Survey\PlanClosing;
use Incastro\Survey\Reading;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Room\RoomNetwork;
use Incastro\Survey\Room\RoomSolver;
use Incastro\Survey\Room\WallAssumptions;
use Incastro\Survey\Room\WallReadings;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Trial\Dice;
use Incastro\Trial\HiddenRoom;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;

/** Readings of which one slipped: the room that is found for them is the best of all from which one could start. */
final class RoomSolverTest extends TestCase
{
    #[DataProviderExternal(TestKind::class, 'all')]
    public function test_no_constructed_plan_leads_to_a_better_room(SpaceKind $kind): void
    {
        $compared = 0;
        for ($seed = 1; $seed <= 10; $seed++) {
            $dice = new Dice($seed);
            $hidden = new HiddenRoom(SpaceShape::of($kind), $seed);
            $space = new TestSpace($hidden->shape);
            $slot = $dice->pick(array_values(array_filter($space->sheet->slots(), fn (Slot $slot) => in_array($slot->kind, [ReadingKind::Side, ReadingKind::Width, ReadingKind::Depth, ReadingKind::Diagonal], true))));
            $slip = $dice->pick([-100.0, -25.4, 10.0, 60.0, 100.0]);
            $space->read(fn (Sheet $sheet, Slot $now) => $hidden->truth($sheet, $now) + ($now->id === $slot->id ? $slip : 0.0));
            $readings = [];
            foreach ($space->takes as $take) {
                $at = $space->slot($take->slot);
                $readings[$at->id] = new Reading($at, [$take]);
            }
            $sheet = $space->sheet->knowing($readings);
            $taken = array_values(array_map(fn (Reading $reading) => $reading->slot, $readings));
            $network = new RoomNetwork($sheet, $taken);
            $closing = new PlanClosing($network, $readings);
            $observations = (new WallAssumptions($network, $taken))->all();
            foreach ($readings as $reading) {
                $take = $reading->takes[0];
                $observation = (new WallReadings($network))->observation($take->id, $reading->slot, $take->signed($reading->slot), $reading->sigmaOf($take));
                $observations = $observation === null ? $observations : [...$observations, $observation];
            }
            $found = (new RoomSolver($network, $closing))->solved($observations);
            self::assertNotNull($found, "$slot->id $slip in room $seed");
            foreach ($closing->guesses() as $guess) {
                try {
                    $other = Adjustment::solve($observations, array_values(array_replace(array_fill(0, $network->unknowns, 0.0), PlanNetwork::unknownsOf($guess))));
                } catch (Undetermined) {
                    continue;
                }
                if (self::plan($other, $hidden)->isSimple() && self::plan($other, $hidden)->signedArea() > 0.0) {
                    self::assertLessThanOrEqual($other->sumOfSquares() + 0.1, $found->sumOfSquares(), "$slot->id $slip in room $seed");
                    $compared++;
                }
            }
            // And it is a plan at all, with its corners the right way round.
            self::assertTrue(self::plan($found, $hidden)->isSimple());
            self::assertGreaterThan(0.0, self::plan($found, $hidden)->signedArea());
        }
        self::assertGreaterThan(9, $compared);
    }

    private static function plan(Adjusted $adjusted, HiddenRoom $hidden): Polygon
    {
        return new Polygon(array_map(fn (int $corner): Point => PlanNetwork::at($adjusted->unknowns, $corner), array_keys($hidden->shape->edges)));
    }
}
