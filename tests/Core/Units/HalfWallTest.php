<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Unit;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\UsualMaterials;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use PHPUnit\Framework\TestCase;
use Tests\Core\PieceSizes;
use Tests\Core\TestLayout;

final class HalfWallTest extends TestCase
{
    /**
     * A low wall in the middle of one of 2400, and what lies beside it: posts of 89, ledges of 27, panels of 11.9, frames of 19.1.
     *
     * @param  array<string, mixed>  ...$surfaces
     */
    private static function layout(array ...$surfaces): TestLayout
    {
        $usual = (new UsualMaterials(Unit::Millimetre))->document();
        $thick = ['drawer' => 11.9, 'frame' => 19.1];
        foreach ($usual['materials'] as $i => $material) {
            $usual['materials'][$i]['thickness'] = isset($thick[$material['id']]) ? TestLayout::mm($thick[$material['id']]) : $material['thickness'];
        }

        return TestLayout::of([], width: 2400.0, depth: 3000.0)->changing(['uses' => ['top' => 'thick'] + $usual['uses']] + $usual)->with(['surfaces' => $surfaces, 'runs' => [], 'members' => []]);
    }

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private static function wall(array $with): array
    {
        return ['id' => 'y'] + Doc::holds('half-wall', $with) + ['on' => ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]];
    }

    public function test_two_panels_between_three_posts(): void
    {
        $layout = self::layout(self::wall(['long' => TestLayout::mm(1480)]));
        self::assertSame([], array_map(fn (Finding $one) => $one->sentence, $layout->clashes()));
        $sizes = PieceSizes::counted($layout->plan());
        // (1480 − 3 · 89)/2 = 606.5; 1000 − 27 = 973.
        self::assertSame(['973 × 89' => 1], $sizes['Wall post']);
        self::assertSame(['973 × 89' => 2], $sizes['Post']);
        self::assertSame(['606 × 89' => 2], $sizes['Sole']);
        // 1000 − 27 − 38 = 935; 606.5 − 2 = 604.5, down.
        self::assertSame(['935 × 604' => 2], $sizes['Panel']);
        self::assertSame(['606 × 60' => 8], $sizes['Frame, level']);
        self::assertSame(['935 × 60' => 8], $sizes['Frame, upright']);
        // 1480 + 20, 89 + 2 · 25.
        self::assertSame(['1500 × 139' => 1], $sizes['Ledge']);
    }

    public function test_one_panel_whose_frames_butt(): void
    {
        $sizes = PieceSizes::counted(self::layout(self::wall(['long' => TestLayout::mm(970), 'panels' => 1, 'mitred' => false]))->plan());
        // 970 − 2 · 89 = 792; 792 − 2 · 60 = 672.
        self::assertSame(['792 × 89' => 1], $sizes['Sole']);
        self::assertSame(['672 × 60' => 4], $sizes['Frame, level']);
        self::assertSame(['935 × 60' => 4], $sizes['Frame, upright']);
    }

    public function test_the_feet_of_its_posts_hold_who_pushes_at_its_head(): void
    {
        // 500 N at 1 m; a post on brackets holds 4 · 500 N · 0.089 m = 178 N·m.
        $layout = self::layout(self::wall(['long' => TestLayout::mm(1480), 'foot' => 'brackets']));
        [$clash] = $layout->clashes();
        self::assertSame('Somebody who pushes at the head of Y1 turns it with 500 N·m; the feet of its free posts hold 356 N·m.', $clash->sentence);
        self::assertSame(Code::HalfWallWeak, $clash->code);
        // Three of them hold 534.
        self::assertSame(['Structural screws through into joists or blocking', 'One more panel, and post', 'Take it away'], array_map(fn ($way) => $way->label, $clash->waysOut));
    }

    public function test_its_wall_post_stands_on_a_stud(): void
    {
        $layout = self::layout(self::wall([]))->thing('stud', 'stud', 1000, 0, 38, 2400, 0, 'may-be-covered');
        [$clash] = $layout->clashes();
        // The middle of 2400; the stud's near side at 1038.
        self::assertSame('The wall post of Y1 stands 162 mm beside the nearest stud.', $clash->sentence);
        self::assertSame('Move it to the stud', $clash->waysOut[0]->label);
        self::assertSame([], $layout->edited($clash->waysOut[0]->edit)->clashes());
    }

    public function test_a_gate_goes_on_from_it(): void
    {
        $gate = fn (array $with): array => ['id' => 'g'] + Doc::holds('gate', ['from' => TestLayout::mm(1500), 'latch' => TestLayout::mm(8)] + $with) + ['on' => ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]];
        $layout = self::layout(self::wall(['long' => TestLayout::mm(1480)]), $gate([]));
        self::assertSame([], array_map(fn (Finding $one) => $one->sentence, $layout->clashes()));
        $sizes = PieceSizes::counted($layout->plan());
        // 700 − 6 − 8 = 686; 1000 − 40 − 30 = 930.
        self::assertSame(['930 × 60' => 2], $sizes['Gate stile']);
        self::assertSame(['566 × 60' => 2], $sizes['Gate rail']);
        self::assertSame(['910 × 666' => 1], $sizes['Gate panel']);
        // Open, a brace goes from corner to corner: √(566² + 810²) = 988.15, down; a gap of that size catches no head.
        $braced = self::layout(self::wall(['long' => TestLayout::mm(1480)]), $gate(['fill' => 'brace']));
        self::assertSame(['988 × 60' => 1], PieceSizes::counted($braced->plan())['Brace']);
        self::assertSame([], $braced->clashes());
        // An opening of 320 leaves 200 between the stiles.
        self::assertSame('A gap of 200 mm can catch a head.', self::layout($gate(['fill' => 'brace', 'opening' => TestLayout::mm(320)]))->clashes()[0]->sentence);
    }
}
