<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Incastro\Fit\FittedRun;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** What stands beside the cells, in the plumb alcove 2400 high: a run of 1189.8 on a plinth of 70, boards of 18, 400 deep. */
final class MembersTest extends TestCase
{
    /** @param list<array<string, mixed>> $members */
    private static function fitted(TestLayout $layout, array $members): FittedRun
    {
        $run = $layout->with(['members' => $members])->plan()->layout?->runs[0];
        self::assertNotNull($run);

        return $run;
    }

    /** @return list<array<string, mixed>> tiers of a base 700 high and something above it */
    private static function stack(string $bay, array $above = []): array
    {
        return [Doc::tier("$bay-low", ['size' => TestLayout::mm(700)]), Doc::tier("$bay-high", $above + ['joined' => false, 'holds' => Recipe::gap()])];
    }

    public function test_one_plinth_for_boxes_side_by_side_and_none_where_nothing_stands(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a'), TestLayout::bay('b')]);
        $run = self::fitted($layout, [Doc::member('p', 'plinth', ['a', 'b'])]);
        self::assertCount(1, $run->under());
        // Two boxes of 594 are 1188, and the plinth comes in whole, from the mouth, where 1200 − 6 − 4.21 go. Set back 65.
        self::assertSame([1188.0, 335.0, 70.0], [$run->under()[0]->length->result->toDouble(), $run->under()[0]->depth->result->toDouble(), $run->under()[0]->height->toDouble()]);
        self::assertSame(70.0, $run->boxes[0]->z);
        $without = self::fitted($layout, []);
        self::assertSame([[], 0.0], [$without->under(), $without->boxes[0]->z]);
        // The box gains the 70.
        self::assertSame(70.0, $without->boxes[0]->outerHeight()->minus($run->boxes[0]->outerHeight())->toDouble());
    }

    public function test_nothing_is_made_longer_than_a_sheet(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a', [], self::stack('a')), TestLayout::bay('b', [], self::stack('b')), TestLayout::bay('c', [], self::stack('c')), TestLayout::bay('d', [], self::stack('d'))], [], 3600.0);
        $run = self::fitted($layout, [Doc::member('p', 'plinth', ['a', 'b', 'c', 'd']), Doc::member('w', 'worktop', ['a-low', 'b-low', 'c-low', 'd-low'])]);
        // 3590 in four bays of 897: two and two go on 2400, three do not.
        self::assertSame(['p', 'p/c-low'], array_map(fn ($plinth) => $plinth->id, $run->under()));
        self::assertSame([1794.0, 1794.0], array_map(fn ($plinth) => $plinth->length->result->toDouble(), $run->under()));
        self::assertSame(['w', 'w/1'], array_map(fn ($top) => $top->id, $run->over()));
        self::assertEqualsWithDelta($run->over()[0]->end(), $run->over()[1]->u, 1e-6);
        // Only the outer ends are scribed to a wall.
        self::assertSame([[true, false], [false, true]], array_map(fn ($top) => [$top->meetsLeft, $top->meetsRight], $run->over()));
    }

    public function test_a_worktop_lies_only_over_tops_that_are_level(): void
    {
        $high = fn (string $bay, float $mm) => [Doc::tier("$bay-low", ['size' => TestLayout::mm($mm)]), Doc::tier("$bay-high", ['joined' => false, 'holds' => Recipe::gap()])];
        $layout = TestLayout::of([TestLayout::bay('a', [], $high('a', 700)), TestLayout::bay('b', [], $high('b', 700)), TestLayout::bay('c', [], $high('c', 760))]);
        $run = self::fitted($layout, [Doc::member('p', 'plinth', ['a', 'b', 'c']), Doc::member('w', 'worktop', ['a-low', 'b-low', 'c-low'])]);
        self::assertSame([770.0, 830.0], array_map(fn ($top) => $top->z, $run->over()));
        // The usual 20 over the face, or as chosen.
        self::assertSame(420.0, $run->over()[0]->depth->result->toDouble());
        $wide = self::fitted($layout, [['with' => ['overhang' => TestLayout::mm(35)]] + Doc::member('w', 'worktop', ['a-low', 'b-low'])]);
        self::assertSame(435.0, $wide->over()[0]->depth->result->toDouble());
    }

