<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Planning\JobChoices;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** A bed whose front half lies on a row of boxes 400 deep at the front of a run 920 deep and 2040 long, and its back half on a ledger. */
final class RowDeckTest extends TestCase
{
    /** @param array<string, mixed> $with of the deck */
    private static function layout(array $with = [], bool $isBought = false, int $forward = 4, float $wide = 2051.0, float $deep = 920.0): TestLayout
    {
        $bay = fn (int $i) => TestLayout::bay("b$i", [], [Doc::tier("b$i-1", ['size' => TestLayout::mm(312), 'holds' => Recipe::box(0, 0)]), Doc::tier("b$i-2", ['joined' => false, 'holds' => Recipe::gap()])]);
        $layout = TestLayout::of(array_map($bay, range(1, 4)), ['depth' => TestLayout::mm($deep)], $wide, 1100.0);
        foreach (range(1, 4) as $i) {
            if ($i <= $forward) {
                $layout->layout['options'][] = Doc::member("f$i", 'at-front', ["b$i-1"]);
            }
            if ($isBought) {
                $layout->layout['options'][] = array_replace(Doc::member("r$i", 'ready-made', ["b$i-1"]), ['with' => ['width' => TestLayout::mm(502), 'height' => TestLayout::mm(312), 'depth' => TestLayout::mm(400)]]);
            }
        }
        $layout->layout['members'][] = array_replace(Doc::member('bed', 'bed-deck', ['b1-1', 'b2-1', 'b3-1', 'b4-1']), ['with' => $with]);

        return $layout;
    }

    /** @return array<string, array{float, float}> length and width by mark */
    private static function sizes(SpacePlan $plan): array
    {
        $pieces = [];
        foreach ($plan->pieces() as $piece) {
            $pieces[$piece->mark] = [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
        }

        return $pieces;
    }

    public function test_on_boxes_at_the_front_and_a_ledger_behind(): void
    {
        $plan = self::layout()->plan();
        self::assertSame('fits', $plan->verdict->state, implode(' ', array_map(fn (Finding $finding) => $finding->sentence, $plan->findings)));
        $pieces = self::sizes($plan);
        self::assertSame([2040.0, 89.0], $pieces['L1-back-ledger']);
        // 938 − 18 − 400 − 38 = 482 behind the boxes.
        self::assertSame([482.0, 89.0], $pieces['L1-cross-bearer-1']);
        self::assertArrayNotHasKey('L1-cross-bearer-2', $pieces);
        // ⌈2040 ÷ 1200⌉ = 2: (2040 − 2 × 3 − 3) ÷ 2 = 1015.5; 938 − 18 − 2 × 3 = 914.
        self::assertSame([914.0, 1015.0], $pieces['L1-panel-1']);
        self::assertSame([914.0, 1015.0], $pieces['L1-panel-2']);
        self::assertSame([2040.0, 48.0], $pieces['L1-front-board']);
    }

    public function test_bought_cabinets_carry_it_on_rails(): void
    {
        $layout = self::layout([], true);
        $found = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::DeckOnBought));
        self::assertSame('Lay rails over them', $found[0]->waysOut[0]->label);
        $plan = $layout->edited($found[0]->waysOut[0]->edit)->plan();
        self::assertSame('fits', $plan->verdict->state, implode(' ', array_map(fn (Finding $finding) => $finding->sentence, $plan->findings)));
        $pieces = self::sizes($plan);
        // Past the strips beside the cabinets it reaches to the walls: 2051 less 5 at each.
        self::assertSame([2041.0, 89.0], $pieces['L1-cabinet-rail-front']);
        self::assertSame([2041.0, 89.0], $pieces['L1-cabinet-rail-rear']);
        self::assertSame([914.0, 1016.0], $pieces['L1-panel-1']);
        // 38 + 18 + 30
        self::assertSame([2041.0, 86.0], $pieces['L1-front-board']);
        // One lies at 70 + 312 + 38 + 18 = 438.
        self::assertEqualsWithDelta(438.0, $plan->assemblies[0]->fixtures[4]->block->z0, 1e-6);
    }

    public function test_boxes_that_do_not_stand_alike_carry_none(): void
    {
        $layout = self::layout([], false, 1);
        $found = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::DeckHangs));
        self::assertSame('Let box B1 stand at the wall', $found[0]->waysOut[0]->label);
        self::assertSame('fits', $layout->edited($found[0]->waysOut[0]->edit)->plan()->verdict->state);
    }

    /** 81 inches between allowances; cabinets 15 3/4 deep, 24 1/8 to their top with the plinth; 40 inches to the face of the front board. */
    public function test_bought_cabinets_in_inches_by_hand(): void
    {
        $in = fn (float $inches): array => TestLayout::mm($inches * 25.4);
        $layout = self::layout(['rails' => true, 'thickness' => $in(8)], true, wide: 81.38 * 25.4, deep: 39.28125 * 25.4)->changing(JobChoices::defaults('Test', 'in/16'));
        foreach (range(1, 4) as $i) {
            $layout->layout['runs'][0]['bays'][$i - 1]['tiers'][0]['size'] = $in(21.375);
            $layout->layout['options'][2 * $i - 1]['with'] = ['width' => $in(19.9375), 'height' => $in(21.375), 'depth' => $in(15.75)];
        }
        $plan = $layout->plan();
        self::assertSame([], array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
        $inches = array_map(fn (array $sizes) => array_map(fn (float $mm) => round($mm / 25.4, 6), $sizes), self::sizes($plan));
        self::assertSame([81.0, 3.5], $inches['L1-back-ledger']);
        // 40 − 23/32 − 15 3/4 − 1 1/2 = 22 1/32 behind the cabinets.
        self::assertSame([22.0, 3.5], $inches['L1-cross-bearer-1']);
        self::assertSame([81.0, 3.5], $inches['L1-cabinet-rail-front']);
        // ⌈81 ÷ 48⌉ = 2: (81 − 2 × 1/8 − 1/8) ÷ 2 = 40 5/16; 40 − 23/32 − 2 × 1/8 = 39 1/32.
        self::assertSame([39.0, 40.3125], $inches['L1-panel-1']);
        // 1 1/2 + 23/32 + 1 = 3 7/32
        self::assertSame([81.0, 3.1875], $inches['L1-front-board']);
    }
}
