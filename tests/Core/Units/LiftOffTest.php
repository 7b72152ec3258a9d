<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Unit;
use Incastro\Pieces\Piece;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\SpacePlan;
use Incastro\Planning\UsualMaterials;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class LiftOffTest extends TestCase
{
    /** @param array<string, mixed> $with */
    private static function layout(array $with, float $wide = 560.0): TestLayout
    {
        $usual = (new UsualMaterials(Unit::Millimetre))->document();
        $usual['materials'][0]['thickness'] = TestLayout::mm(17.9);
        $on = ['wall' => 0, 'from' => TestLayout::mm(300), 'to' => TestLayout::mm(300 + $wide), 'foot' => TestLayout::mm(200), 'head' => null];

        return TestLayout::of([], width: 2000.0)->changing($usual)->with(['surfaces' => [['id' => 's'] + Doc::holds('lift-off', $with) + ['on' => $on]], 'runs' => [], 'members' => []]);
    }

    /** @return array<string, array{float, float}> */
    private static function sizes(SpacePlan $plan): array
    {
        return array_combine(array_map(fn (Piece $piece) => $piece->name, $plan->pieces()), array_map(fn (Piece $piece) => [$piece->length->result->toDouble(), $piece->width->result->toDouble()], $plan->pieces()));
    }

    public function test_under_a_stair_its_lap_is_measured_square_to_the_rake(): void
    {
        // 36°: 410 + 560 · tan 36° = 816.86 at its right.
        $plan = self::layout(['left' => TestLayout::mm(410), 'right' => TestLayout::mm(410 + 560 * tan(deg2rad(36))), 'held' => 'buttons'])->plan();
        self::assertSame('fits', $plan->verdict->state, $plan->verdict->sentence);
        $sizes = self::sizes($plan);
        // 410 + 572 · tan 36° + 12/cos 36° + 12 = 852.4, up; 560 + 24.
        self::assertSame([853.0, 584.0], $sizes['Lift-off panel']);
        // 410 − 12 · tan 36° + 12/cos 36° + 12 = 428.1, up.
        self::assertSame(429.0, $plan->decisions()['Low side, V1']->result->toDouble());
        // 410 + 44 · tan 36° − 4/cos 36° = 437.0 less the foot batten's 40; 410 + 556 · tan 36° − 4/cos 36° − 40 = 769.0.
        self::assertSame([397.0, 40.0], $sizes['Locating batten, left']);
        self::assertSame([769.0, 40.0], $sizes['Locating batten, right']);
        // 560 − 2 · 4: it stands on the sill from side to side.
        self::assertSame([552.0, 40.0], $sizes['Locating batten, foot']);
    }

    public function test_a_square_one_laps_all_round(): void
    {
        $sizes = self::sizes(self::layout(['left' => TestLayout::mm(400)], 400.0)->plan());
        self::assertSame([424.0, 424.0], $sizes['Lift-off panel']);
        self::assertSame([356.0, 40.0], $sizes['Locating batten, left']);
    }

    public function test_magnets_alone_hold_five_kilograms(): void
    {
        $layout = self::layout(['left' => TestLayout::mm(800)], 600.0);
        [$clash] = $layout->clashes();
        // 0.824 · 0.624 · 0.0179 · 680 = 6.3 kg, and its battens.
        self::assertMatchesRegularExpression('~^V1 weighs 7\.\d kg and is 0\.51 m²: magnets alone hold 5 kg and 1 m²\.$~', $clash->sentence);
        self::assertSame([], $layout->edited($clash->waysOut[0]->edit)->clashes());
    }
}
