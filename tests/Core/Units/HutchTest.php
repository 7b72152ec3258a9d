<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Planning\JobChoices;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** A hutch 1196 wide: a base 852 high under a worktop of 28, an opening of 450, and a box 820 high and 300 deep hung over it. */
final class HutchTest extends TestCase
{
    /** @param array<string, mixed> $schools @param array<string, mixed> $with */
    private static function layout(array $schools, array $with = [], float $opening = 450.0): TestLayout
    {
        $materials = array_map(fn (array $material) => match ($material['id']) {
            'carcass', 'frame' => ['thickness' => TestLayout::mm(17.8)] + $material,
            'thick' => ['thickness' => TestLayout::mm(28.0)] + $material,
            default => $material,
        }, JobChoices::defaults('Test', 'mm/1')['materials']);
        $bay = TestLayout::bay('a', [], [
            Doc::tier('a-1', ['size' => TestLayout::mm(782), 'holds' => Recipe::box(0, 1)]),
            Doc::tier('a-2', ['size' => TestLayout::mm($opening), 'joined' => false, 'holds' => Doc::holds('hutch-opening', $with)]),
            Doc::tier('a-3', ['size' => TestLayout::mm(820), 'joined' => false, 'holds' => Recipe::box(1, 0), 'depth' => TestLayout::mm(300)]),
        ]);
        $layout = TestLayout::of([$bay], [], $schools['edges'] === 'band' ? 1236.0 : 1207.0)->changing(['materials' => $materials, 'schools' => $schools]);
        $layout->layout['members'][] = array_replace(Doc::member('top', 'worktop', ['a-1']), ['with' => ['made' => 'thick']]);
        $layout->layout['options'] = [Doc::member('hung', 'wall-hung', ['a-3'])];

        return $layout;
    }

    /** @return array<string, array{array<string, mixed>, list<array{float, float}>}> */
    public static function hutches(): array
    {
        // Where edges are banded, a strip at either end closes the gap to the wall and needs 29 more.
        // Gables 450 by 300; between them 1196 − 2 × 17.8 = 1160.4; strips over gable and box: 450 + 820 = 1270.
        // With a face frame of 17.8 that covers the box, the gables are that much shallower, and the strips cover them alone.
        return [
            'banded edges' => [['edges' => 'band'], [[450.0, 300.0], [1160.0, 450.0], [1160.0, 40.0], [1270.0, 45.0]]],
            'a face frame' => [['edges' => 'frame'], [[450.0, 282.0], [1160.0, 450.0], [1160.0, 40.0], [450.0, 45.0]]],
        ];
    }

    /**
     * @param  array<string, mixed>  $schools
     * @param  list<array{float, float}>  $sizes  of a gable, the board behind, the light rail and a strip
     */
    #[DataProvider('hutches')]
    public function test_what_marries_a_base_and_what_hangs_over_it(array $schools, array $sizes): void
    {
        $plan = self::layout($schools)->plan();
        self::assertSame('fits', $plan->verdict->state, implode(' ', array_map(fn (Finding $finding) => $finding->sentence, $plan->findings)));
        $pieces = [];
        foreach ($plan->pieces() as $piece) {
            $pieces[$piece->mark] = [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
        }
        self::assertSame($sizes, [$pieces['H1-gable-L'], $pieces['H1-back-board'], $pieces['H1-light-rail'], $pieces['H1-strip-R']]);
        // It stands on the worktop: 70 + 782 + 28 = 880.
        $gable = $plan->assemblies[0]->byKey()['a-2:gable-L'];
        self::assertEqualsWithDelta(880.0, $gable->bounds->z0, 1e-6);
    }

    public function test_a_low_opening_is_refused_and_one_under_nothing_is_told(): void
    {
        self::assertNotSame([], self::layout(['edges' => 'band'], [], 200.0)->clashes());
        $layout = self::layout(['edges' => 'band']);
        $layout->layout['runs'][0]['bays'][0]['tiers'][2]['holds'] = Recipe::gap();
        unset($layout->layout['options']);
        $alone = array_filter($layout->with(['options' => []])->plan()->findings, fn (Finding $finding) => $finding->code === Code::HutchAlone);
        self::assertCount(1, $alone);
    }
}
