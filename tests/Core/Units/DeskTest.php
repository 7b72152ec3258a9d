<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;
use Incastro\Units\Hardware;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** A desk 1640 long between two walls, 600 deep, on a box of 400 at the right: knees at its left. */
final class DeskTest extends TestCase
{
    private static function desk(array $with, float $high = 750.0): TestLayout
    {
        $bay = fn (string $id, array $size, array $holds) => TestLayout::bay($id, $size, [Doc::tier("$id-1", ['size' => TestLayout::mm($high), 'holds' => $holds]), Doc::tier("$id-2", ['joined' => false, 'holds' => Recipe::gap()])]);
        $layout = TestLayout::of([$bay('k', [], Recipe::knees()), $bay('b', ['size' => TestLayout::mm(400)], Recipe::box(0, 1))], ['depth' => TestLayout::mm(600)], 1651.0, 700.0)->with(['members' => []]);
        $layout->layout['members'] = [array_replace(Doc::member('top', 'worktop', ['k-1', 'b-1']), ['with' => array_map(fn (mixed $value) => is_float($value) ? TestLayout::mm($value) : $value, $with)])];

        return $layout;
    }

    /** @return array<string, array{float, float}> by the mark without the member's */
    private static function pieces(SpacePlan $plan): array
    {
        $pieces = [];
        foreach ($plan->pieces() as $piece) {
            if (str_starts_with($piece->mark, 'W1-')) {
                $pieces[substr($piece->mark, 3)] = [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
            }
        }

        return $pieces;
    }

    /** @return list<Finding> */
    private static function sags(TestLayout $layout): array
    {
        return array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::Sags));
    }

    public function test_cleats_carry_it_at_the_walls_and_a_strip_stiffens_it(): void
    {
        $plan = self::desk(['strip' => 90.0, 'hole' => true])->plan();
        $pieces = self::pieces($plan);
        // 1640 − 400 of the box.
        self::assertSame([1240.0, 70.0], $pieces['back-cleat']);
        // 600 − 18 of the back cleat − 60 behind the face; at the box there is none.
        self::assertSame([522.0, 70.0], $pieces['side-cleat-left']);
        self::assertArrayNotHasKey('side-cleat-right', $pieces);
        self::assertSame([1240.0, 90.0], $pieces['front-strip']);
        // One hole of 60, in the middle of the knees, 60 before the back of the furniture.
        $top = array_values(array_filter($plan->assemblies[0]->placed, fn ($placed) => $placed->piece->mark === 'W1-top'))[0];
        self::assertCount(1, $top->piece->outline->holes);
        [$x0, $x1, $y0, $y1] = $top->piece->outline->holes[0]->bounds();
        self::assertEqualsWithDelta(60.0, $x1 - $x0, 0.01);
        // From the blank's corner: it hangs over the back reference line by its scribe.
        self::assertEqualsWithDelta(60.0 - $top->pose->at->y, ($y0 + $y1) / 2, 0.01);
        self::assertEqualsWithDelta(5.5 + 620.0 - $top->pose->at->x, ($x0 + $x1) / 2, 0.6);
        self::assertContains('cable grommet Ø 60 mm', array_map(fn (Hardware $one) => $one->name, $plan->hardware()));
    }

    public function test_somebody_who_leans_on_its_front_bends_it_and_a_strip_is_worked_out(): void
    {
        // 620 deep with what it stands over the face: half of it, 310 × 18³/12 × 9000 = 1.356·10⁹ N·mm²;
        // 981 × (8 × 1240³ − 4 × 300² × 1240 + 300³) ÷ (384 × 1.356·10⁹) = 27.9; 1240/300 = 4.1.
        $layout = self::desk([]);
        [$sags] = self::sags($layout);
        self::assertStringContainsString('W1-top bends 27.9 mm when somebody leans on its front edge; 4.1 mm is the most over 1240 mm.', $sags->sentence);
        $strip = array_values(array_filter($sags->waysOut, fn (WayOut $way) => str_starts_with($way->label, 'A strip of')))[0];
        $stiff = $layout->edited($strip->edit);
        self::assertSame([], self::sags($stiff));
        self::assertSame('fits', $stiff->plan()->verdict->state);
    }

    public function test_a_strip_leaves_room_for_knees(): void
    {
        // 680 − 90 = 590 of the 620 that knees need: 60 is the highest strip.
        $layout = self::desk(['strip' => 90.0], 680.0);
        $low = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::KneesHigh));
        self::assertSame('Under the front strip 590 mm are clear; knees need 620 mm.', $low[0]->sentence);
        self::assertSame('A strip of 60 mm', $low[0]->waysOut[0]->label);
        self::assertSame([60.0], [self::pieces($layout->edited($low[0]->waysOut[0]->edit)->plan())['front-strip'][1]]);
    }

    public function test_an_end_on_nothing_is_told(): void
    {
        $hangs = fn (TestLayout $layout) => array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::WorktopHangs));
        $layout = self::desk(['cleats' => false, 'sides' => false]);
        self::assertSame('Nothing carries the worktop at its left end: it wants a cleat on the wall, a side or a leg.', $hangs($layout)[0]->sentence);
        $stands = $layout->edited($hangs($layout)[0]->waysOut[0]->edit);
        self::assertSame([], $hangs($stands));
        // From the floor to the worktop at 750, as deep as the furniture.
        self::assertSame([750.0, 600.0], self::pieces($stands->plan())['side-left']);
    }

    public function test_a_side_under_its_middle_halves_what_it_spans(): void
    {
        // Of 27: 27.9 × (18/27)³ = 8.3, where 4.1 is the most; over 611 it is 0.9 of 2.0.
        $layout = self::desk(['made' => 'thick']);
        $middle = array_values(array_filter(self::sags($layout)[0]->waysOut, fn (WayOut $way) => $way->label === 'A side under its middle'));
        $plan = $layout->edited($middle[0]->edit)->plan();
        $pieces = self::pieces($plan);
        // A side of 750 by 600; at its left and right (1240 − 18)/2 = 611 are clear, as long as each cleat behind.
        self::assertSame([750.0, 600.0], $pieces['between']);
        self::assertSame([[611.0, 70.0], [611.0, 70.0]], [$pieces['back-cleata'], $pieces['back-cleatb']]);
        // Two leave (1240 − 36)/3 = 401 of the 600 that knees need.
        $narrow = array_values(array_filter(self::desk(['between' => 2])->plan()->findings, fn (Finding $finding) => $finding->code === Code::KneesWide));
        self::assertSame('Between what stands under the worktop 401 mm are clear; knees need 600 mm.', $narrow[0]->sentence);
    }

    public function test_a_frame_of_legs_stands_under_an_end(): void
    {
        $pieces = self::pieces(self::desk(['cleats' => false, 'legs' => true])->plan());
        // 750 less a glide of 12; between two legs of 45: 600 − 90.
        self::assertSame([738.0, 45.0], $pieces['side-left-front']);
        self::assertSame([510.0, 45.0], $pieces['side-left-rail-low']);
    }

    public function test_how_far_it_stands_out_with_nothing_under_it(): void
    {
        // P·a ÷ ((300 + a) · 18²/6) = 5 with P = 981: a = 300 · 270/(981 − 270) = 113.9.
        $layout = self::desk(['overhang' => 150.0]);
        $long = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::OverhangLong));
        self::assertSame('Let it stand out 113 mm', $long[0]->waysOut[0]->label);
        self::assertSame([], array_filter($layout->edited($long[0]->waysOut[0]->edit)->plan()->findings, fn (Finding $finding) => $finding->code === Code::OverhangLong));
    }

    public function test_two_lengths_meet_where_boxes_do_and_are_bolted(): void
    {
        $bay = fn (string $id) => TestLayout::bay($id, [], [Doc::tier("$id-1", ['size' => TestLayout::mm(750), 'holds' => Recipe::box(0, 1)]), Doc::tier("$id-2", ['joined' => false, 'holds' => Recipe::gap()])]);
        $layout = TestLayout::of([$bay('a'), $bay('b'), $bay('c'), $bay('d')], ['depth' => TestLayout::mm(600)], 3211.0, 700.0);
        $layout->layout['members'][] = Doc::member('top', 'worktop', ['a-1', 'b-1', 'c-1', 'd-1']);
        $plan = $layout->plan();
        // 3200 in bays of 800: three of them are as long as one piece is made, 2400; the fourth has its own.
        self::assertCount(2, array_filter($plan->pieces(), fn ($piece) => $piece->name === 'Worktop'));
        $bolts = array_values(array_filter($plan->hardware(), fn (Hardware $one) => $one->name === 'worktop bolt'));
        // 620 deep: three.
        self::assertSame([3], array_column($bolts, 'quantity'));
    }
}
