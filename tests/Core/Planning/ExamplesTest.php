<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Exchange\JobFile;
use Incastro\Pieces\Piece;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * One job file for each family of units, in crooked spaces of the Ferryman's Cottage and of its neighbours: each is planned without
 * a clash, into as many pieces of as much area as were counted by hand. Sizes are mm; boards are 18, backs 6, frames 18.
 */
final class ExamplesTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../../examples';

    /**
     * What every cupboard of one bay in the alcove has: it is 883 wide, 396 deep, and boards are 396 − 6 − 18 = 372; bottom and top
     * 883 − 2 · 18 = 847; a back 2 less than the box; two nailers; stiles 38 wide and more by what is scribed, two rails between them,
     * the upper one higher by its scribe; a plinth of two rails and three bearers, 396 − 65 − 36 = 295 long, and a toe board.
     *
     * @return list<array{int, float, float}> so many, long and wide
     */
    private static function cupboard(float $high, float $upperRail): array
    {
        return [
            [2, $high, 372.0], [2, 847.0, 372.0], [1, $high - 2.0, 881.0], [2, 847.0, 90.0],
            [1, 2341.0, 58.0], [1, 2340.0, 59.0], [1, 807.0, 45.0], [1, 807.0, $upperRail],
            [2, 883.0, 70.0], [3, 295.0, 70.0], [1, 883.0, 83.0],
        ];
    }

    /** @return array<string, array{string, list<array{int, float, float}>}> */
    public static function examples(): array
    {
        return [
            // 3 · 9 cubbies: 2 uprights of 2312 − 36 − 1 = 2275, 8 levels of 847 − 1 = 846.
            'cubbies' => ['cubbies', [...self::cupboard(2312.0, 73.0), [2, 2275.0, 372.0], [8, 846.0, 372.0]]],
            // Six shelves that end 6 behind leaves as thick as the frame: 372 − 6 = 366 deep. ⌈(366 + 20)/65⌉ = 6 slats of 847 − 2 = 845
            // each, on two cleats as long as they are deep. Two leaves (807 − 2 · 2.5 − 2.5)/2 = 399.7, down to 399.5: stiles of
            // 2222 − 5 = 2217, rails 399.5 − 114 + 20 = 305.5, four a leaf, and three panels 305.5 − 3 = 302.5 by (2217 − 4 · 57)/3 + 17 = 680.
            'slatted shelves' => ['slatted-shelves', [...self::cupboard(2312.0, 73.0), [36, 845.0, 45.0], [12, 366.0, 30.0], [4, 2217.0, 57.0], [8, 305.5, 57.0], [6, 680.0, 302.5]]],
            // Two bins (807 − 3 · 3)/2 = 399, 372 − 20 = 352 deep: fronts 399 − 24 = 375, bottoms 375 + 10 by 352 − 14; runners 352 − 3, 27 high. An apron and
            // two boards of 847 between the three tiers, with a rail of the frame before each; two shelves 847 − 3.
            'bins' => ['bins', [...self::cupboard(2311.0, 74.0), [4, 352.0, 300.0], [4, 375.0, 300.0], [2, 385.0, 338.0], [4, 349.0, 27.0], [2, 847.0, 372.0], [1, 847.0, 300.0], [2, 844.0, 372.0], [2, 807.0, 45.0]]],
            // 883 wide, 600 high, 300 deep, its back let in by 18 for cleats: sides 300 − 18 = 282, boards 282 − 18 − 6 = 258, 847 long; a back 847 − 2 by
            // 600 − 2; strips and the cleat on the box as long as the boards, that on the wall 20 less; stiles 53 and 57 with what is scribed.
            'hung' => ['hung', [[2, 600.0, 282.0], [3, 847.0, 258.0], [1, 845.0, 598.0], [2, 847.0, 90.0], [1, 827.0, 80.0], [1, 847.0, 80.0], [1, 847.0, 60.0], [1, 600.0, 53.0], [1, 600.0, 57.0], [2, 807.0, 45.0]]],
            // 500 × 700 in a wall of 100: sides 700 − 10 = 690, head and sill 500 − 10 − 36 = 454; a leaf 654 + 25.4 = 679.4 by 479.4, down; casing 679 + 6 + 114
            // and 479 + 6 + 114, 57 wide.
            'hatch' => ['hatch', [[2, 690.0, 100.0], [2, 454.0, 100.0], [1, 679.0, 479.0], [2, 799.0, 57.0], [2, 599.0, 57.0]]],
            // 2126 along the wall: (2126 − 90)/(400 + 90) = 4.2, four panels of (2126 − 5 · 90)/4 = 419, end stiles (2126 − 4 · 419 − 3 · 90)/2 = 90 and 8 to
            // scribe; 1100 − 90 − 140 = 870 between the rails; mouldings 419 − 50 and 870 − 50, a cap of 18 + 20. Hooks on 1173 − 40, from the face of the panelling on, in two rows. A crown
            // along the panelled wall and a skirting beside the door.
            'boot room' => ['boot-room', [[1, 2126.0, 90.0], [1, 2126.0, 140.0], [2, 870.0, 98.0], [3, 870.0, 90.0], [8, 369.0, 20.0], [8, 820.0, 20.0], [1, 2126.0, 38.0], [2, 1133.0, 90.0], [1, 2131.0, 95.0], [1, 581.0, 95.0]]],
            // Two heating pipes 106 wide together that stand out 84, and up to 10 more with the wall: 84 + 10 + 15 deep and 8 to scribe; 106 + 2 · (20 + 15)
            // inside, 212 with both cheeks; 2391 − 3 high, battens 40 less; the valve's middle at 1147 over the foot: 1021, 248 and the rest.
            'pipes' => ['pipes', [[2, 2388.0, 117.0], [4, 2348.0, 20.0], [1, 1021.0, 212.0], [1, 248.0, 212.0], [1, 1114.0, 212.0]]],
            // A bookcase of 800 × 2020 × 280 that is bought: fillers 62 and 60 with what is scribed, on cleats; a plinth with bearers of 280 − 65 − 36 = 179; a
            // panel over it up to the ceiling, on cleats.
            'bought' => ['bought', [[1, 2020.0, 62.0], [1, 2020.0, 60.0], [2, 2020.0, 30.0], [2, 800.0, 70.0], [3, 179.0, 70.0], [1, 800.0, 83.0], [1, 800.0, 292.0], [2, 292.0, 30.0]]],
        ];
    }

    /** @param list<array{int, float, float}> $counted */
    #[DataProvider('examples')]
    public function test_it_is_planned_into_the_pieces_that_were_counted_by_hand(string $file, array $counted): void
    {
        $pieces = self::pieces($file);
        self::assertSame(array_sum(array_column($counted, 0)), count($pieces));
        $area = array_sum(array_map(fn (array $one) => $one[0] * $one[1] * $one[2], $counted));
        self::assertEqualsWithDelta($area, array_sum(array_map(fn (Piece $piece) => $piece->length->result->toDouble() * $piece->width->result->toDouble(), $pieces)), 1.0);
    }

    /** @return array<string, array{string}> */
    public static function files(): array
    {
        $files = array_map(fn (string $path) => basename($path, '.json'), glob(self::FOLDER.'/*.json') ?: []);

        return array_combine($files, array_map(fn (string $file) => [$file], $files));
    }

    #[DataProvider('files')]
    public function test_it_fits(string $file): void
    {
        $plan = (new Planner())->plan(JobReader::read(JobFile::read("$file.json", (string) file_get_contents(self::FOLDER."/$file.json"))['job']));
        foreach ($plan->spaces as $space) {
            self::assertStringStartsWith('Fits.', $space->verdict->sentence, $file);
        }
    }

    public function test_what_moves_is_counted_by_what_it_holds(): void
    {
        // Two columns of five drawers on one box: 5 pieces each and a front, and a packer at either side; in the right column two dividers each.
        $drawers = array_filter(self::pieces('drawers'), fn (Piece $piece) => str_contains($piece->key, 'drawer-'));
        self::assertCount(10 * (5 + 1 + 2) + 5 * 2, $drawers);
        // Two bodies: a bin of 2 ends, 2 sides, a bottom and a front on one pair of slides; and one with its high side open: 2 ends, a side, a sill, a
        // stretcher, a bottom, 2 shelves with a guard rail each and a front, on two pairs.
        $pullOuts = array_filter(self::pieces('pull-outs'), fn (Piece $piece) => str_contains($piece->key, ':pull-out-') && ! str_contains($piece->key, 'packer'));
        self::assertCount(6 + 11, $pullOuts);
        // Sliding leaves, a flap that drops down, one that lifts up, and two doors.
        self::assertCount(2 + 1 + 1 + 2, array_filter(self::pieces('fronts'), fn (Piece $piece) => in_array($piece->name, ['Sliding leaf', 'Flap', 'Door'], true)));
    }

    public function test_what_rolls_and_hangs_is_counted_by_what_it_is(): void
    {
        $count = fn (string $file, string $in): int => count(array_filter(self::pieces($file), fn (Piece $piece) => str_contains($piece->key, $in)));
        // A hamper for a bag: 2 ends, 2 low sides, a bottom, a front and 2 guides; a cart: 2 ends, 4 boards, 3 · 2 guard rails, 2 sides of a compartment, a lid.
        self::assertSame(8, $count('rolling', 'cart:'));
        self::assertSame(2 + 4 + 6 + 2 + 1, $count('rolling', 'cart-2:'));
        // On castors 5 and a front; three on runners the same, with 2 runners and 2 guides each, and 2 kickers over the uppermost.
        self::assertSame(6 + 3 * (6 + 4) + 2, $count('floor-drawers', 'drawer-'));
        // Two leaves of 2 stiles, 3 rails and 2 panels, and 2 stops behind each.
        self::assertSame(2 * 7 + 4, $count('clothes', ':door-'));
    }

    public function test_what_one_sits_sleeps_and_works_on_is_counted_by_what_it_is(): void
    {
        $sum = fn (string $file, string $in): array => array_values(array_filter(self::pieces($file), fn (Piece $piece) => str_starts_with($piece->key, $in)));
        // A strip, two lids and two bearers; a back 1170 long on ⌈(1170 − 18)/600⌉ + 1 = 3 supports, two boards in each of two fields, a panel and a cap.
        self::assertCount(1 + 2 + 2 + 3 + 4 + 1 + 1, $sum('bench', 'nook:'));
        self::assertCount(1, $sum('bench', 'seat:'));
        // Three ledgers, a rail on 3 posts, ⌈(2034 + 70)/159⌉ = 14 slats, a front board; two drawers of 2 sides, 2 ends, a bottom and a front.
        self::assertCount(3 + 1 + 3 + 14 + 1 + 2 * 6, $sum('bed', 'bed-1:'));
        // Slats 980 − 18 − 6 = 956 by 89; posts 350 − 28 − 89 = 233.
        self::assertSame([956.0, 89.0, 233.0, 89.0], array_merge(...array_map(fn (string $key): array => [($piece = $sum('bed', "bed-1:$key")[0])->length->result->toDouble(), $piece->width->result->toDouble()], ['slat-1', 'front-post-1'])));
        // A top, a cleat behind, a strip, and a side at the end where no wall is.
        self::assertCount(4, $sum('desk', 'top:'));
        // A ledge on two gables and a cleat, a leaf, and two gates of two stiles and two rails.
        self::assertCount(1 + 2 + 1 + 1 + 2 * 4, $sum('desk', 't-1:'));
    }

    public function test_what_turns_a_corner_and_what_marries_a_hutch_is_counted_by_what_it_is(): void
    {
        $marked = fn (string $file, string $mark): array => array_values(array_filter(self::pieces($file), fn (Piece $piece) => str_starts_with($piece->mark, $mark)));
        $area = fn (array $pieces): float => array_sum(array_map(fn (Piece $piece) => $piece->length->result->toDouble() * $piece->width->result->toDouble(), $pieces));
        // Along the first wall ⌈(1830 − 18)/600⌉ + 1 = 5 supports, (1830 − 90)/4 = 435 between them, two boards in each of four fields; a seat with what is
        // scribed, a panel 450/cos 12° + 18 · tan 12° = 463.9 wide, a cap 60 + 18/cos 12° + 10 = 88.4, down.
        self::assertCount(1 + 5 + 8 + 1 + 1, $through = $marked('corner-bench', 'W1-'));
        self::assertEqualsWithDelta(1845 * 621 + 5 * 450 * 156 + 8 * 435 * 90 + 1830 * 464 + 1830 * 88, $area($through), 0.5);
        // The other’s back goes on over it, up to that: its seat is 981 long, its panel 1515 at its top, its cap 1504.
        self::assertCount(1 + 4 + 6 + 1 + 1, $stops = $marked('corner-bench', 'W2-'));
        self::assertEqualsWithDelta(981 * 622 + 4 * 450 * 156 + 6 * 449 * 90 + 1515 * 464 + 1504 * 88, $area($stops), 0.5);
        // In each of two bays two gables, two strips, a board behind and a rail: 518 − 36 = 482 between the gables, 300 − 18 = 282 deep behind a strip.
        self::assertCount(2 * 6, $hutch = $marked('hutch', 'H'));
        self::assertEqualsWithDelta(2 * (2 * 450 * 282 + 2 * 450 * 45 + 482 * 450 + 482 * 40), $area($hutch), 0.5);
    }

    /** @return list<Piece> */
    private static function pieces(string $file): array
    {
        return (new Planner())->plan(JobReader::read(JobFile::read("$file.json", (string) file_get_contents(self::FOLDER."/$file.json"))['job']))->pieces();
    }
}
