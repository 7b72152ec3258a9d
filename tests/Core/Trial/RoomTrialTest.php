<?php

declare(strict_types=1);

namespace Tests\Core\Trial;

use Incastro\Fit\FittedRun;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Things\ThingKind;
use Incastro\Trial\Dice;
use Incastro\Trial\Grade;
use Incastro\Trial\Judge;
use Incastro\Trial\Person;
use Incastro\Trial\PieceJudge;
use Incastro\Trial\Plaster;
use Incastro\Trial\RoomTrial;
use Incastro\Trial\TrialReport;
use Incastro\Trial\TrueRoom;
use Incastro\Trial\TrueThing;
use Incastro\Trial\TrueWall;
use Incastro\Units\Assembly;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RoomTrialTest extends TestCase
{
    /** @return list<array{SpaceKind}> */
    public static function kinds(): array
    {
        return [[SpaceKind::Alcove], [SpaceKind::Closet], [SpaceKind::UnderStair], [SpaceKind::RoofSlope]];
    }

    #[DataProvider('kinds')]
    public function test_everything_goes_in_at_the_first_try(SpaceKind $kind): void
    {
        $report = new TrialReport($kind, 1);
        $trial = new RoomTrial($kind, 0.0, true);
        for ($seed = 1; $seed <= 25; $seed++) {
            $report->add($trial->run($seed));
        }
        $result = $report->toArray(0.0);
        self::assertSame(1.0, $result['first_time_fit'], json_encode($result['worst_rooms'], JSON_THROW_ON_ERROR));
        self::assertLessThanOrEqual(1.5, $result['template_gap_mm']['p95']);
        self::assertLessThanOrEqual(1.0, $result['in_place_gap_mm']['p95']);
        self::assertGreaterThanOrEqual(0.995, $result['gaps_covered']);
        self::assertLessThanOrEqual(0.05, $result['padded']);
        self::assertSame(0, $result['pieces_put_in']);
    }

    /** Every piece, among things on the walls, in layouts with members and runs that meet in corners. */
    #[DataProvider('kinds')]
    public function test_every_piece_goes_into_furnished_rooms(SpaceKind $kind): void
    {
        $report = new TrialReport($kind, 1);
        $trial = new RoomTrial($kind, 0.0);
        $things = [];
        for ($seed = 1; $seed <= 18; $seed++) {
            $result = $trial->run($seed);
            $report->add($result);
            foreach ($result->plan->space->things as $thing) {
                $things[$thing->kind->value] = true;
            }
        }
        $result = $report->toArray(0.0);
        self::assertSame(1.0, $result['first_time_fit'], json_encode($result['worst_rooms'], JSON_THROW_ON_ERROR));
        self::assertSame(0, $result['overlaps']);
        self::assertGreaterThan(400, $result['pieces_put_in']);
        self::assertLessThanOrEqual(0.12, $result['refused']);
        self::assertSame([], array_diff(['socket', 'pipe', 'post'], array_keys($things)));
    }

    public function test_a_piece_in_a_wall_a_thing_or_another_piece_does_not_pass(): void
    {
        $result = (new RoomTrial(SpaceKind::Alcove, 0.0))->run(3);
        $run = $result->plan->layout->runs[0] ?? null;
        $assembly = $result->plan->assemblies[0] ?? null;
        self::assertNotNull($run);
        self::assertNotNull($assembly);
        [$by, $level] = $result->judge->stands[$run->run->id];
        $judged = function (array $things, float $by, Assembly $assembly) use ($result, $run, $level): array {
            $judge = new PieceJudge($result->room, $things, false);
            $judge->run($run, $assembly, $by, $level);

            return $judge->jams;
        };
        self::assertSame([], $judged([], $by, $assembly));
        // Pushed 30 mm to the left it stands in the left wall.
        self::assertStringContainsString('through the left wall', implode('; ', $judged([], $by - 30.0, $assembly)));
        // A shelf that nobody planned for, across the box.
        $box = $run->boxes[0];
        $beam = new TrueThing('beam', ThingKind::Beam, 0, $box->u + 50.0, 400.0, 100.0, 100.0, 300.0);
        self::assertStringContainsString('stands in the beam', implode('; ', $judged([$beam], $by, $assembly)));
        // Every piece twice: each stands in itself.
        self::assertStringContainsString('B1-side-L stands in B1-side-L', implode('; ', $judged([], $by, $assembly->placing([...$assembly->placed, ...$assembly->placed], $assembly->joints))));
    }

    public function test_slips_are_caught_before_they_jam_a_box(): void
    {
        $report = new TrialReport(SpaceKind::Alcove, 200);
        // With no optional reading the plan has nothing to spare, and a slip in a depth cannot be seen.
        $trial = new RoomTrial(SpaceKind::Alcove, 0.03, true, Grade::Plane, 0.5);
        for ($seed = 200; $seed < 260; $seed++) {
            $report->add($trial->run($seed));
        }
        $result = $report->toArray(0.0);
        self::assertGreaterThan(20, $result['slips']['made']);
        self::assertGreaterThanOrEqual(0.9, $result['first_time_fit']);
        self::assertGreaterThan($result['slips']['missed'], $result['slips']['named']);
    }

    public function test_the_same_seed_makes_the_same_room_and_result(): void
    {
        $trial = new RoomTrial(SpaceKind::UnderStair, 0.01);
        $first = $trial->run(11);
        $second = $trial->run(11);
        self::assertSame($first->judge->templateGaps, $second->judge->templateGaps);
        self::assertEquals($first->room->corners, $second->room->corners);
    }

    public function test_rooms_are_as_crooked_as_they_may_be_and_no_more(): void
    {
        $leans = $bows = $turns = $falls = [];
        for ($seed = 1; $seed <= 300; $seed++) {
            $room = new TrueRoom(SpaceShape::of(SpaceKind::Alcove), $seed, 1150.0);
            foreach ([1, 3] as $wall) {
                $leans[] = abs($room->walls[$wall]->at(0.5, 2400.0) - $room->walls[$wall]->at(0.5, 0.0));
                $bows[] = abs($room->walls[$wall]->at(0.5, 1200.0) - ($room->walls[$wall]->at(0.5, 0.0) + $room->walls[$wall]->at(0.5, 2400.0)) / 2);
            }
            foreach ([0, 1] as $corner) {
                $slot = array_column((new Sheet($room->shape, SheetChoices::defaults(\Incastro\Measure\Unit::Millimetre)))->slots(), null, 'id')[$corner === 0 ? 'corner-right' : 'corner-left'];
                $turns[] = abs($room->truth($slot) - 90.0);
            }
            $floors = array_map($room->floorAt(...), $room->corners);
            $falls[] = max($floors) - min($floors);
        }
        self::assertLessThanOrEqual(12.0 + 1e-6, max($leans));
        self::assertGreaterThan(10.0, max($leans));
        self::assertLessThanOrEqual(6.0 + 1e-6, max($bows));
        self::assertGreaterThan(4.5, max($bows));
        self::assertLessThanOrEqual(1.5, max($turns));
        self::assertGreaterThan(0.8, max($turns));
        self::assertLessThanOrEqual(12.0, max($falls));
        self::assertGreaterThan(6.0, max($falls));
    }

    public function test_walls_bow_in_three_shapes(): void
    {
        // 6 mm, no lean: the parabola and the sine have it half way up, the kink where it is.
        $wall = fn (string $shape) => new TrueWall(0.0, 6.0, $shape, 0.4, 0.0, 0.0);
        self::assertEqualsWithDelta(6.0, $wall('parabola')->at(0.5, 1200.0), 1e-9);
        self::assertEqualsWithDelta(4.5, $wall('parabola')->at(0.5, 600.0), 1e-9);
        self::assertEqualsWithDelta(6.0, $wall('kink')->at(0.5, 960.0), 1e-9);
        self::assertEqualsWithDelta(3.0, $wall('kink')->at(0.5, 480.0), 1e-9);
        self::assertEqualsWithDelta(6.0 * sin(M_PI / 4), $wall('sine')->at(0.5, 600.0), 1e-9);
        // Twist: the lean grows by 3 towards one end, and falls by 3 towards the other.
        self::assertEqualsWithDelta(3.0, (new TrueWall(0.0, 0.0, 'sine', 0.4, 3.0, 0.0))->at(1.0, 2400.0), 1e-9);
    }

    /** The room's own geometry against sums by hand, in a room whose walls are made plumb by measuring at the plan's height. */
    public function test_a_perfect_tape_reads_the_true_room(): void
    {
        $room = new TrueRoom(SpaceShape::of(SpaceKind::Alcove), 7, 1150.0);
        [$a, $b, $c, $d] = $room->corners;
        $slot = fn (string $id): Slot => array_column((new Sheet($room->shape, SheetChoices::defaults(\Incastro\Measure\Unit::Millimetre)))->slots(), null, 'id')[$id];
        $at = fn (string $id): Slot => new Slot(...['height' => 1150.0] + get_object_vars($slot($id)));
        self::assertEqualsWithDelta($b->distanceTo($d), $room->truth($at('diagonal-left')), 1e-6);
        self::assertEqualsWithDelta($a->distanceTo($d), $room->truth($at('depth-right')), 1e-6);
        // At the back corners a width is the back wall's length.
        self::assertEqualsWithDelta($a->distanceTo($b), $room->truth(new Slot(...['depth' => 0.0] + get_object_vars($at('width-low-back')))), 1e-6);
        // A plumb is the difference of the wall's own offsets over the level's span.
        $plumb = $slot('plumb-left-low');
        $share = 1 - (float) $plumb->along / $room->length(1);
        self::assertEqualsWithDelta($room->walls[1]->at($share, (float) $plumb->height + (float) $plumb->span) - $room->walls[1]->at($share, (float) $plumb->height), $room->truth($plumb), 1e-9);
        self::assertEqualsWithDelta(rad2deg(acos((($b->x - $a->x) * ($d->x - $a->x) + ($b->y - $a->y) * ($d->y - $a->y)) / $a->distanceTo($b) / $a->distanceTo($d))), $room->truth($at('corner-right')), 1e-6);
        self::assertGreaterThan(0.0, $c->distanceTo($d));
    }

    public function test_the_judge_lets_nothing_pass_that_would_jam(): void
    {
        $result = (new RoomTrial(SpaceKind::Alcove, 0.0, true))->run(3);
        $run = $result->plan->layout?->runs[0];
        self::assertNotNull($run);
        $judged = function (FittedRun $run) use ($result): Judge {
            $judge = new Judge($result->room, new Dice(1));
            $judge->run($run, 18.0, 70.0);

            return $judge;
        };
        self::assertSame([], $judged($run)->jams);
        $slack = $judged($run)->slack[0];
        // As much wider as it could have been, it still goes; 1 mm more and it jams.
        $wider = fn (float $by): FittedRun => new FittedRun(...['right' => $run->right + $by, 'boxes' => [new \Incastro\Fit\Box(...['width' => \Incastro\Measure\Working::start('', \Incastro\Measure\Length::ofDouble($run->boxes[0]->outerWidth()->toDouble() + $by))] + get_object_vars($run->boxes[0]))]] + get_object_vars($run));
        self::assertSame([], $judged($wider($slack - 0.1))->jams);
        self::assertStringContainsString('jams between the walls', $judged($wider($slack + 1.0))->jams[0]);
        // And one that is 19 narrower than that is padded.
        self::assertSame(1, $judged($wider($slack - 19.0))->padded);
    }

    public function test_a_person_takes_what_the_sheet_requires_and_each_once(): void
    {
        $room = new TrueRoom(SpaceShape::of(SpaceKind::Closet), 5, 1000.0);
        $person = new Person($room, new Dice(9), LengthFormat::millimetres(), 0.0);
        $survey = $person->measure();
        self::assertTrue($survey->isSure());
        $slots = array_column($person->takes, 'slot');
        $required = array_filter($survey->slots, fn (Slot $slot) => $slot->required);
        self::assertSame([], array_diff(array_column($required, 'id'), $slots));
        self::assertLessThanOrEqual(count($required) + 2, count($slots));
    }

    /** As rough as a grade says: waves by their root mean square, over many places of many walls. */
    public function test_plaster_is_as_rough_as_its_grade(): void
    {
        foreach ([[Grade::Plane, 0.0], [Grade::Mild, 0.8], [Grade::Old, 1.8]] as [$grade, $waves]) {
            $squares = [];
            for ($seed = 1; $seed <= 40; $seed++) {
                $plaster = Plaster::random(new Dice($seed), $grade, 1000.0, 2400.0);
                for ($x = 0.0; $x < 1000.0; $x += 90.0) {
                    $squares[] = $plaster->at($x, 2.3 * $x) ** 2;
                }
            }
            // Bumps and hollows add a little.
            self::assertEqualsWithDelta($waves, sqrt(array_sum($squares) / count($squares)), 0.1 + 0.15 * $waves, $grade->value);
        }
    }

    public function test_a_filled_corner_makes_hooks_read_short(): void
    {
        [$plane, $rough] = array_map(fn (Grade $grade) => new TrueRoom(SpaceShape::of(SpaceKind::Alcove), 7, 1150.0, $grade), [Grade::Plane, Grade::Mild]);
        $slot = array_column((new Sheet($plane->shape, SheetChoices::defaults(\Incastro\Measure\Unit::Millimetre)))->slots(), null, 'id');
        // From a filled corner to an open front: 0.41 of a radius of 5 to 8 for the diagonal, 0.15 for the depth; plaster besides.
        foreach (['diagonal-left' => [2.05, 3.28], 'depth-left' => [0.75, 1.2]] as $id => [$least, $most]) {
            $corner = fn (TrueRoom $room): float => $room->corner((int) $slot[$id]->from, 1150.0)->distanceTo($room->corner((int) $slot[$id]->to, 1150.0));
            $at = new Slot(...['height' => 1150.0] + get_object_vars($slot[$id]));
            self::assertEqualsWithDelta(0.0, $corner($plane) - $plane->truth($at), 1e-9);
            $short = $corner($rough) - $rough->truth($at);
            self::assertGreaterThanOrEqual($least, $short);
            self::assertLessThanOrEqual($most, $short);
        }
    }

    /** @return array<string, array{SpaceKind, Grade}> */
    public static function rough(): array
    {
        return ['mild alcoves' => [SpaceKind::Alcove, Grade::Mild], 'old alcoves' => [SpaceKind::Alcove, Grade::Old], 'old closets' => [SpaceKind::Closet, Grade::Old], 'mild roof slopes' => [SpaceKind::RoofSlope, Grade::Mild]];
    }

    /** The campaign of thousands in short: honest readings of plaster are believed, and what is said of them holds. */
    #[DataProvider('rough')]
    public function test_honest_readings_of_plaster_are_believed(SpaceKind $kind, Grade $grade): void
    {
        $report = new TrialReport($kind, 500);
        $trial = new RoomTrial($kind, 0.0, true, $grade, 0.5);
        for ($seed = 500; $seed < 525; $seed++) {
            $report->add($trial->run($seed));
        }
        $result = $report->toArray(0.0);
        self::assertSame($grade->value, $result['grade']);
        self::assertGreaterThanOrEqual(0.92, $result['first_time_fit'], json_encode($result['worst_rooms'], JSON_THROW_ON_ERROR));
        self::assertLessThanOrEqual(0.12, $result['asked']);
        self::assertLessThanOrEqual(0.04, $result['struck_honest']);
        self::assertGreaterThanOrEqual(0.92, $result['span_claim']);
        self::assertGreaterThanOrEqual(0.84, $result['height_claim']);
        self::assertGreaterThanOrEqual(0.93, $result['within_said']);
        self::assertLessThanOrEqual(1.0, $result['in_place_gap_mm']['p95']);
    }
}