    public function test_what_stands_on_a_worktop_is_lower_by_its_thickness(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a', [], self::stack('a', ['holds' => Recipe::box()]))]);
        $bare = self::fitted($layout, []);
        $topped = self::fitted($layout, [Doc::member('w', 'worktop', ['a-low'])]);
        self::assertSame(18.0, $bare->boxes[1]->outerHeight()->minus($topped->boxes[1]->outerHeight())->toDouble());
        self::assertSame(718.0, $topped->boxes[1]->z);
    }

    public function test_an_end_panel_stands_where_no_wall_does(): void
    {
        // Between two walls there is no end for a panel.
        $closed = TestLayout::of([TestLayout::bay('a')]);
        self::assertSame([], self::fitted($closed, [Doc::member('e', 'end-panel', ['a'])])->beside());
        // A run along the left wall is open at its left, where the space is.
        $side = $closed->with(['runs' => [Doc::run('side', 1, [TestLayout::bay('s')], ['depth' => TestLayout::mm(300)])]]);
        $run = self::fitted($side, [Doc::member('p', 'plinth', ['s']), Doc::member('e', 'end-panel', ['s'])]);
        self::assertCount(1, $run->beside());
        $panel = $run->beside()[0];
        // From the floor to the top of its box, as deep as that, and before its left side.
        self::assertSame($run->boxes[0]->highest(), $panel->height->result->toDouble());
        self::assertSame([300.0, 0.0], [$panel->depth->result->toDouble(), $panel->z]);
        self::assertEqualsWithDelta($run->left - 18.0, $panel->u, 1e-9);
    }

    public function test_a_tier_that_lines_up_with_its_neighbour_across_base_and_upper(): void
    {
        // The neighbour's base ends 70 + 640 + worktop; the shelf line of c follows the top of the clear opening a-1.
        $layout = TestLayout::of([
            TestLayout::bay('a', [], [Doc::tier('a-1', ['size' => TestLayout::mm(300)]), Doc::tier('a-2', ['size' => TestLayout::mm(250)]), Doc::tier('a-3')]),
            TestLayout::bay('b', [], [Doc::tier('b-1', ['snap' => 'a-1']), Doc::tier('b-2', ['snap' => 'a-2']), Doc::tier('b-3')]),
        ]);
        $run = self::fitted($layout, []);
        $top = fn (string $id) => $run->cell($id)?->z + $run->cell($id)?->height->result->toDouble();
        self::assertSame([18.0 + 300.0, 18.0 + 300.0 + 18.0 + 250.0], [$top('a-1'), $top('a-2')]);
        self::assertSame([$top('a-1'), $top('a-2')], [$top('b-1'), $top('b-2')]);
    }

    public function test_a_tier_that_would_end_below_its_own_foot_stays_as_it_is(): void
    {
        $tiers = [Doc::tier('b-1', ['size' => TestLayout::mm(900)]), Doc::tier('b-2', ['snap' => 'a-1']), Doc::tier('b-3')];
        $run = self::fitted(TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['size' => TestLayout::mm(300)]), Doc::tier('a-2')]), TestLayout::bay('b', [], $tiers)]), []);
        unset($tiers[1]['snap']);
        $free = self::fitted(TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['size' => TestLayout::mm(300)]), Doc::tier('a-2')]), TestLayout::bay('b', [], [$tiers[0], Doc::tier('b-2'), $tiers[2]])]), []);
        self::assertSame($free->cell('b-2')?->height->result->toDouble(), $run->cell('b-2')?->height->result->toDouble());
        self::assertGreaterThan(0.0, $run->cell('b-2')?->height->result->toDouble());
    }
}
