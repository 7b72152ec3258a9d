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

/** Four boxes of 260 under treads of 27, 450 deep, that climb to 1125 in five rises of 225; they stand on the floor. */
final class StepTreadsTest extends TestCase
{
    /** @param list<float> $boxes from the left */
    private static function layout(array $boxes = [198.0, 423.0, 648.0, 873.0], array $with = ['climbs' => 1125.0], float $going = 260.0): TestLayout
    {
        $materials = array_map(fn (array $material) => match ($material['id']) {
            'carcass' => ['thickness' => TestLayout::mm(17.8)] + $material,
            'thick' => ['thickness' => TestLayout::mm(27.0)] + $material,
            default => $material,
        }, JobChoices::defaults('Test', 'mm/1')['materials']);
        $bay = fn (int $i) => TestLayout::bay("b$i", ['size' => TestLayout::mm($going)], [Doc::tier("b$i-1", ['size' => TestLayout::mm($boxes[$i]), 'holds' => Recipe::box(0, 0)]), Doc::tier("b$i-2", ['joined' => false, 'holds' => Recipe::gap()])]);
        $layout = TestLayout::of(array_map($bay, array_keys($boxes)), ['depth' => TestLayout::mm(450)], count($boxes) * $going + 11.0, 600.0)->changing(['materials' => $materials]);
        $layout->layout['members'] = [array_replace(Doc::member('steps', 'step-treads', array_map(fn (int $i) => "b$i-1", array_keys($boxes))), ['with' => array_map(fn (mixed $value) => is_float($value) ? TestLayout::mm($value) : $value, $with) + ['made' => 'thick']])];

        return $layout;
    }

    /** @return list<Finding> */
    private static function found(SpacePlan $plan, Code $code): array
    {
        return array_values(array_filter($plan->findings, fn (Finding $finding) => $finding->code === $code));
    }

    public function test_treads_and_the_boxes_under_them(): void
    {
        $plan = self::layout()->plan();
        self::assertSame([], self::found($plan, Code::RiseUneven));
        // 1125/5
        self::assertEqualsWithDelta(225.0, $plan->decisions()['Rise of the steps']->result->toDouble(), 1e-6);
        $pieces = [];
        foreach ($plan->pieces() as $piece) {
            $pieces[$piece->mark] = [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
        }
        // The first has no nosing, and stands 13 over its box to be scribed to the wall; the second stands 20 over the first.
        self::assertSame([260.0 + 13.0, 260.0 + 20.0], [$pieces['S1-tread'][0], $pieces['S1b-tread'][0]]);
        // H₁ = 225 − 27 = 198 high; between sides of 17.8: 260 − 35.6 = 224.4; behind a frame of 18 and before a back of 5.8: 426.2.
        self::assertSame([198.0, 426.0], $pieces['B1-side-L']);
        self::assertSame([224.0, 426.0], $pieces['B1-bottom']);
        // H₄ = 900 − 27 = 873.
        self::assertSame(873.0, $pieces['B4-side-L'][0]);
    }

    public function test_a_step_that_is_off_is_put_right(): void
    {
        $layout = self::layout([198.0, 440.0, 648.0, 873.0]);
        $uneven = self::found($layout->plan(), Code::RiseUneven);
        self::assertSame(['Step 2 stands 467 mm over the floor; with every rise alike it stands 450 mm. Uneven rises make people stumble.'], array_column($uneven, 'sentence'));
        self::assertSame('Make it stand 450 mm high', $uneven[0]->waysOut[0]->label);
        $mended = $layout->edited($uneven[0]->waysOut[0]->edit)->plan();
        self::assertSame([], self::found($mended, Code::RiseUneven));
    }

    public function test_too_few_steps_are_too_high_and_too_narrow_ones_take_no_foot(): void
    {
        // 1125/3 = 375
        self::assertStringStartsWith('3 equal rises to 1125 mm are 375 mm each; 300 mm is the most.', self::found(self::layout([348.0, 723.0])->plan(), Code::StepHigh)[0]->sentence);
        self::assertSame('Step 1 is 190 mm deep for the foot; 200 mm is the least.', self::found(self::layout(going: 190.0)->plan(), Code::StepNarrow)[0]->sentence);
    }

    public function test_they_climb_to_what_stands_beside_the_last(): void
    {
        // A worktop over a box of 1080 beside the last: 1080 + 18 = 1098; 1098/5 = 219.6, 439.2, 658.8, 878.4.
        $layout = self::layout([193.0, 412.0, 632.0, 851.0, 1080.0], ['climbs' => 0.0]);
        $layout->layout['members'][0]['cells'] = ['b0-1', 'b1-1', 'b2-1', 'b3-1'];
        $layout->layout['members'][] = array_replace(Doc::member('top', 'worktop', ['b4-1']), ['with' => ['overhang' => TestLayout::mm(0)]]);
        $plan = $layout->plan();
        self::assertSame([], self::found($plan, Code::RiseUneven));
        self::assertSame([], self::found($plan, Code::StepsNowhere));
        self::assertEqualsWithDelta(219.6, $plan->decisions()['Rise of the steps']->result->toDouble(), 0.05);
        $layout->layout['members'][0]['with']['climbs'] = TestLayout::mm(0);
        unset($layout->layout['members'][1]);
        self::assertCount(1, self::found($layout->plan(), Code::StepsNowhere));
    }

    public function test_a_thin_tread_breaks_under_a_foot_and_a_thick_one_is_offered(): void
    {
        $layout = self::layout(with: ['climbs' => 1125.0, 'made' => 'drawer'], going: 500.0);
        $bends = self::found($layout->plan(), Code::TreadBends);
        self::assertNotSame([], $bends);
        self::assertSame([], self::found($layout->edited($bends[0]->waysOut[0]->edit)->plan(), Code::TreadBends));
    }
}
