<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Incastro\Fit\Box;
use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedRun;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/**
 * Layouts in the plumb alcove, 1200 wide. The run is the span, less 3 on each side and the doubt, 4.2: 1189.8 to divide. Boards are
 * 18, the plinth is 70, the height over it 2321.
 */
final class LayoutFitTest extends TestCase
{
    private const RUN = 1189.8;

    private static function fitted(TestLayout $layout): FittedRun
    {
        $run = $layout->plan()->layout?->runs[0];
        self::assertNotNull($run);

        return $run;
    }

    /** @return array<string, array{float, float}> mark by mark: left side and width */
    private static function widths(FittedRun $run): array
    {
        $widths = [];
        foreach ($run->boxes as $box) {
            $widths[$box->mark] = [round($box->u - $run->left, 3), $box->outerWidth()->toDouble()];
        }

        return $widths;
    }

    public function test_separate_bays_are_boxes_side_by_side(): void
    {
        $run = self::fitted(TestLayout::of([TestLayout::bay('a'), TestLayout::bay('b'), TestLayout::bay('c', ['size' => ['share' => 8]])]));
        // 1189.8 · 4/16 = 297.4, twice, and 594.9: each down; the run is as wide as its boxes.
        self::assertSame(['B1' => [0.0, 297.0], 'B2' => [297.0, 297.0], 'B3' => [594.0, 594.0]], self::widths($run));
        self::assertSame(1188.0, $run->right - $run->left);
        // What is left over goes to the closings at both ends, alike.
        $left = $run->edge(Side::Left, 'a-1');
        $right = $run->edge(Side::Right, 'c-1');
        self::assertEqualsWithDelta($left?->gap->most, $right?->gap->most, 0.01);
        self::assertEqualsWithDelta((1200.0 - 1188.0) / 2, $left?->gap->most, 0.01);
        // Only the outer ends stand against a wall.
        self::assertNull($run->edge(Side::Right, 'a-1'));
    }

    public function test_bays_that_share_boards_are_one_box(): void
    {
        $run = self::fitted(TestLayout::of([TestLayout::bay('a'), TestLayout::bay('b', ['joined' => true])]));
        self::assertCount(1, $run->boxes);
        // (1189.8 − 3 · 18)/2 = 567.9, down: 567; outer 2 · 567 + 54 = 1188.
        self::assertSame(1188.0, $run->boxes[0]->outerWidth()->toDouble());
        self::assertSame([567.0, 567.0], array_map(fn ($column) => $column->width->result->toDouble(), $run->boxes[0]->columns));
        self::assertSame([18.0, 603.0], array_map(fn ($column) => $column->x, $run->boxes[0]->columns));
    }

    public function test_tiers_share_boards_until_the_box_is_cut_in_base_and_upper(): void
    {
        $tiers = fn (bool $joined) => [Doc::tier('low', ['size' => TestLayout::mm(700)]), Doc::tier('high', ['joined' => $joined])];
        $whole = self::fitted(TestLayout::of([TestLayout::bay('a', [], $tiers(true))]));
        self::assertCount(1, $whole->boxes);
        // Clear openings: the lower 700, the upper 2321 − 700 − 3 · 18 = 1567.
        self::assertSame([700.0, 1567.0], array_map(fn ($opening) => $opening->height->result->toDouble(), $whole->boxes[0]->columns[0]->openings));
        $cut = self::fitted(TestLayout::of([TestLayout::bay('a', [], $tiers(false))]));
        // Outer sizes now: 700 and 2321 − 700.
        self::assertSame([700.0, 1621.0], array_map(fn (Box $box) => $box->outerHeight()->toDouble(), $cut->boxes));
        self::assertSame([70.0, 770.0], array_map(fn (Box $box) => $box->z, $cut->boxes));
        // The lower keeps its id, and with it the keys of its pieces.
        self::assertSame(['low', 'high'], array_map(fn (Box $box) => $box->id, $cut->boxes));
    }

    public function test_a_box_that_need_not_be_tilted_whole_may_be_as_high_as_goes_in(): void
    {
        $but = ['depth' => TestLayout::mm(580)];
        $tilted = self::fitted(TestLayout::of([TestLayout::bay('a')], $but)->with([]));
        $cut = self::fitted(TestLayout::of([TestLayout::bay('a', [], [Doc::tier('low'), Doc::tier('high', ['joined' => false])])], $but));
        $together = array_sum(array_map(fn (Box $box) => $box->outerHeight()->toDouble(), $cut->boxes));
        // 2500 in front: √((2500 − 6 − …)² − 562²) is more than upright allows, so both are as high.
        self::assertEqualsWithDelta($tilted->boxes[0]->outerHeight()->toDouble(), $together, 1.0);
    }

    public function test_a_bay_lines_up_with_a_stud_and_with_the_edge_of_a_thing(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a', ['snap' => 'stud']), TestLayout::bay('b')])->thing('stud', 'stud', 441.0, 0.0, 38.0, 2400.0, 0.0, 'may-be-covered');
        $run = self::fitted($layout);
        // The centre line lies at 441 + 19 = 460; so does the right side of the first box, to the millimetre.
        self::assertEqualsWithDelta(460.0, $run->boxes[0]->right(), 0.6);
        $window = TestLayout::of([TestLayout::bay('a', ['snap' => 'window']), TestLayout::bay('b', [], [Doc::tier('b-1', ['holds' => Recipe::gap()])])])->thing('window', 'window', 700.0, 900.0, 400.0, 900.0, 60.0, 'uncovered');
        // 3 mm before its edge at 700.
        self::assertEqualsWithDelta(697.0, self::fitted($window)->boxes[0]->right(), 0.6);
    }

