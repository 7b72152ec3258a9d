<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Pieces\Piece;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Finding;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\Schools;
use Incastro\Units\Assembly;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Options\TopOpening;
use Incastro\Units\TopShape;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class TopOpeningTest extends TestCase
{
    private static function length(string $typed, Unit $unit = Unit::Millimetre): Length
    {
        return (new LengthReader($unit))->read($typed);
    }

    private static function opening(TopShape $shape, string $across, string $deep, string $radius = '6', ?string $front = null): TopOpening
    {
        return new TopOpening($shape, self::length($across), self::length($deep), self::length($radius), self::length('12'), self::length('152'), $front === null ? null : self::length($front));
    }

    private static function built(TopOpening $opening, string $depth = '560'): Assembly
    {
        // 563.15 clear between boards of 17.9.
        return (new UnitBox('598.95', '789.8', $depth, schools: new Schools(edges: Edges::Band), board: '17.9'))->build(new Shelves(0, 0), null, $opening);
    }

    private static function top(Assembly $built): Piece
    {
        return array_values(array_filter($built->pieces(), fn (Piece $piece) => $piece->mark === 'B1-top'))[0];
    }

    public function test_a_round_one_in_the_middle_of_its_bay(): void
    {
        $built = self::built(self::opening(TopShape::Round, '300', '300'));
        $top = self::top($built);
        self::assertCount(1, $top->outline->holes);
        [$x0, $x1, $y0, $y1] = $top->outline->holes[0]->bounds();
        // The bay is 563.15 wide: from 281.575 − 150 to 281.575 + 150; the top, 563 long, begins at its left.
        self::assertEqualsWithDelta([131.575, 431.575], [$x0, $x1], 0.1);
        // 560 deep with its back of 6: the middle is 280 behind the face, 560 − 280 − 6 = 274 from the front of the back.
        self::assertEqualsWithDelta(300.0, $y1 - $y0, 1e-6);
        self::assertEqualsWithDelta(274.0, ($y0 + $y1) / 2, 0.2);
        // The pin stands (300 − 12)/2 = 144 from the bit; three passes of 6 through 17.9; the disc is 300 − 2·12 = 276.
        self::assertSame(144.0, $built->decisions['Pin from the middle of the bit, B1']->result->toDouble());
        self::assertStringContainsString('Ø 300 mm with a router on a pin 144 mm from the middle of its bit, in 3 passes; the disc is Ø 276 mm', implode('; ', $top->told(\Incastro\Measure\LengthFormat::millimetres())));
        self::assertSame([], $built->findings);
    }

    public function test_a_rectangle_is_routed_along_a_frame_of_strips(): void
    {
        $built = self::built(self::opening(TopShape::Rectangular, '420', '300'));
        // Fence (152 − 12)/2 = 70; strips 420 + 152 − 12 + 2·90 = 740 and 300 + 152 − 12 = 440.
        self::assertSame(70.0, $built->decisions['Fence beside the line, B1']->result->toDouble());
        self::assertSame(740.0, $built->decisions['Two strips of the frame, from scrap, B1']->result->toDouble());
        self::assertSame(440.0, $built->decisions['Two strips between them, B1']->result->toDouble());
        // 420 by 300 less four corners of (1 − π/4)·6².
        self::assertEqualsWithDelta(420.0 * 300.0 - (4.0 - M_PI) * 36.0, self::top($built)->outline->holes[0]->area(), 5.0);
        self::assertSame([], $built->findings);
    }

    public function test_what_is_left_breaks_where_it_is_too_narrow(): void
    {
        // 560 − 6 behind: 480 leaves 274 − 240 = 34 at the back; it takes 50.
        $finding = self::built(self::opening(TopShape::Rectangular, '420', '480'))->findings[0];
        self::assertSame('Only 34 mm of B1-top is left beside the opening; it takes 50 mm, or breaks.', $finding->sentence);
        self::assertSame('Make it 448 mm', $finding->waysOut[0]->label);
        self::assertSame([], self::built(self::opening(TopShape::Rectangular, '420', '448'))->findings);
    }

    public function test_it_keeps_clear_of_the_boards_beside_its_bay(): void
    {
        // 563.15 − 2·15 = 533.15, down to 533.
        $finding = self::built(self::opening(TopShape::Rectangular, '540', '300'))->findings[0];
        self::assertSame('The opening of 540 mm reaches nearer than 15 mm to the boards of a bay 563 mm wide.', $finding->sentence);
        self::assertSame('Make it 533 mm across', $finding->waysOut[0]->label);
    }

    public function test_a_bit_of_12_leaves_no_tighter_corner_than_6(): void
    {
        $finding = self::built(self::opening(TopShape::Rectangular, '420', '300', '4'))->findings[0];
        self::assertSame('A bit of 12 mm leaves corners of 6 mm, not of 4 mm.', $finding->sentence);
        self::assertSame('Corners of 6 mm', $finding->waysOut[0]->label);
    }

    public function test_it_goes_through_the_worktop_too(): void
    {
        $bays = [TestLayout::bay('a', ['top' => 'below'], [Doc::tier('a-1', ['holds' => Recipe::box(0, 0), 'size' => TestLayout::mm(700)]), Doc::tier('a-2', ['joined' => false, 'holds' => Recipe::gap()])])];
        $layout = TestLayout::of($bays);
        $plan = $layout->with(['members' => [...$layout->layout['members'], Recipe::worktop('w', ['a-1'])], 'options' => [array_replace(Doc::member('o', 'top-opening', ['a-1']), ['with' => ['across' => TestLayout::mm(260), 'front' => TestLayout::mm(210)]])]])->plan();
        $holes = [];
        foreach (array_merge(...array_map(fn (Assembly $one) => $one->placed, $plan->assemblies)) as $placed) {
            foreach ($placed->piece->outline->holes as $hole) {
                $points = array_map(fn ($point) => $placed->pose->place($point, 0.0), $hole->points);
                $holes[$placed->piece->name] = [round((min(array_column($points, 'x')) + max(array_column($points, 'x'))) / 2, 1), round((min(array_column($points, 'y')) + max(array_column($points, 'y'))) / 2, 1)];
            }
        }
        // One over the other, 210 behind the face.
        self::assertSame(['Top', 'Worktop'], array_keys($holes));
        self::assertSame($holes['Top'], $holes['Worktop']);
        self::assertSame('fits', $plan->verdict->state, implode(' ', array_map(fn (Finding $finding) => $finding->sentence, $plan->findings)));
    }
}
