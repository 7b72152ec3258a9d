<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Unit;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\UsualMaterials;
use Incastro\Units\Placed;
use PHPUnit\Framework\TestCase;
use Tests\Core\PieceSizes;
use Tests\Core\TestLayout;

/** A hollow beam on a wall; boards of 18, timber of 38. */
final class MantelTest extends TestCase
{
    /** @param array<string, mixed> $with */
    private static function layout(array $with = []): TestLayout
    {
        return TestLayout::of([], width: 3400.0)->changing((new UsualMaterials(Unit::Millimetre))->document())->with(['surfaces' => [['id' => 'm'] + Doc::holds('mantel', $with) + ['on' => ['wall' => 0, 'from' => TestLayout::mm(100), 'to' => null, 'foot' => TestLayout::mm(1300), 'head' => null]]], 'runs' => [], 'members' => []]);
    }

    public function test_its_five_boards_and_its_cleat(): void
    {
        $sizes = PieceSizes::byMark(self::layout(['length' => TestLayout::mm(1600)])->plan());
        self::assertSame([[1600.0, 120.0], [1600.0, 180.0], [1600.0, 180.0], [180.0, 120.0]], [$sizes['front'], $sizes['top'], $sizes['bottom'], $sizes['end-L']]);
        // 1600 − 2 · 18 − 2 · 5 = 1554; 120 − 2 · 18 − 1 = 83.
        self::assertSame([1554.0, 83.0], $sizes['cleat']);
    }

    public function test_longer_than_a_board_it_is_scarfed_each_board_elsewhere(): void
    {
        foreach ([true, false] as $isMitred) {
            $layout = self::layout(['length' => TestLayout::mm(3000), 'mitred' => $isMitred]);
            self::assertSame([], array_map(fn ($one) => $one->sentence, $layout->clashes()));
            $sizes = PieceSizes::byMark($layout->plan());
            $more = $isMitred ? 18.0 : 0.0;
            // The front in its middle, top and foot 300 beside it; under a scarf a part is longer by its thickness.
            self::assertSame([1500.0 + $more, 1500.0, 1800.0 + $more, 1200.0, 1200.0 + $more, 1800.0], [$sizes['front-1'][0], $sizes['front-2'][0], $sizes['top-1'][0], $sizes['top-2'][0], $sizes['bottom-1'][0], $sizes['bottom-2'][0]]);
            // (3000 − 46)/2 each.
            self::assertSame([1477.0, 1477.0], [$sizes['cleat-1'][0], $sizes['cleat-2'][0]]);
            $fronts = array_values(array_filter($layout->plan()->assemblies[0]->placed, fn (Placed $one) => $one->piece->name === 'Mantel front'));
            self::assertEqualsWithDelta(3000.0, $fronts[1]->bounds->u1 - $fronts[0]->bounds->u0, 1e-6);
        }
    }
}
