<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** A bed over two boxes 382 to their top, 2040 long between walls, its front 938 from the wall. */
final class BedDeckTest extends TestCase
{
    private static function layout(array $with = [], int $boxes = 4): TestLayout
    {
        $bay = fn (int $i) => TestLayout::bay("b$i", [], [Doc::tier("b$i-1", ['size' => TestLayout::mm(312), 'holds' => Recipe::box(0, 0)]), Doc::tier("b$i-2", ['joined' => false, 'holds' => Recipe::gap()])]);
        $layout = TestLayout::of(array_map($bay, range(1, $boxes)), ['depth' => TestLayout::mm(920)], 2051.0, 1100.0);
        $layout->layout['members'][] = array_replace(Doc::member('bed', 'bed-deck', array_map(fn (int $i) => "b$i-1", range(1, $boxes))), ['with' => array_map(fn (mixed $value) => is_float($value) ? TestLayout::mm($value) : $value, $with)]);

        return $layout;
    }

    public function test_its_sheets_meet_where_two_boxes_do(): void
    {
        $plan = self::layout()->plan();
        self::assertSame('fits', $plan->verdict->state, implode(' ', array_map(fn (Finding $finding) => $finding->sentence, $plan->findings)));
        $pieces = [];
        foreach ($plan->pieces() as $piece) {
            $pieces[$piece->mark] = [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
        }
        // 2040 − 2 × 3 − 3 in the middle, halved: 1015.5; 938 − 18 − 2 × 3 = 914.
        self::assertSame([1015.0, 914.0], $pieces['L1-panel-1']);
        self::assertSame([1015.0, 914.0], $pieces['L1-panel-2']);
        // 18 + 30
        self::assertSame([2040.0, 48.0], $pieces['L1-front-board']);
        // The deck lies at 70 + 312 + 18 = 400.
        self::assertSame([400.0, 580.0], [$plan->assemblies[0]->fixtures[0]->block->z0, $plan->assemblies[0]->fixtures[0]->block->z1]);
    }

    public function test_over_wide_boxes_it_bends_under_one_person(): void
    {
        // One box 2040 wide: 2004 from side to side.
        $sags = array_values(array_filter(self::layout([], 1)->plan()->findings, fn (Finding $finding) => $finding->code === Code::Sags && $finding->place === 'bed'));
        self::assertStringStartsWith('Over 2004 mm the deck bends', $sags[0]->sentence);
        self::assertSame([], array_filter(self::layout()->plan()->findings, fn (Finding $finding) => $finding->code === Code::Sags));
    }

    public function test_a_closed_deck_is_warned_of(): void
    {
        $layout = self::layout(['holes' => false]);
        $damp = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::DeckNoAir));
        self::assertSame('Bore air holes', $damp[0]->waysOut[0]->label);
        self::assertSame([], array_filter($layout->edited($damp[0]->waysOut[0]->edit)->plan()->findings, fn (Finding $finding) => $finding->code === Code::DeckNoAir));
    }
}
