<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Severity;
use Incastro\Units\Make\StackedSkirting;
use PHPUnit\Framework\TestCase;
use Tests\Core\PieceSizes;
use Tests\Core\TestLayout;

final class StackedSkirtingTest extends TestCase
{
    /** @return list<float>|null */
    private static function layers(float $high, float $first, float $stock, Unit $unit = Unit::Millimetre): ?array
    {
        $mm = $unit === Unit::Inch ? 25.4 : 1.0;
        $layers = StackedSkirting::layers(Length::ofDouble($high * $mm), Length::ofDouble($first * $mm), Length::ofDouble($stock * $mm), new HouseRules($unit), $unit === Unit::Inch ? LengthFormat::inches(16) : LengthFormat::millimetres());

        return $layers === null ? null : array_map(fn (Working $one): float => $one->result->toDouble() / $mm, $layers);
    }

    public function test_what_is_over_the_lowest_layer_is_shared_evenly(): void
    {
        // (262 − 145)/95: two of 58.5, down to 58; the top takes what is left, 59. 145 + 95 would leave 22.
        self::assertSame([145.0, 58.0, 59.0], self::layers(262.0, 145.0, 95.0));
        // 8 3/4 − 5 1/2 = 3 1/4 from stock of 3 1/2: one.
        self::assertSame([5.5, 3.25], self::layers(8.75, 5.5, 3.5, Unit::Inch));
        self::assertSame([145.0], self::layers(145.0, 145.0, 95.0));
        // 10 over it would be a sliver: the lowest is ripped to 155 − 30.
        self::assertSame([125.0, 30.0], self::layers(155.0, 145.0, 95.0));
        self::assertNull(self::layers(140.0, 145.0, 95.0));
    }

    public function test_no_layer_is_a_sliver_and_all_reach_the_boxes(): void
    {
        for ($high = 150.0; $high <= 500.0; $high += 7.0) {
            $layers = self::layers($high, 145.0, 95.0) ?? [];
            self::assertEqualsWithDelta($high, array_sum($layers), 1e-9);
            self::assertGreaterThanOrEqual(30.0, min($layers));
            self::assertLessThanOrEqual(96.0, max(array_slice($layers, 1)));
        }
    }

    /** @param array<string, mixed> $with */
    private static function plan(array $with, float $high = 262.0): SpacePlan
    {
        $plinth = array_replace(Doc::member('p', 'plinth', ['a']), ['with' => ['front' => 'stacked'] + $with]);

        return TestLayout::of([TestLayout::bay('a')], width: 1200.0)->changing(['rules' => ['plinth_height' => TestLayout::mm($high)]])->with(['members' => [$plinth]])->plan();
    }

    public function test_layers_stand_before_the_plinth_with_a_bead_over_each_seam(): void
    {
        $plan = self::plan(['lowest' => TestLayout::mm(145)]);
        self::assertSame([], array_map(fn (Finding $one) => $one->sentence, array_values(array_filter($plan->findings, fn (Finding $one) => $one->severity === Severity::Clash))));
        $sizes = PieceSizes::counted($plan);
        self::assertArrayNotHasKey('Toe board', $sizes);
        $wide = array_key_first($sizes['Skirting, top layer']);
        self::assertStringEndsWith('× 59', (string) $wide);
        self::assertSame([1, 2], [count($sizes['Skirting, middle layer']), array_sum($sizes['Bead over a seam'])]);
        $top = array_values(array_filter($plan->assemblies[0]->placed, fn ($one) => str_ends_with($one->piece->key, ':layer-top')))[0];
        self::assertSame([203.0, 262.0], [$top->bounds->z0, $top->bounds->z1]);
    }

    public function test_a_skirting_that_stands_over_the_boxes_says_so_and_is_cut_down(): void
    {
        $clashes = array_values(array_filter(self::plan(['lowest' => TestLayout::mm(145)], 100.0)->findings, fn (Finding $one) => $one->severity === Severity::Clash));
        self::assertSame(['The skirting stands 45 mm over the foot of the boxes on P1.'], array_map(fn (Finding $one) => $one->sentence, $clashes));
        self::assertContains('Cut its lowest layer down to the boxes', array_map(fn ($way) => $way->label, $clashes[0]->waysOut));
    }
}
