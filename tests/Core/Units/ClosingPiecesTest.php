<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Fit\Closing\Gap;
use Incastro\Geometry\Point;
use Incastro\Pieces\Piece;
use Incastro\Planning\JobChoices;
use Incastro\Planning\Planner;
use Incastro\Planning\SpacePlan;
use Incastro\Units\Make\ScribedOutline;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;

/** What each closing adds to the pieces of the first worked example (box 1185 × 2321, 400 deep). */
final class ClosingPiecesTest extends TestCase
{
    /** @param array<string, ?string> $closings */
    private function space(array $closings = [], ?TestAlcove $alcove = null): SpacePlan
    {
        $job = ($alcove ?? TestAlcove::leaning())->job(layout: ['depth' => '400', 'closings' => $closings + ['left' => null, 'right' => null, 'top' => null]]);

        return (new Planner())->plan($job)->spaces[0];
    }

    private function piece(SpacePlan $space, string $mark): ?Piece
    {
        foreach ($space->pieces() as $piece) {
            if ($piece->mark === $mark) {
                return $piece;
            }
        }

        return null;
    }

    public function test_a_filler_brings_its_strip_and_a_cleat(): void
    {
        $space = $this->space(['left' => 'filler']);
        $gap = $space->layout?->runs[0]->edges['left:box']->gap;
        self::assertNotNull($gap);
        // The bay is narrowed until 20 stay at the tightest place; there the wall leans 6.97 less than at the foot.
        self::assertEqualsWithDelta(20.0, $gap->least, 1.0);
        $strip = $this->piece($space, 'B1-filler-left');
        self::assertSame(ceil($gap->most + 5.0 + $gap->doubt()), $strip?->width->result->toDouble());
        // Its cleat is as high as the box; the strip goes on up to the ceiling.
        self::assertSame([2321.0, 30.0], [$this->piece($space, 'B1-cleat-left')?->length->result->toDouble(), $this->piece($space, 'B1-cleat-left')?->width->result->toDouble()]);
        // The stile itself no longer stands over.
        self::assertSame(38.0, $this->piece($space, 'B1-stile-L')?->width->result->toDouble());
    }

    public function test_trim_is_as_wide_as_its_face_and_changes_no_other_piece(): void
    {
        $plain = $this->space();
        $trimmed = $this->space(['right' => 'trim']);
        self::assertSame([2338.0, 45.0], [$this->piece($trimmed, 'B1-trim-right')?->length->result->toDouble(), $this->piece($trimmed, 'B1-trim-right')?->width->result->toDouble()]);
        self::assertSame($this->piece($plain, 'B1-bottom')?->length->result->toDouble(), $this->piece($trimmed, 'B1-bottom')?->length->result->toDouble());
    }

    public function test_trim_may_be_cut_from_boards_by_length(): void
    {
        $usual = JobChoices::defaults('Test', 'mm/1');
        $job = TestAlcove::leaning()->job('mm/1', ['depth' => '400', 'closings' => ['left' => null, 'right' => 'trim', 'top' => null]], ['uses' => ['trim' => 'framing'] + $usual['uses']]);
        $plan = (new Planner())->plan($job);
        $trim = $this->piece($plan->spaces[0], 'B1-trim-right');
        self::assertSame(['framing', 20.0], [$trim?->material->id, $trim?->thickness->toDouble()]);
        // 2338 of it from a batten of 2400, of which 10 go off each end: 2400 − 10 − (10 + 2338 + 3.2) are left before the other.
        self::assertCount(1, $plan->cut->boards->boards);
        self::assertEqualsWithDelta(38.8, $plan->cut->boards->boards[0]->left->toDouble(), 1e-6);
    }

    public function test_nothing_means_plain_stiles_and_rails(): void
    {
        $space = $this->space(['left' => 'nothing', 'right' => 'nothing', 'top' => 'nothing']);
        self::assertSame([2321.0, 38.0], [$this->piece($space, 'B1-stile-L')?->length->result->toDouble(), $this->piece($space, 'B1-stile-L')?->width->result->toDouble()]);
        self::assertSame(45.0, $this->piece($space, 'B1-rail-top')?->width->result->toDouble());
        foreach ($space->pieces() as $piece) {
            self::assertEqualsWithDelta($piece->length->result->toDouble() * $piece->width->result->toDouble(), $piece->outline->area(), 1.0, $piece->mark);
        }
    }