    public function test_a_shelf_line_follows_the_neighbours(): void
    {
        $run = self::fitted(TestLayout::of([
            TestLayout::bay('a', [], [Doc::tier('a-1', ['size' => TestLayout::mm(640)]), Doc::tier('a-2')]),
            TestLayout::bay('b', [], [Doc::tier('b-1'), Doc::tier('b-2', ['snap' => null]), Doc::tier('b-3')]),
            TestLayout::bay('c', [], [Doc::tier('c-1', ['snap' => 'a-1']), Doc::tier('c-2')]),
        ]));
        $top = fn (string $id) => $run->cell($id)->z + $run->cell($id)->height->result->toDouble();
        self::assertSame(70.0 + 18.0 + 640.0, $top('a-1'));
        self::assertSame($top('a-1'), $top('c-1'));
        self::assertNotSame($top('a-1'), $top('b-1'));
    }

    public function test_a_worktop_lies_between_base_and_what_stands_above(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('low', ['size' => TestLayout::mm(700)]), Doc::tier('high', ['joined' => false])])]);
        $run = self::fitted($layout->with(['members' => [...$layout->layout['members'], Doc::member('top', 'worktop', ['low'])]]));
        self::assertSame(770.0, $run->over()[0]->z);
        // The upper box stands on the worktop, and is lower by its thickness: 2321 − 700 − 18.
        self::assertSame([770.0 + 18.0, 1603.0], [$run->boxes[1]->z, $run->boxes[1]->outerHeight()->toDouble()]);
        // Scribed to the wall behind, which nobody looked at, and to both sides.
        self::assertSame(Closing::Scribe, $run->edge(Side::Back, 'top')?->closing);
        self::assertNotNull($run->edge(Side::Left, 'top'));
        self::assertSame(420.0, $run->over()[0]->depth->result->toDouble());
    }

    public function test_a_plinth_stops_at_a_knee_space(): void
    {
        $run = self::fitted(TestLayout::of([TestLayout::bay('a'), TestLayout::bay('k', [], [Doc::tier('k-1', ['holds' => Recipe::knees()])]), TestLayout::bay('b')], [], 2000.0));
        self::assertCount(2, $run->under());
        self::assertSame(['P1', 'P1b'], array_map(fn ($plinth) => $plinth->mark, $run->under()));
    }

    public function test_depth_changes_by_tier(): void
    {
        $run = self::fitted(TestLayout::of([TestLayout::bay('a', [], [Doc::tier('low', ['size' => TestLayout::mm(700)]), Doc::tier('high', ['depth' => TestLayout::mm(250)])])]));
        // Different depths make two boxes, though their boundary is joined.
        self::assertSame([400.0, 250.0], array_map(fn (Box $box) => $box->outerDepth()->toDouble(), $run->boxes));
    }

    public function test_a_filler_narrows_every_bay(): void
    {
        $plain = self::fitted(TestLayout::of([TestLayout::bay('a'), TestLayout::bay('b')]));
        $filled = self::fitted(TestLayout::of([TestLayout::bay('a'), TestLayout::bay('b')])->with(['closings' => ['left:a-1' => 'filler']]));
        self::assertSame(Closing::Filler, $filled->edge(Side::Left, 'a-1')?->closing);
        self::assertGreaterThanOrEqual(20.0 - 1e-6, $filled->edge(Side::Left, 'a-1')->gap->least);
        self::assertLessThan($plain->boxes[1]->outerWidth()->toDouble(), $filled->boxes[1]->outerWidth()->toDouble());
        self::assertEqualsWithDelta(self::RUN - $filled->reserved, $filled->right - $filled->left, 2.0);
    }

    public function test_too_much_is_a_clash_with_ways_out_that_were_tried(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a', ['size' => TestLayout::mm(700)]), TestLayout::bay('b', ['size' => TestLayout::mm(600)])]);
        $clash = $layout->clashes()[0];
        self::assertSame('run-overfull', $clash->code->value);
        self::assertSame('The bays ask for 111 mm more than the run has.', $clash->sentence);
        self::assertNotSame([], $clash->waysOut);
        foreach ($clash->waysOut as $way) {
            self::assertSame([], $layout->edited($way->edit)->clashes(), $way->label);
        }
    }

    public function test_tiers_that_line_up_follow_each_other_in_any_order(): void
    {
        // a follows b, b follows c; each number is that of its lower tier's clear height, as chosen or as it follows.
        $run = self::fitted(TestLayout::of([
            TestLayout::bay('a', [], [Doc::tier('a-1', ['snap' => 'b-1']), Doc::tier('a-2')]),
            TestLayout::bay('b', [], [Doc::tier('b-1', ['snap' => 'c-1']), Doc::tier('b-2')]),
            TestLayout::bay('c', [], [Doc::tier('c-1', ['size' => TestLayout::mm(400)]), Doc::tier('c-2')]),
        ]));
        $top = fn (string $id) => $run->cell($id)->z + $run->cell($id)->height->result->toDouble();
        self::assertSame([488.0, 488.0, 488.0], array_map($top, ['a-1', 'b-1', 'c-1']));
    }

    public function test_tiers_that_line_up_in_a_ring_are_named(): void
    {
        $plan = TestLayout::of([
            TestLayout::bay('a', [], [Doc::tier('a-1', ['snap' => 'b-1']), Doc::tier('a-2')]),
            TestLayout::bay('b', [], [Doc::tier('b-1', ['snap' => 'a-1']), Doc::tier('b-2')]),
        ])->plan();
        $rings = array_values(array_filter($plan->findings, fn (Finding $finding) => $finding->code === Code::SnapRing));
        self::assertSame(['a-1', 'b-1'], array_map(fn (Finding $finding) => $finding->place, $rings));
    }
}
