<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Units\Contents;
use Incastro\Units\Hardware;
use Incastro\Units\HungBy;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Options\WallHung;
use Incastro\Units\Placed;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class WallHungTest extends TestCase
{
    public function test_cleats_that_hook_together_by_hand(): void
    {
        // 800 × 600 × 300, boards of 17.7: cleats between the sides, 800 − 2 · 17.7 = 764.6, down to 764, that on the wall 20 shorter.
        $box = new UnitBox('800', '600', '300');
        $built = $box->build(new Shelves(1, 0), null, new WallHung(HungBy::Cleat, Contents::Books, Length::ofMillimetres(80), 2, false));
        $pieces = $box->pieces($built);
        self::assertSame([[744.0, 80.0], [764.0, 80.0], [764.0, 60.0]], [array_slice($pieces['cleat-wall'], 0, 2), array_slice($pieces['cleat-box'], 0, 2), array_slice($pieces['spacer'], 0, 2)]);
        // The back is let in by 17.7 between the sides, and the bottom ends at its front: 300 − 18 − 6 − 17.7 = 258.3, down to 258.
        self::assertSame([598.0, 762.0], array_slice($pieces['back'], 0, 2));
        self::assertSame(258.0, $pieces['bottom'][1]);
        self::assertSame(282.0, $pieces['side-L'][1]);
        $named = fn (string $role): Placed => array_values(array_filter($built->placed, fn (Placed $one) => str_ends_with($one->piece->key, ":$role")))[0];
        // Hooked, the two share the bevel and nothing else.
        self::assertGreaterThan(17.0, $named('cleat-box')->bounds->depth($named('cleat-wall')->bounds));
        self::assertLessThan(0.05, $named('cleat-box')->overlap($named('cleat-wall'), 0.01));
        foreach ($built->placed as $i => $one) {
            foreach (array_slice($built->placed, $i + 1) as $other) {
                self::assertLessThan(0.05, $one->overlap($other, 0.01), $one->piece->key.' in '.$other->piece->key);
            }
        }
    }

    /**
     * A box over an open gap, hung as chosen.
     *
     * @param  array<string, mixed>  $with
     */
    private static function layout(array $with, float $high = 600.0, float $deep = 300.0, float $below = 1200.0, bool $isUnderCeiling = false): TestLayout
    {
        $tiers = [
            Doc::tier('low', ['size' => TestLayout::mm($below), 'holds' => Recipe::gap()]),
            Doc::tier('box', ['joined' => false, 'holds' => Recipe::box(1, 0), 'depth' => TestLayout::mm($deep)] + ($isUnderCeiling ? [] : ['size' => TestLayout::mm($high)])),
            Doc::tier('high', ['joined' => false, 'holds' => Recipe::gap()]),
        ];
        $layout = TestLayout::of([TestLayout::bay('a', ['size' => TestLayout::mm(800.0)], array_slice($tiers, 0, $isUnderCeiling ? 2 : 3)), TestLayout::bay('b', [], [Doc::tier('b-1', ['holds' => Recipe::gap()])])], ['depth' => TestLayout::mm(500.0)]);
        $layout->layout['members'] = [];
        $layout->layout['options'] = [array_replace(Doc::member('hung', 'wall-hung', ['box']), ['with' => $with])];

        return $layout;
    }

    /**
     * @param  array<string, mixed>  $with
     * @return list<Code> what is found of it
     */
    private static function found(array $with, float $high = 600.0, float $deep = 300.0, float $below = 1200.0, bool $isUnderCeiling = false): array
    {
        return array_values(array_filter(array_map(fn (Finding $finding) => $finding->code, self::layout($with, $high, $deep, $below, $isUnderCeiling)->plan()->findings), fn (Code $code) => in_array($code, [Code::TooFewStuds, Code::AnchorsTooLight, Code::OverHead, Code::CleatCannotDrop, Code::NoStud], true)));
    }

    public function test_two_studs_carry_a_box_of_books(): void
    {
        // Own some 16 kg and 35 on each metre of two levels: 70 kg, 690 N on four screws; pulled at their head by 690 · 150/537.
        self::assertSame([Code::NoStud], self::found([]));
        self::assertSame([Code::NoStud], self::found(['by' => 'cleat']));
    }

    public function test_under_a_ceiling_a_cleat_cannot_drop(): void
    {
        self::assertContains(Code::CleatCannotDrop, self::found(['by' => 'cleat'], isUnderCeiling: true));
        self::assertNotContains(Code::CleatCannotDrop, self::found([], isUnderCeiling: true));
    }

    public function test_anchors_alone_carry_little(): void
    {
        self::assertSame([Code::AnchorsTooLight], self::found(['by' => 'anchors']));
    }

    public function test_a_deep_and_low_box_of_books_pulls_its_screws_out(): void
    {
        // 500 deep and 150 high its screws stand 87 over its lower edge: pulled by 2.9 times its weight.
        self::assertContains(Code::TooFewStuds, self::found([], 150.0, 500.0));
    }

    /** 1196 wide and 820 high, a ledge 40 shorter and 38 high under its lower edge. */
    public function test_a_ledge_carries_it_while_one_screws_by_hand(): void
    {
        $built = (new UnitBox('1196', '820', '300'))->build(new Shelves(2, 0), null, new WallHung(HungBy::Nailer, Contents::Books, Length::ofMillimetres(80), 2, true));
        $ledge = array_values(array_filter($built->placed, fn (Placed $one) => str_ends_with($one->piece->key, ':ledge')))[0];
        self::assertSame([1156.0, 38.0], [$ledge->piece->length->result->toDouble(), $ledge->piece->width->result->toDouble()]);
        self::assertEqualsWithDelta([20.0, -38.0, 0.0], [$ledge->bounds->u0, $ledge->bounds->z0, $ledge->bounds->z1], 1e-6);
        // Two studs surely: two screws in each at the head and one at the foot; 17.7 + 6 + 12.5 + 32 = 68.2, so 60 long.
        self::assertSame([['structural screw 6 × 60', 2], ['structural screw 6 × 60', 6]], array_map(fn (Hardware $one) => [$one->name, $one->quantity], array_values(array_filter($built->hardware, fn (Hardware $one) => $one->kind === ArticleKind::StructuralScrew))));
    }

    public function test_more_screws_hold_what_two_do_not(): void
    {
        $layout = self::layout([], 150.0, 480.0);
        $weak = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::TooFewStuds));
        self::assertSame('3 screws in each stud', $weak[0]->waysOut[0]->label);
        self::assertSame([], array_filter($layout->edited($weak[0]->waysOut[0]->edit)->plan()->findings, fn (Finding $finding) => $finding->code === Code::TooFewStuds));
    }

    public function test_heads_meet_a_deep_box_over_free_floor(): void
    {
        self::assertContains(Code::OverHead, self::found([], 600.0, 400.0, 1500.0));
        self::assertNotContains(Code::OverHead, self::found([], 600.0, 300.0, 1500.0));
    }
}
