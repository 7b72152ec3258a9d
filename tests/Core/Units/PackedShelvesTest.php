<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Pieces\Marks\Mark;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Finding;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Units\Hardware;
use Incastro\Units\Placed;
use PHPUnit\Framework\TestCase;
use Tests\Core\PieceSizes;
use Tests\Core\TestAlcove;
use Tests\Core\TestKind;
use Tests\Core\TestLayout;
use Tests\Core\TestTerms;

/** Shelves on pins in strips that are packed out to parallel planes. */
final class PackedShelvesTest extends TestCase
{
    /** @param array<string, mixed> $with */
    private static function layout(array $with = [], float $wide = 900.0): TestLayout
    {
        $bay = TestLayout::bay('a', ['top' => 'below'], [Doc::tier('a-1', ['holds' => Doc::holds('cleat-shelves', $with + ['count' => 2, 'rest' => 'strips']), 'size' => TestLayout::mm(560)]), Doc::tier('a-2', ['holds' => Recipe::gap(), 'joined' => false])]);

        return TestLayout::of([$bay], [], $wide)->with(['members' => []]);
    }

    public function test_between_plumb_walls_a_strip_stands_against_each(): void
    {
        $layout = self::layout();
        self::assertSame([], $layout->clashes());
        $sizes = PieceSizes::byMark($layout->plan());
        // 900 less a strip of 18 at both sides and 3 of play; 400 less 2 of allowance and 5 of air behind.
        self::assertSame([[861.0, 393.0], [861.0, 393.0]], [$sizes['shelf-1'], $sizes['shelf-2']]);
        foreach (['LF', 'LB', 'RF', 'RB'] as $strip) {
            self::assertSame([557.0, 60.0], $sizes["strip-$strip"]);
        }
        $placed = array_column(array_map(fn (Placed $one) => [$one->piece->mark, $one->bounds], $layout->plan()->assemblies[0]->placed), 1, 0);
        // Pins 37 from the edges of a shelf from 7 to 400: strips about 44 and 363.
        self::assertEqualsWithDelta([14.0, 74.0, 333.0, 393.0], [$placed['S1-strip-LB']->v0, $placed['S1-strip-LB']->v1, $placed['S1-strip-LF']->v0, $placed['S1-strip-LF']->v1], 1e-6);
    }

    public function test_each_strip_has_a_row_of_holes_in_its_middle_and_one_pin_for_each_shelf(): void
    {
        $made = TestTerms::joined(self::layout()->plan()->assemblies[0]);
        $strips = array_values(array_filter($made->placed, fn (Placed $one) => str_contains($one->piece->key, 'strip')));
        foreach ($strips as $strip) {
            self::assertNotSame([], $strip->piece->marks, $strip->piece->mark);
            self::assertSame([30.0], array_values(array_unique(array_merge(...array_map(fn (Mark $mark) => array_map(fn ($point) => round($point->y, 6), $mark->at), $strip->piece->marks)))));
        }
        // Four for each shelf.
        self::assertSame(8, array_sum(array_map(fn (Hardware $one) => $one->name === 'shelf pin' ? $one->quantity : 0, $made->hardware)));
    }

    public function test_in_crooked_rooms_every_shelf_is_a_rectangle_that_goes_in_level_and_strips_stand_free_of_the_walls(): void
    {
        foreach ([SpaceKind::Alcove, SpaceKind::Closet] as $kind) {
            foreach (range(1, 12) as $seed) {
                $room = new TestKind($kind, $seed);
                $bays = [Doc::bay('a', [Doc::tier('a-1', ['holds' => Doc::holds('cleat-shelves', ['count' => 4, 'rest' => 'strips'])])])];
                $plan = $room->plan(['runs' => [Doc::run('r', 0, $bays)]] + Doc::none());
                self::assertSame([], array_map(fn (Finding $one) => $one->sentence, array_filter($plan->findings, fn (Finding $one) => $one->severity->value === 'clash' && ! in_array($one->code->value, ['no-stock', 'sags'], true))), "$kind->value $seed");
                $shelves = array_values(array_filter(self::placed($plan), fn (Placed $one) => str_contains($one->piece->key, ':shelf-')));
                self::assertCount(4, $shelves);
                self::assertCount(1, array_unique(array_map(fn (Placed $one) => $one->piece->length->result->nanometres(), $shelves)));
                foreach ($shelves as $shelf) {
                    self::assertTrue($shelf->piece->outline->isRectangle());
                }
            }
        }
    }

    public function test_walls_far_out_of_parallel_ask_for_so_much_packing_that_shelves_cut_to_them_are_offered(): void
    {
        // The left wall runs 60 to the right over 600 of depth: 0.1 for each mm out.
        $alcove = new TestAlcove(fn (float $v, float $z) => 0.1 * $v, fn () => 900.0);
        $bays = [Doc::bay('a', [Doc::tier('a-1', ['holds' => Doc::holds('cleat-shelves', ['count' => 2, 'rest' => 'strips'])])])];
        $plan = TestLayout::in($alcove, $bays)->plan();
        $found = array_values(array_filter($plan->findings, fn (Finding $one) => $one->code->value === 'strip-thick'));
        self::assertCount(1, $found);
        // Its plane is before the narrowest that is passed on the way in, at 600: 60; the strip about 44 ends before 7.4 and is 18 thick.
        self::assertMatchesRegularExpression('/^Behind S1-strip-LB 3[3-6] mm of packing is needed/', $found[0]->sentence);
        self::assertSame('Lay them on cleats, cut to the walls', $found[0]->waysOut[0]->label);
    }

    /** @return list<Placed> */
    private static function placed(SpacePlan $plan): array
    {
        return array_merge(...array_map(fn ($assembly) => $assembly->placed, $plan->assemblies));
    }
}
