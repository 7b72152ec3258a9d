<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Pieces\Piece;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** What stands on the floor in a cell without a box: machines, and carts beside them. */
final class FloorUnitsTest extends TestCase
{
    /** @param array<string, mixed> $with */
    private static function layout(string $kind, array $with, float $wide, float $high, float $deep = 600.0): TestLayout
    {
        $layout = TestLayout::of([
            TestLayout::bay('a', ['size' => TestLayout::mm($wide)], [Doc::tier('low', ['size' => TestLayout::mm($high), 'holds' => Doc::holds($kind, $with)]), Doc::tier('high', ['joined' => false, 'holds' => Recipe::gap()])]),
            TestLayout::bay('b'),
        ], ['depth' => TestLayout::mm($deep)]);
        // Under the box beside it alone there is a plinth.
        $layout->layout['members'] = [Recipe::plinth('p', ['b'])];

        return $layout;
    }

    /** @return array<string, array{float, float}> sizes of the cart's pieces by what they are */
    private static function pieces(TestLayout $layout): array
    {
        $pieces = [];
        foreach ($layout->plan()->pieces() as $piece) {
            if (str_starts_with($piece->key, 'low:')) {
                $pieces[substr($piece->key, 4)] = self::sizes($piece);
            }
        }

        return $pieces;
    }

    /** @return array{float, float} */
    private static function sizes(Piece $piece): array
    {
        return [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
    }

    public function test_a_cart_with_a_compartment_by_hand(): void
    {
        $pieces = self::pieces(self::layout('cart', ['height' => TestLayout::mm(850.0)], 232.0, 900.0, 500.0));
        // 232 − 2 · 6 = 220; the place is 500 deep less 25 behind: 475; ends 850 − 65 − 18 = 767.
        self::assertSame([[767.0, 220.0], [475.0, 220.0]], [$pieces['end-back'], $pieces['lid']]);
        // 475 − 36 = 439 by 220 − 2 · 12 = 196: a bottom, two between and one under the compartment.
        foreach (['shelf-1', 'shelf-2', 'shelf-3', 'shelf-4'] as $shelf) {
            self::assertSame([439.0, 196.0], $pieces[$shelf]);
        }
        self::assertSame([[439.0, 60.0], [439.0, 120.0]], [$pieces['guard-1-L'], $pieces['compartment-R']]);
        self::assertCount(2 + 4 + 6 + 2 + 1, $pieces);
        $plan = self::layout('cart', ['height' => TestLayout::mm(850.0)], 232.0, 900.0, 500.0)->plan();
        // (767 − 120 − 18 − 3 · 18)/3 = 191.67, down to 191.
        self::assertSame(191.0, array_values(array_filter($plan->assemblies[0]->decisions, fn ($working, string $name) => str_contains($name, 'cart'), ARRAY_FILTER_USE_BOTH))[0]->result->toDouble());
        // Rolled out it stands on 160 mm and is 832 high: atan(80/416) = 10.9°.
        $tips = array_values(array_filter($plan->findings, fn (Finding $finding) => $finding->code === Code::CartTips));
        self::assertStringContainsString('10.9°', $tips[0]->sentence);
        self::assertSame([], array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
    }

    public function test_a_hamper_behind_its_front_by_hand(): void
    {
        $layout = self::layout('hamper-cart', [], 450.0, 750.0, 460.0);
        $pieces = self::pieces($layout);
        // It stands on the floor, 70 under the bays: 820 − 65 − 12 = 743 by 450 − 2 · 6 = 438; 460 − 18 − 10 = 432 deep, its sides 432 − 2 · 18 = 396.
        self::assertSame([[743.0, 438.0], [396.0, 743.0]], [$pieces['end-front'], $pieces['side-L']]);
        // 396 by 438 − 36 = 402; the front 820 − 2.5 − 10 = 807.5 by 450 − 2 · 2.5 = 445.
        self::assertSame([[396.0, 402.0], [807.5, 445.0]], [$pieces['bottom'], $pieces['face']]);
        self::assertSame([432.0, 20.0], $pieces['guide-R']);
        $plan = $layout->plan();
        self::assertSame([], array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
        self::assertSame('Laundry hamper', $plan->assemblies[0]->movements[0]->name);
    }

    public function test_a_hamper_without_guides_wanders_between_its_gaps(): void
    {
        $layout = self::layout('hamper-cart', ['guides' => false], 450.0, 750.0, 460.0);
        $codes = array_map(fn (Finding $finding) => $finding->code, $layout->plan()->findings);
        self::assertContains(Code::RevealWanders, $codes);
    }

    public function test_a_cart_that_does_not_stand_on_the_floor_does_not_roll(): void
    {
        $layout = TestLayout::of([
            TestLayout::bay('a', ['size' => TestLayout::mm(232)], [Doc::tier('low', ['size' => TestLayout::mm(600), 'holds' => Recipe::gap()]), Doc::tier('high', ['joined' => false, 'holds' => Doc::holds('cart')])]),
            TestLayout::bay('b'),
        ], ['depth' => TestLayout::mm(600)]);
        $jams = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::CartJams));
        self::assertStringContainsString('A cart rolls on the floor; this place begins 670 mm over it.', $jams[0]->sentence);
        self::assertNotContains(Code::CartJams, array_map(fn (Finding $finding) => $finding->code, $layout->edited($jams[0]->waysOut[0]->edit)->plan()->findings));
    }

    public function test_a_machine_asks_for_air_round_it(): void
    {
        // 600 + 2 · 10 wide, 850 + 20 high, 400 + 60 deep.
        $with = ['depth' => TestLayout::mm(400.0)];
        $fits = self::layout('appliance', $with, 620.0, 880.0, 460.0)->plan();
        self::assertSame([], array_filter($fits->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
        self::assertSame('Machine', $fits->assemblies[0]->fixtures[0]->name);
        // In the middle of its place, its front in the plane of the face.
        $block = $fits->assemblies[0]->fixtures[0]->block;
        self::assertEqualsWithDelta([600.0, 850.0, 400.0], [$block->u1 - $block->u0, $block->z1 - $block->z0, $block->v1 - $block->v0], 1e-6);
        $tight = self::layout('appliance', $with, 615.0, 880.0, 460.0)->plan();
        $found = array_values(array_filter($tight->findings, fn (Finding $finding) => $finding->code === Code::ApplianceTight));
        self::assertStringContainsString('620 mm', $found[0]->sentence);
    }
}
