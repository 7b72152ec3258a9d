<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Finding;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class PictureDoorTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $with
     * @param  array<string, mixed>  $on
     * @param  array<string, mixed>  ...$others
     */
    private static function layout(array $with, array $on, array ...$others): TestLayout
    {
        $picture = ['id' => 'j'] + Doc::holds('picture-door', $with) + ['on' => $on + ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]];

        return TestLayout::of([], width: 2000.0, depth: 900.0)->with(['surfaces' => [...$others, $picture], 'runs' => [], 'members' => []]);
    }

    /** @return array<string, list<array{float, float}>> */
    private static function sizes(SpacePlan $plan): array
    {
        $sizes = [];
        foreach ($plan->pieces() as $piece) {
            $sizes[$piece->name][] = [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
        }

        return $sizes;
    }

    public function test_a_frame_laps_over_a_niche_and_holds_its_panel_in_a_rabbet(): void
    {
        $layout = self::layout([], ['from' => TestLayout::mm(800), 'to' => TestLayout::mm(1160), 'foot' => TestLayout::mm(1100), 'head' => TestLayout::mm(1600)]);
        self::assertSame([], array_map(fn (Finding $one) => $one->sentence, $layout->clashes()));
        $sizes = self::sizes($layout->plan());
        // 360 + 2 · 15 = 390 by 500 + 30 = 530.
        self::assertSame([[530.0, 60.0], [530.0, 60.0]], $sizes['Frame, upright']);
        self::assertSame([[390.0, 60.0], [390.0, 60.0]], $sizes['Frame, level']);
        // 530 − 120 + 16 − 2 = 424, 390 − 120 + 16 − 2 = 284.
        self::assertSame([[424.0, 284.0]], $sizes['Picture panel']);
    }

    public function test_it_finds_the_niche_of_the_wall_that_it_lies_on(): void
    {
        $wall = ['id' => 's'] + Doc::holds('feature-wall', ['hole' => 'niche', 'wide' => TestLayout::mm(360), 'high' => TestLayout::mm(500), 'foot' => TestLayout::mm(1100)]) + ['on' => ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]];
        $layout = self::layout([], ['of' => 's'], $wall);
        $usual = (new \Incastro\Planning\UsualMaterials(\Incastro\Measure\Unit::Millimetre))->document();
        $plan = $layout->changing($usual)->plan();
        self::assertSame('fits', $plan->verdict->state, $plan->verdict->sentence);
        self::assertSame([[530.0, 60.0], [530.0, 60.0]], self::sizes($plan)['Frame, upright']);
        // Round the middle of the niche: the lining is 18 thick, its shims 3: from 1100 + 21 − 15 up.
        $stile = array_values(array_filter($plan->assemblies[1]->placed, fn ($placed) => $placed->piece->name === 'Frame, upright'))[0];
        self::assertEqualsWithDelta([1000.0 - 195.0, 1106.0], [$stile->bounds->u0, $stile->bounds->z0], 1.0);
        self::assertCount(1, $plan->assemblies[1]->movements);
    }

    public function test_a_lap_that_no_hinge_takes_is_said(): void
    {
        $layout = self::layout(['lap' => TestLayout::mm(8)], ['from' => TestLayout::mm(800), 'to' => TestLayout::mm(1160), 'foot' => TestLayout::mm(1100), 'head' => TestLayout::mm(1600)]);
        self::assertSame('The frame laps 8 mm; its hinge needs 10 mm.', $layout->clashes()[0]->sentence);
        self::assertSame([], $layout->edited($layout->clashes()[0]->waysOut[0]->edit)->clashes());
    }
}
