<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Planning\JobChoices;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class GateLegTableTest extends TestCase
{
    /** A table 900 wide, boards of 17.8, gates of 28 × 45. */
    private static function layout(array $with = []): TestLayout
    {
        $materials = array_map(fn (array $material) => in_array($material['id'], ['carcass', 'frame'], true) ? ['thickness' => TestLayout::mm(17.8)] + $material : $material, JobChoices::defaults('Test', 'mm/1')['materials']);
        $table = Doc::holds('gate-leg-table', array_map(fn (float $value) => TestLayout::mm($value), $with));

        return TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['size' => TestLayout::mm(800), 'holds' => $table]), Doc::tier('a-2', ['joined' => false, 'holds' => Recipe::gap()])])], ['depth' => TestLayout::mm(400)], 921.0)
            ->with(['members' => []])->changing(['materials' => $materials]);
    }

    /** @return array<string, array{float, float}> */
    private static function pieces(SpacePlan $plan): array
    {
        $pieces = [];
        foreach ($plan->pieces() as $piece) {
            $pieces[substr($piece->mark, 3)] = [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
        }

        return $pieces;
    }

    public function test_a_table_of_900(): void
    {
        $plan = self::layout()->plan();
        self::assertSame('fits', $plan->verdict->state, implode(' ', array_map(fn (Finding $finding) => $finding->sentence, $plan->findings)));
        $pieces = self::pieces($plan);
        self::assertSame([900.0, 150.0], $pieces['ledge']);
        // 740 − 17.8 = 722.2; 150 − 6.
        self::assertSame([722.0, 144.0], $pieces['gable-L']);
        // 900 − 2 × 17.8 = 864.4
        self::assertSame([864.0, 70.0], $pieces['cleat']);
        // Gate min(864.4/2 − 2 − 4, 722.2 − 60 − 40 + 6 + 2) = 426.2 → 426, which reaches 418; leaf min(662.2, 627) = 627.
        self::assertSame([900.0, 627.0], $pieces['leaf']);
        // 722.2 − 12 − 2 = 708.2; 426 − 2 × 45 = 336.
        self::assertSame([708.0, 45.0], $pieces['gate-L-hung']);
        self::assertSame([708.0, 45.0], $pieces['gate-R-free']);
        self::assertSame([336.0, 45.0], $pieces['gate-L-rail']);
        self::assertSame([336.0, 45.0], $pieces['gate-R-rail-low']);
        self::assertSame(418.0, $plan->decisions()['Reach of a gate under the leaf']->result->toDouble());
    }

    public function test_a_leaf_that_its_gates_do_not_carry(): void
    {
        $layout = self::layout(['leaf' => 680.0]);
        $short = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::GateShort));
        self::assertSame('The gates reach 418 mm under a leaf of 680 mm: it may be 627 mm, half as far again, and must hang clear of the floor.', $short[0]->sentence);
        self::assertSame([900.0, 627.0], self::pieces($layout->edited($short[0]->waysOut[0]->edit)->plan())['leaf']);
    }

    /** Gates 28 thick with 6 before and behind, and 12 more: 52. */
    public function test_a_ledge_under_which_nothing_hangs_plumb(): void
    {
        // The least that may be typed is 60: of thicker boards that is too shallow.
        $materials = array_map(fn (array $material) => $material['id'] === 'leg' ? ['thickness' => TestLayout::mm(40)] + $material : $material, JobChoices::defaults('Test', 'mm/1')['materials']);
        $layout = self::layout(['ledge' => 60.0])->changing(['materials' => $materials]);
        $shallow = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::LedgeShallow));
        self::assertSame('Gates and leaf do not hang plumb under a ledge of 60 mm; it takes 64 mm.', $shallow[0]->sentence);
        self::assertSame('A ledge of 64 mm', $shallow[0]->waysOut[0]->label);
    }

    public function test_leaf_and_gates_move_free_of_what_stands_beside_them(): void
    {
        $table = Doc::holds('gate-leg-table');
        $layout = TestLayout::of([
            TestLayout::bay('a', ['size' => TestLayout::mm(400)], [Doc::tier('a-1', ['size' => TestLayout::mm(800)]), Doc::tier('a-2', ['joined' => false, 'holds' => Recipe::gap()])]),
            TestLayout::bay('b', [], [Doc::tier('b-1', ['size' => TestLayout::mm(800), 'holds' => $table]), Doc::tier('b-2', ['joined' => false, 'holds' => Recipe::gap()])]),
        ], ['depth' => TestLayout::mm(400)], 1200.0)->with(['members' => []]);
        self::assertSame('fits', $layout->plan()->verdict->state);
        self::assertSame(['Left gate', 'Right gate', 'Leaf'], array_map(fn ($movement) => $movement->name, $layout->plan()->assemblies[0]->movements));
    }
}
