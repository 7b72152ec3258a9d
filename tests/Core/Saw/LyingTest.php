<?php

declare(strict_types=1);

namespace Tests\Core\Saw;

use Incastro\Saw\Lying;
use Incastro\Saw\Ticks;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class LyingTest extends TestCase
{
    /** @return array<string, mixed> a sheet of 2428 × 1208 from which two sides of 2000 × 355 are ripped, and crosscut at 2000 */
    private static function cutting(): array
    {
        $part = fn (string $mark, float $length, float $width, string $fate, ?string $piece = null) => ['mark' => $mark, 'piece' => $piece, 'fate' => $fate, 'material' => 'ply', 'thickness' => 18_000_000, 'length' => ['nm' => (int) ($length * 1e6)], 'width' => ['nm' => (int) ($width * 1e6)]];
        $cut = fn (string $id, string $blank, string $axis, float $at, ?string $leaves) => ['id' => $id, 'takes' => $blank, 'blank' => $blank, 'leaves' => $leaves, 'axis' => $axis, 'at' => (int) ($at * 1e6), 'kerf' => 3_000_000];

        return [
            'parts' => [
                'sheet' => $part('S1', 2428, 1208, 'cut further'), 'strip-1' => $part('side-1', 2428, 355, 'cut further', 'side-1'), 'strip-2' => $part('side-2', 2428, 355, 'cut further', 'side-2'),
                'side-1' => $part('side-1', 2000, 355, 'piece', 'side-1'), 'side-2' => $part('side-2', 2000, 355, 'piece', 'side-2'),
            ],
            'steps' => [
                ['class' => 'rip', 'cuts' => [$cut('strip-1', 'sheet', 'width', 355, 'strip-1/rest'), $cut('strip-2', 'sheet', 'width', 355, 'strip-2/rest')]],
                ['class' => 'crosscut', 'cuts' => [$cut('side-1', 'strip-1', 'length', 2000, 'side-1/rest'), $cut('side-2', 'strip-2', 'length', 2000, 'side-2/rest')]],
            ],
        ];
    }

    /**
     * @param  list<string>  $cut
     * @param  list<string>  $spoiled
     * @return list<string> marks with sizes in mm
     */
    private static function rests(array $cut, array $spoiled = []): array
    {
        return array_map(fn (array $rest) => sprintf('%s %d × %d', $rest['mark'], $rest['length'] / 1e6, $rest['width'] / 1e6), (new Lying(self::cutting(), array_fill_keys($cut, true), array_fill_keys($spoiled, [])))->rests());
    }

    public function test_a_sheet_that_nobody_touched_does_not_lie_about(): void
    {
        self::assertSame([], self::rests([]));
    }

    public function test_a_strip_and_what_it_came_from(): void
    {
        // 1208 − 355 − 3 = 850.
        self::assertSame(['S1 2428 × 850', 'side-1 2428 × 355'], self::rests(['strip-1']));
    }

    public function test_what_is_left_when_all_is_cut(): void
    {
        // 1208 − 2 · 358 = 492; 2428 − 2003 = 425.
        $all = ['strip-1', 'strip-2', 'side-1', 'side-2'];
        self::assertSame(['S1 2428 × 492', 'side-1 425 × 355', 'side-2 425 × 355'], self::rests($all));
        self::assertSame(['side-1' => 'side-1', 'side-2' => 'side-2'], (new Lying(self::cutting(), array_fill_keys($all, true)))->done());
    }

    public function test_a_piece_that_is_spoiled_is_cut_and_not_done(): void
    {
        $lying = new Lying(self::cutting(), ['strip-1' => true, 'side-1' => true], ['side-1' => true]);
        self::assertSame([], $lying->done());
        // Its wood is gone from the strip all the same.
        self::assertSame(['S1 2428 × 850', 'side-1 425 × 355'], self::rests(['strip-1', 'side-1'], ['side-1']));
    }

    public function test_ticks_merge_to_the_same_whatever_the_order_of_arrival(): void
    {
        // A ticks c1 and c2; B ticks c2; A, who has not seen B's, takes c2 back; B ticks c3 and takes it back; A ticks c3: all three are cut.
        $fact = fn (string $id, string $kind, ?string $part, array $withdraws = []) => ['id' => $id, 'kind' => $kind, 'part' => $part, 'withdraws' => $withdraws];
        $facts = [
            $fact('a1', Ticks::CUT, 'c1'), $fact('a2', Ticks::CUT, 'c2'), $fact('b1', Ticks::CUT, 'c2'), $fact('a3', Ticks::WITHDRAWAL, null, ['a2']),
            $fact('b2', Ticks::CUT, 'c3'), $fact('b3', Ticks::WITHDRAWAL, null, ['b2']), $fact('a4', Ticks::CUT, 'c3'),
        ];
        $chance = new Randomizer(new Xoshiro256StarStar(9));
        for ($i = 0; $i < 2000; $i++) {
            $arrived = $chance->shuffleArray([...$facts, $facts[$chance->getInt(0, 6)]]);
            $cut = array_keys(Ticks::cut(array_values($arrived)));
            sort($cut);
            self::assertSame(['c1', 'c2', 'c3'], $cut);
        }
    }
}
