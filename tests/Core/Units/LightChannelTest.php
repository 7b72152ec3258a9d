<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Pieces\Piece;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\Schools;
use Incastro\Units\Assembly;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Options\LightChannel;
use PHPUnit\Framework\TestCase;
use Tests\Core\PieceSizes;
use Tests\Core\TestLayout;

final class LightChannelTest extends TestCase
{
    private static function built(Unit $unit, string $board, string $width, string ...$typed): Assembly
    {
        $sizes = array_map(fn (string $one): Length => (new LengthReader($unit))->read($one), $typed);
        $box = $unit === Unit::Inch ? new UnitBox($width, '30', '14', $unit, schools: new Schools(edges: Edges::Band), board: $board) : new UnitBox($width, '700', '330', schools: new Schools(edges: Edges::Band), board: $board);

        return $box->build(new Shelves(0, 0), null, new LightChannel(...$sizes));
    }

    public function test_a_groove_a_little_wider_and_deeper_than_the_profile(): void
    {
        // 877.8 − 2 · 17.9 = 842 clear.
        $built = self::built(Unit::Millimetre, '17.9', '877.8', '17.1', '8', '40', '5');
        self::assertSame([], array_filter($built->findings, fn ($one) => $one->severity->value === 'clash'));
        // 17.1 + 0.5 = 17.6; 8 + 0.3 = 8.3, which leaves 9.6 of 17.9; 842 − 2 · 5 = 832.
        self::assertSame([17.6, 8.3, 832.0], array_map(fn ($one) => $one->result->toDouble(), array_values($built->decisions)));
        $top = array_values(array_filter($built->pieces(), fn (Piece $piece) => $piece->mark === 'B1-top'))[0];
        self::assertStringContainsString('groove under it for a light, 17.6 mm wide, 8.3 mm deep and 842 mm long, its middle 40 mm from the front', implode(' ', $top->told(LengthFormat::millimetres())));
        self::assertContains('profile with a light strip, 832 mm', array_map(fn ($one) => $one->name, $built->hardware));
    }

    public function test_in_inches(): void
    {
        // 34 9/16 − 2 · 23/32 = 33 1/8; 5/8 + 1/32 = 21/32; 1/4 + 1/64 = 17/64; 33 1/8 − 3/8 = 32 3/4.
        $built = self::built(Unit::Inch, '23/32', '34 9/16', '5/8', '1/4', '1 1/2', '3/16');
        self::assertEqualsWithDelta([21 / 32, 17 / 64, 32.75], array_map(fn ($one) => $one->result->toDouble() / 25.4, array_values($built->decisions)), 1e-6);
    }

    public function test_on_the_board_its_cable_lies_between_two_strips_under_a_cover(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a')])->with(['options' => [array_replace(Doc::member('light', 'light-channel', ['a-1']), ['with' => ['form' => 'surface', 'cable' => TestLayout::mm(6)]])]]);
        self::assertSame([], $layout->clashes());
        $sizes = PieceSizes::byMark($layout->plan());
        // As long as the opening is wide, 1200 − 11 − 36 = 1153; 8 + 4 high; 2 · 18 + 6 + 4 wide.
        self::assertSame([12.0, 12.0, 46.0], [$sizes['cable-back'][1], $sizes['cable-front'][1], $sizes['cable-cover'][1]]);
        self::assertSame($sizes['cable-back'][0], $sizes['cable-cover'][0]);
        // Its way out of the box is asked for, and bored on request.
        $asked = array_values(array_filter($layout->plan()->findings, fn ($one) => $one->code->value === 'no-cable-way'));
        self::assertSame('The cable of the light under B1-top has no way out of B1.', $asked[0]->sentence);
        self::assertSame([], array_filter($layout->edited($asked[0]->waysOut[0]->edit)->plan()->findings, fn ($one) => $one->code->value === 'no-cable-way'));
    }

    public function test_a_profile_too_high_for_the_board_is_said_with_one_that_goes(): void
    {
        // 17.9 − 12.3 = 5.6; 17.9 − 8 − 0.3 = 9.6 would go.
        $finding = self::built(Unit::Millimetre, '17.9', '877.8', '17.1', '12', '40', '5')->findings[0];
        self::assertSame('Only 5.6 mm of B1-top would be left over the groove; it takes 8 mm.', $finding->sentence);
        self::assertSame(['Lay it on the board', 'A profile of 9.6 mm'], array_slice(array_map(fn ($way) => $way->label, $finding->waysOut), 0, 2));
    }
}