    public function test_a_frieze_closes_a_high_gap_above(): void
    {
        // In front only 2300 high: the box is tilted up lower and leaves a gap above that no rail can take.
        $alcove = new TestAlcove(fn () => 0.0, fn () => 1200.0, inFront: 2300.0);
        $space = $this->space([], $alcove);
        $gap = $space->layout?->runs[0]->edges['top:box']->gap;
        self::assertNotNull($gap);
        self::assertGreaterThan(25.0, $gap->most);
        $frieze = $this->piece($space, 'B1-filler-top');
        self::assertSame('Frieze', $frieze?->name);
        self::assertSame(ceil($gap->most + 5.0 + $gap->doubt()), $frieze->width->result->toDouble());
        // Over the box and both scribed stiles.
        $reach = $space->layout?->runs[0]->edges['left:box']->scribe?->blank()->toDouble() + $space->layout?->runs[0]->edges['right:box']->scribe?->blank()->toDouble();
        self::assertSame($space->layout?->runs[0]->boxes[0]->outerWidth()->toDouble() + $reach, $frieze->length->result->toDouble());
    }

    public function test_a_scribed_outline_keeps_what_the_gap_needs_and_no_more(): void
    {
        // 38 over the box, gaps 10 and 16 over 1000: area 1000 · (38 + 13) = 51 000 mm².
        $outline = ScribedOutline::of(new Gap([new Point(0.0, 10.0), new Point(1000.0, 16.0)], 0.6), 38.0, 0.0, 1000.0);
        self::assertEqualsWithDelta(51_000.0, $outline->area(), 1e-6);
        // Started 100 earlier and ended 100 later the line goes on straight: 1200 · 51.
        $longer = ScribedOutline::of(new Gap([new Point(0.0, 10.0), new Point(1000.0, 16.0)], 0.6), 38.0, 100.0, 1200.0);
        self::assertEqualsWithDelta(61_200.0, $longer->area(), 1e-6);
    }

    public function test_a_stile_is_cut_within_its_blank(): void
    {
        foreach (['B1-stile-L', 'B1-stile-R'] as $mark) {
            $piece = $this->piece($this->space(), $mark);
            self::assertNotNull($piece);
            foreach ($piece->outline->outer->points as $point) {
                self::assertGreaterThanOrEqual(-1e-9, min($point->x, $point->y));
                self::assertLessThanOrEqual($piece->length->result->toDouble() + 1e-6, $point->x);
                // At least the scribe reserve of 5 is cut off everywhere.
                self::assertLessThanOrEqual($piece->width->result->toDouble() - 5.0 + 1e-6, $point->y);
            }
        }
    }

    public function test_a_toe_board_follows_a_falling_floor(): void
    {
        $space = $this->space([], new TestAlcove(fn () => 0.0, fn () => 1200.0, fall: 8.0));
        $gap = $space->layout?->runs[0]->edges['foot:box/plinth']->gap;
        self::assertNotNull($gap);
        $board = $this->piece($space, 'P1-toe-board');
        // 70 plinth and the overhang: g_max + 5 + 1.645 σ of the level, up.
        self::assertSame(70.0 + ceil($gap->most + 5.0 + $gap->doubt()), $board?->width->result->toDouble());
        self::assertNull($this->piece($this->space(), 'P1-toe-board'));
    }

    public function test_keys_stay_while_sizes_change_and_marks_are_unique(): void
    {
        $keys = fn (SpacePlan $space) => array_map(fn (Piece $piece) => $piece->key, $space->pieces());
        $marks = array_map(fn (Piece $piece) => $piece->mark, $this->space()->pieces());
        self::assertSame($keys($this->space()), $keys($this->space(alcove: TestAlcove::skewed())));
        self::assertSame($marks, array_values(array_unique($marks)));
        self::assertStringStartsWith('box:', $keys($this->space())[0]);
    }
}
