<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Block;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Works\Work;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Trial\Dice;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** Pieces that are cut around what stands in their way; in the plumb alcove 1200 wide, boards of 18, boxes 400 deep. */
final class CutAroundTest extends TestCase
{
    private static function box(int $shelves = 2): TestLayout
    {
        return TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Recipe::box(0, $shelves)])])]);
    }

    /** @return array<string, Placed> by mark */
    private static function placed(TestLayout $layout): array
    {
        return array_column(array_map(fn (Placed $one) => [$one->piece->mark, $one], $layout->plan()->assemblies[0]->placed), 1, 0);
    }

    private static function works(Placed $placed): string
    {
        return implode('; ', array_map(fn (Work $work) => $work->words(LengthFormat::millimetres()), $placed->piece->works));
    }

    public function test_a_pipe_out_of_the_wall_gets_a_hole_with_a_slot_to_the_nearer_end_by_hand(): void
    {
        // A pipe of 40 out of the wall, its foot 300 up, 200 along: 10 of air. The box stands on a plinth of 70, its back 1
        // above its foot: the middle of the hole lies 320 − 71 = 249 up, the slot ends at 249 + 30 = 279, 60 wide.
        $placed = self::placed(self::box()->thing('pipe', 'pipe', 200, 300, 40, 40, 120, 'may-be-covered', ['direction' => 'out']));
        $back = $placed['B1-back'];
        self::assertStringContainsString('slot for pipe, 279 mm up from its foot: hole 60 mm across', self::works($back));
        // Away: 60 · 249 and half a circle of 30, drawn with straight bits.
        $away = $back->piece->length->result->toDouble() * $back->piece->width->result->toDouble() - $back->piece->outline->area();
        self::assertEqualsWithDelta(60.0 * 249.0 + M_PI * 30.0 ** 2 / 2, $away, 40.0);
        self::assertTrue($back->piece->outline->outer->isSimple());
    }

    public function test_a_pipe_along_the_wall_notches_what_stands_on_edge_and_parts_the_back_not(): void
    {
        // A pipe of 28 along the wall at 500 up, 40 out from it: both sides get a notch from their back edge.
        $placed = self::placed(self::box()->thing('pipe', 'pipe', 100, 500, 28, 28, 40, 'may-be-covered', ['direction' => 'along']));
        foreach (['B1-side-L', 'B1-side-R'] as $mark) {
            self::assertStringContainsString('for pipe', self::works($placed[$mark]), $mark);
            // 28 and 10 of air on both sides is 48; 50 deep from the wall, the side's back edge being 6 out: 44.
            $piece = $placed[$mark]->piece;
            $away = $piece->length->result->toDouble() * $piece->width->result->toDouble() - $piece->outline->area();
            self::assertLessThanOrEqual(48.0 * 44.0 + 1.0, $away);
            self::assertGreaterThan(48.0 * 40.0 * M_PI / 4, $away);
        }
    }

    public function test_a_box_that_is_slid_home_past_something_has_nothing_behind_it(): void
    {
        $dice = new Dice(41);
        for ($i = 0; $i < 40; $i++) {
            $out = $dice->between(60.0, 330.0);
            [$kind, $but] = $dice->chance(0.5) ? ['pipe', ['direction' => 'up']] : ['pedestal', ['face' => 'floor']];
            $size = $kind === 'pipe' ? 28.0 : 180.0;
            $layout = self::box()->thing('thing', $kind, $dice->between(100.0, 900.0), $kind === 'pipe' ? 0.0 : $out - 60.0, $size, $kind === 'pipe' ? 2400.0 : 180.0, $kind === 'pipe' ? $out : 900.0, 'may-be-covered', $but);
            $plan = $layout->plan();
            $room = $plan->survey->room ?? self::fail('The alcove has a room.');
            $thing = (new ThingPlace($room->with($layout->job()->spaces[0]->things), $room->frame(0)))->block($layout->job()->spaces[0]->things[0]);
            foreach (array_filter($plan->assemblies[0]->placed, fn (Placed $one) => in_array($one->part, [Part::Nailer, Part::Back], true)) as $one) {
                $behind = new Block($thing->u0, $thing->u1, -100.0, $thing->v0, $thing->z0, $thing->z1);
                self::assertLessThan(0.5, max(0.0, self::area($one, $behind)), "{$one->piece->mark} behind a $kind $out out");
            }
        }
    }

    /** How much of what stands across the wall lies in a block, seen from the front, mm². */
    private static function area(Placed $placed, Block $block): float
    {
        [$p, $q] = [$placed->seen($block->u0, $placed->bounds->v0, $block->z0), $placed->seen($block->u1, $placed->bounds->v0, $block->z1)];
        $left = $placed->piece->outline->minus(Polygon::rectangle(min($p->x, $q->x), min($p->y, $q->y), abs($q->x - $p->x), abs($q->y - $p->y)));

        return $placed->piece->outline->area() - array_sum(array_map(fn (Outline $one) => $one->area(), $left));
    }

    public function test_a_beam_under_the_ceiling_takes_the_corner_of_both_sides_and_the_back_loses_its_top(): void
    {
        $layout = self::box()->thing('beam', 'beam', 0, 2250, 1200, 150, 80, 'may-be-covered');
        $placed = self::placed($layout);
        foreach (['B1-side-L', 'B1-side-R'] as $mark) {
            self::assertStringContainsString('notch for beam', self::works($placed[$mark]));
            [, , $low] = $placed[$mark]->piece->outline->bounds();
            // The upper back corner is gone: no point of the outline is left there.
            $high = $placed[$mark]->piece->length->result->toDouble();
            self::assertSame([], array_filter($placed[$mark]->piece->outline->outer->points, fn (Point $point) => $point->x > $high - 1.0 && $point->y < $low + 1.0));
        }
    }

    public function test_a_post_in_the_corner_takes_the_back_corner_of_every_shelf(): void
    {
        $placed = self::placed(self::box(3)->thing('post', 'post', 0, 0, 90, 1, 70, 'may-be-covered'));
        foreach (['B1-shelf-1', 'B1-shelf-2', 'B1-shelf-3', 'B1-bottom', 'B1-top'] as $mark) {
            self::assertStringContainsString('notch for post', self::works($placed[$mark]), $mark);
            self::assertFalse($placed[$mark]->piece->outline->outer->contains(new Point(1.0, 1.0)), $mark);
            self::assertTrue($placed[$mark]->piece->outline->outer->contains(new Point(120.0, 1.0)), $mark);
        }
    }

    public function test_a_socket_that_is_opened_is_cut_with_its_air_and_others_are_left_alone(): void
    {
        $layout = self::box()->thing('socket', 'socket', 300, 400, 82, 82, 8, 'reachable')->thing('switch', 'switch', 700, 1100, 82, 82, 8, 'reachable')->with(['openings' => ['socket']]);
        $back = self::placed($layout)['B1-back'];
        self::assertCount(1, $back->piece->outline->holes);
        [$minX, $maxX, $minY, $maxY] = $back->piece->outline->holes[0]->bounds();
        self::assertEqualsWithDelta(92.0, $maxX - $minX, 1e-6);
        self::assertEqualsWithDelta(92.0, $maxY - $minY, 1e-6);
        // 400 up less 5 of air, over the back's foot at 71.
        self::assertEqualsWithDelta(400.0 - 5.0 - 71.0, $minX, 0.5);
    }

    public function test_cleats_stop_before_a_pipe_and_go_on_behind_it(): void
    {
        $layout = TestLayout::of([TestLayout::bay('s', [], [Doc::tier('s-1', ['holds' => Recipe::cleats(2)])])])
            ->thing('pipe', 'pipe', 500, 0, 22, 2300, 45, 'may-be-covered', ['direction' => 'up']);
        $placed = self::placed($layout);
        foreach (['1', '2'] as $shelf) {
            self::assertArrayNotHasKey("S1-cleat-back-$shelf", $placed);
            $left = $placed["S1-cleat-back-$shelf-a"];
            $right = $placed["S1-cleat-back-$shelf-b"];
            // The pipe is 22 and has 10 of air on both sides; both parts are rounded down at the pipe.
            self::assertEqualsWithDelta(42.0, $right->bounds->u0 - $left->bounds->u1, 2.0);
            self::assertGreaterThanOrEqual(42.0 - 1e-6, $right->bounds->u0 - $left->bounds->u1);
            self::assertStringContainsString('stops beside pipe', self::works($left));
        }
    }

    public function test_a_board_that_a_pipe_passes_far_from_its_back_is_split_through_the_hole(): void
    {
        // The pipe comes up 300 out: the slot would be longer than 200, so each shelf is in two halves.
        $layout = self::box(1)->thing('pipe', 'pipe', 500, 0, 40, 2300, 320, 'may-be-covered', ['direction' => 'up']);
        $placed = self::placed($layout);
        self::assertArrayHasKey('B1-shelf-1-a', $placed);
        self::assertArrayHasKey('B1-shelf-1-b', $placed);
        $whole = self::placed(self::box(1))['B1-shelf-1']->piece;
        // Both halves and the hole of 40 + 2 · 10 make up the whole shelf; each half is rounded down by less than 1.
        $halves = $placed['B1-shelf-1-a']->piece->outline->area() + $placed['B1-shelf-1-b']->piece->outline->area();
        $gone = $whole->outline->area() - $halves;
        self::assertGreaterThan(M_PI * 30.0 ** 2 - 60.0, $gone);
        self::assertLessThan(M_PI * 30.0 ** 2 + 2 * 376.0, $gone);
    }

    /** Whatever stands on the wall: a piece either keeps clear of it, or a clash says that it does not. */
    public function test_no_piece_runs_through_a_thing_unless_a_clash_says_so(): void
    {
        $dice = new Dice(41);
        $kinds = ['pipe', 'trap', 'post', 'beam', 'chase', 'stringer', 'picture-rail'];
        $checked = 0;
        for ($i = 0; $i < 60; $i++) {
            $kind = $kinds[$i % count($kinds)];
            $wide = round($dice->between(15.0, 130.0));
            $but = match (true) {
                $kind === 'pipe' => ['direction' => ['up', 'along', 'out'][$i % 3]],
                $i % 2 === 0 => [],
                default => ['clearance' => TestLayout::mm(round($dice->between(2.0, 15.0)))],
            };
            $layout = self::box($i % 4)->thing('thing', $kind, round($dice->between(0.0, 1060.0)), round($dice->between(0.0, 2200.0)), $wide, round($dice->between(20.0, 300.0)), round($dice->between(10.0, 150.0)), 'may-be-covered', $but);
            $plan = $layout->plan();
            $run = $plan->layout?->runs[0];
            $room = $plan->survey->room;
            self::assertNotNull($run);
            self::assertNotNull($room);
            if ($layout->clashes() !== []) {
                continue;
            }
            $checked++;
            // Every piece, faces and plinths among them, against the body of the thing itself.
            $body = (new ThingPlace($room->with($plan->space->things), $run->frame))->solid($plan->space->things[0]);
            self::assertNotNull($body);
            foreach ($plan->assemblies[0]->placed as $placed) {
                self::assertLessThanOrEqual(0.5, $placed->solid()->overlap($body), sprintf('%s runs through %s %d', $placed->piece->mark, $kind, $i));
            }
        }
        self::assertGreaterThan(25, $checked);
    }
}
