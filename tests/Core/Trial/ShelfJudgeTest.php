<?php

declare(strict_types=1);

namespace Tests\Core\Trial;

use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedShelf;
use Incastro\Fit\Tipping;
use Incastro\Geometry\Point;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Trial\RoomTrial;
use Incastro\Trial\ShelfJudge;
use Incastro\Trial\TrueRoom;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;

/** Whether the one who puts shelves between true walls lets nothing pass that would jam. */
final class ShelfJudgeTest extends TestCase
{
    private const BOARD = 18.0;

    /** Shelves as a planner with a perfect tape of another room would have them; only their frame and wall matter here. */
    private static function fitted(): FittedRun
    {
        $layout = ['runs' => [Doc::run('run', 0, [Doc::bay('bay', [Doc::tier('cell', ['holds' => Recipe::cleats(1)])])])]] + Doc::none();
        $run = (new TestKind(SpaceKind::Alcove))->plan($layout)->layout?->runs[0];
        self::assertNotNull($run);

        return $run;
    }

    private static function room(int $seed): TrueRoom
    {
        return new TrueRoom(SpaceShape::of(SpaceKind::Alcove), $seed, 1150.0);
    }

    /** A shelf that leaves so much at each side of a true room, 1000 up and 300 deep, straight at its ends. */
    private static function shelf(TrueRoom $room, float $left, float $right, float $back = 0.0, ?Tipping $tipping = null): FittedShelf
    {
        $z = 1000.0;
        $at = fn (int $wall, float $v) => [$room->meets($wall, 0, $v, $z), $room->meets($wall, 0, $v, $z + self::BOARD)];
        $bulge = 0.0;
        foreach ([0.0, 0.25, 0.5, 0.75, 1.0] as $share) {
            $bulge = max($bulge, $room->walls[0]->at($share, $z), $room->walls[0]->at($share, $z + self::BOARD));
        }
        $from = $bulge + $back;
        $corners = [
            new Point(max($at(1, $from)) + $left, $from), new Point(min($at(3, $from)) - $right, $from),
            new Point(min($at(3, 300.0)) - $right, 300.0), new Point(max($at(1, 300.0)) + $left, 300.0),
        ];
        $fitted = self::fitted()->shelves[0];

        return new FittedShelf('cell', 1, $z, $corners, $fitted->length, $fitted->depth, $tipping);
    }

    private static function judged(TrueRoom $room, FittedShelf $shelf): ShelfJudge
    {
        $judge = new ShelfJudge($room, self::BOARD);
        $judge->run(new FittedRun(...['shelves' => [$shelf]] + get_object_vars(self::fitted())));

        return $judge;
    }

    public function test_what_is_free_at_both_sides_is_what_was_left_there(): void
    {
        foreach ([2, 5, 9, 14] as $seed) {
            $room = self::room($seed);
            $judge = self::judged($room, self::shelf($room, 3.0, 4.0, 0.0, Tipping::of(1000.0, self::BOARD, 990.0)));
            self::assertSame([], $judge->jams, "room $seed");
            // 3 and 4; walls that twist between the shelf's faces and depths take a little of it.
            self::assertEqualsWithDelta(7.0, $judge->slack[0], 0.1, "room $seed");
        }
    }

    public function test_what_is_too_long_jams(): void
    {
        $room = self::room(5);
        self::assertSame([], self::judged($room, self::shelf($room, 0.0, 0.0, 0.0, Tipping::of(1000.0, self::BOARD, 990.0)))->jams);
        // Pushed to the right by 2 it is still 1 too long.
        self::assertMatchesRegularExpression('/^shelf 1 is (0\.9|1\.0|1\.1) too long for its place$/', self::judged($room, self::shelf($room, -3.0, 2.0))->jams[0]);
    }

    public function test_a_wall_behind_that_bulges_keeps_a_shelf_forward(): void
    {
        // Planned 5 into the wall behind, it comes to stand 5 forward, where the sides differ by how the walls run.
        $room = self::room(9);
        $at = fn (float $v) => $room->meets(3, 0, $v, 1000.0) - $room->meets(1, 0, $v, 1000.0);
        $inside = self::judged($room, self::shelf($room, 3.0, 4.0, -5.0, Tipping::of(1000.0, self::BOARD, 990.0)))->slack[0];
        self::assertEqualsWithDelta(7.0 + min(0.0, 5.0 * ($at(300.0) - $at(0.0)) / 300.0), $inside, 0.15);
    }

    public function test_one_that_was_to_go_in_straight_past_a_narrower_front_jams(): void
    {
        $narrowing = $widening = null;
        for ($seed = 1; $narrowing === null || $widening === null; $seed++) {
            $room = self::room($seed);
            $by = ($room->meets(3, 0, 0.0, 1000.0) - $room->meets(1, 0, 0.0, 1000.0)) - ($room->meets(3, 0, 520.0, 1000.0) - $room->meets(1, 0, 520.0, 1000.0));
            $narrowing = $by > 12.0 ? $narrowing ?? $room : $narrowing;
            $widening = $by < -2.0 ? $widening ?? $room : $widening;
        }
        // The space is more than 12 narrower in front than at the back: with 2 at each end the shelf is longer than its way in.
        $straight = self::judged($narrowing, self::shelf($narrowing, 2.0, 2.0));
        self::assertSame(['shelf 1 was to go in straight, and the front is narrower'], $straight->jams);
        $tipped = self::judged($narrowing, self::shelf($narrowing, 2.0, 2.0, 0.0, Tipping::of(1000.0, self::BOARD, 980.0)));
        self::assertSame([[], 1], [$tipped->jams, $tipped->tipped]);
        // Where it widens towards the front nothing need be tipped.
        self::assertSame([[], 0], [self::judged($widening, self::shelf($widening, 2.0, 2.0))->jams, self::judged($widening, self::shelf($widening, 2.0, 2.0))->tipped]);
    }

    public function test_planned_shelves_go_in_and_count_for_the_room(): void
    {
        foreach ([SpaceKind::Alcove, SpaceKind::Closet] as $kind) {
            $trial = new RoomTrial($kind, 0.0);
            for ($seed = 300; $seed < 312; $seed++) {
                $result = $trial->run($seed);
                self::assertSame([], $result->shelves->jams, "$kind->value $seed");
                self::assertSame(5, $result->shelves->shelves);
                self::assertGreaterThan(0.0, min($result->shelves->slack));
                // Not shorter than they must be: both allowances, both doubts, and what the readings missed.
                self::assertLessThan(15.0, max($result->shelves->slack));
            }
        }
        // Under a stair nothing hangs from wall to wall.
        self::assertSame(0, (new RoomTrial(SpaceKind::UnderStair, 0.0))->run(300)->shelves->shelves);
    }
}
