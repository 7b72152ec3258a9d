<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Planning\JobChoices;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class FlapTableTest extends TestCase
{
    /** A flap 800 wide, boards of 17.8, legs of 28 × 45. */
    private static function layout(array $with = []): TestLayout
    {
        $materials = array_map(fn (array $material) => in_array($material['id'], ['carcass', 'frame'], true) ? ['thickness' => TestLayout::mm(17.8)] + $material : $material, JobChoices::defaults('Test', 'mm/1')['materials']);
        $table = Doc::holds('flap-table', array_map(fn (float $value) => TestLayout::mm($value), $with));

        return TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => $table])])], ['depth' => TestLayout::mm(300)], 821.0)->with(['members' => []])->changing(['materials' => $materials]);
    }

    public function test_a_flap_of_600_on_its_legs(): void
    {
        $plan = self::layout()->plan();
        self::assertSame('fits', $plan->verdict->state, implode(' ', array_map(fn (Finding $finding) => $finding->sentence, $plan->findings)));
        $pieces = [];
        foreach ($plan->pieces() as $piece) {
            $pieces[substr($piece->mark, 3)] = [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
        }
        self::assertSame([
            'ledge' => [800.0, 120.0],
            'cleat' => [800.0, 70.0],
            'flap' => [800.0, 600.0],
            // 740 − 17.8 − 12 = 710.2
            'leg-L' => [710.0, 45.0], 'leg-R' => [710.0, 45.0],
            // 800 − 2 × 50 − 2 × 45 = 610
            'leg-rail' => [610.0, 45.0], 'leg-rail-low' => [610.0, 45.0],
        ], $pieces);
        // 710.2 + 12 − (600 − 80) = 202.2
        self::assertEqualsWithDelta(202.2, $plan->decisions()['Folded, the feet hang below the hinges by']->result->toDouble(), 1e-9);
        self::assertContains(Code::FlapFalls, array_map(fn (Finding $finding) => $finding->code, $plan->findings));
    }

    public function test_under_a_low_ceiling_it_does_not_stand_up(): void
    {
        self::assertSame([], self::layout(['high' => 1050.0, 'flap' => 750.0])->clashes());
        $low = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Doc::holds('flap-table')])])], ['depth' => TestLayout::mm(300), 'height' => TestLayout::mm(1200)], 821.0)->with(['members' => []]);
        self::assertStringContainsString('its flap stands up to 1350 mm', implode(' ', array_map(fn (Finding $finding) => $finding->sentence, $low->clashes())));
    }
}
