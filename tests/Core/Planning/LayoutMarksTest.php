<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Fit\Marks;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Layout\LayoutMarks;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** What is written on wood stays right, whatever becomes of the layout around it. */
final class LayoutMarksTest extends TestCase
{
    /**
     * @param  list<array<string, mixed>>  $bays
     * @param  array<string, string>  $marks
     * @return array<string, mixed>
     */
    private static function layout(array $bays, array $marks = [], string $member = 'p'): array
    {
        return ['runs' => [Doc::run('r', 0, $bays)], 'members' => [Doc::member($member, 'plinth', array_column($bays, 'id'))], 'closings' => [], 'openings' => [], 'marks' => $marks];
    }

    public function test_swapped_bays_keep_their_marks_and_what_is_new_gets_the_next(): void
    {
        [$a, $b, $c] = [TestLayout::bay('a'), TestLayout::bay('b'), TestLayout::bay('c')];
        $made = LayoutMarks::settled([self::layout([$a, $b])])[0]['marks'];
        self::assertSame(['a-1' => 'B1', 'b-1' => 'B2', 'p' => 'P1'], $made);
        // The other way round, and one more between them.
        $after = LayoutMarks::settled([self::layout([$b, $c, $a], $made)])[0]['marks'];
        self::assertSame('B1', $after['a-1']);
        self::assertSame('B2', $after['b-1']);
        self::assertSame('B3', $after['c-1']);
        self::assertSame('P1', $after['p']);
    }

    public function test_no_mark_stands_twice_in_a_job(): void
    {
        $layouts = LayoutMarks::settled([self::layout([TestLayout::bay('a')]), self::layout([TestLayout::bay('b')], [], 'q'), ['members' => []] + self::layout([TestLayout::bay('c')])]);
        $marks = array_merge(...array_map(fn (array $layout) => array_values($layout['marks']), $layouts));
        self::assertSame($marks, array_values(array_unique($marks)));
        self::assertContains('B3', $marks);
    }

    public function test_pieces_bear_the_marks_that_the_layout_keeps(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a'), TestLayout::bay('b')]);
        $before = array_map(fn ($piece) => $piece->mark, array_column(array_map(fn ($piece) => [$piece->key, $piece], $layout->plan()->pieces()), 1, 0));
        $marks = LayoutMarks::settled([self::layout([TestLayout::bay('a'), TestLayout::bay('b')])])[0]['marks'];
        $swapped = TestLayout::of([TestLayout::bay('b'), TestLayout::bay('a')])->with(['marks' => $marks]);
        foreach ($swapped->plan()->pieces() as $piece) {
            if (str_starts_with($piece->key, 'a-1') || str_starts_with($piece->key, 'b-1')) {
                self::assertSame($before[$piece->key] ?? '', $piece->mark, $piece->key);
            }
        }
    }

    public function test_a_piece_says_what_it_belongs_to(): void
    {
        self::assertSame(['Box B12', 'Worktop W1', 'End panel E1', 'Filler F2', 'Shelves S3', 'Plinth P1b'], array_map(Marks::unit(...), ['B12-side-L', 'W1-top', 'E1-panel', 'F2-filler', 'S3-shelf-1', 'P1b-rail-back']));
    }
}
