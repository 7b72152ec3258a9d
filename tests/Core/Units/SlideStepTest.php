<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Planning\JobChoices;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class SlideStepTest extends TestCase
{
    /** In a place 480 wide, 230 high and 420 deep under a box, boards of 17.8. */
    private static function layout(array $with = [], float $high = 230.0): TestLayout
    {
        $materials = array_map(fn (array $material) => in_array($material['id'], ['carcass', 'frame'], true) ? ['thickness' => TestLayout::mm(17.8)] + $material : $material, JobChoices::defaults('Test', 'mm/1')['materials']);
        $step = Doc::holds('slide-step', array_map(fn (float $value) => TestLayout::mm($value), $with));

        return TestLayout::of([TestLayout::bay('a', ['size' => TestLayout::mm(480)], [Doc::tier('a-1', ['size' => TestLayout::mm($high), 'holds' => $step]), Doc::tier('a-2', ['joined' => false, 'holds' => Recipe::gap()])])], ['depth' => TestLayout::mm(420)], 492.0)
            ->with(['members' => []])->changing(['materials' => $materials]);
    }

    public function test_a_step_of_212(): void
    {
        $plan = self::layout()->plan();
        self::assertSame('fits', $plan->verdict->state, implode(' ', array_map(fn (Finding $finding) => $finding->sentence, $plan->findings)));
        $pieces = [];
        foreach ($plan->pieces() as $piece) {
            $pieces[substr($piece->mark, 3)] = [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
        }
        // 480 − 2 × 6 = 468; 230 − 10 − 8 = 212; 420 − 3 − 10 = 407; one middle board: ⌈(468 − 17.8)/300⌉ − 1.
        self::assertSame([
            'side-L' => [407.0, 194.0], 'side-R' => [407.0, 194.0],
            // 468 − 2 × 17.8 = 432.4; 212 − 17.8 = 194.2
            'back' => [432.0, 194.0], 'front' => [432.0, 194.0],
            // 407 − 2 × 17.8 = 371.4
            'middle-1' => [371.0, 194.0],
            'tread' => [468.0, 407.0],
        ], $pieces);
        self::assertSame('Step', $plan->assemblies[0]->movements[0]->name);
    }

    public function test_a_tread_without_a_board_under_it_is_stressed_too_much(): void
    {
        // 468 − 2 × 17.8 = 432.4 clear: 7.4 of 7 N/mm².
        $layout = self::layout(['span' => 500.0]);
        $found = fn (TestLayout $of) => array_values(array_filter($of->plan()->findings, fn (Finding $finding) => $finding->code === Code::Sags));
        self::assertStringContainsString('stressed by 7.4 of 7 N/mm² over 432 mm', $found($layout)[0]->sentence);
        self::assertSame([], $found($layout->edited($found($layout)[0]->waysOut[0]->edit)));
    }

    public function test_a_high_step_is_told(): void
    {
        // 300 − 10 = 290: 40 more than one steps.
        $layout = self::layout([], 300.0);
        $high = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::StepHigh));
        self::assertSame('Leave 50 mm free over it', $high[0]->waysOut[0]->label);
        self::assertSame([], array_filter($layout->edited($high[0]->waysOut[0]->edit)->plan()->findings, fn (Finding $finding) => $finding->code === Code::StepHigh));
    }
}
