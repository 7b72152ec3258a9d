<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Pieces\Piece;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Edit;
use Incastro\Rules\Finding;
use Incastro\Units\Assembly;
use Incastro\Units\BoardOf;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Options\CableHole;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class CableHoleTest extends TestCase
{
    private static function mm(string $typed, Unit $unit = Unit::Millimetre): Length
    {
        return (new LengthReader($unit))->read($typed);
    }

    private static function hole(BoardOf $board, string $diameter = '60', string $edge = '50', string $end = '200', Unit $unit = Unit::Millimetre): CableHole
    {
        return new CableHole($board, self::mm($diameter, $unit), self::mm($edge, $unit), self::mm($end, $unit));
    }

    private static function piece(Assembly $box, string $mark): Piece
    {
        return array_values(array_filter($box->pieces(), fn (Piece $piece) => $piece->mark === "B1-$mark"))[0];
    }

    /** @return array{float, float, float} centre and diameter of the one hole of a piece */
    private static function bored(Piece $piece): array
    {
        self::assertCount(1, $piece->outline->holes);
        [$x0, $x1, $y0, $y1] = $piece->outline->holes[0]->bounds();

        return [round(($x0 + $x1) / 2, 3), round(($y0 + $y1) / 2, 3), round($x1 - $x0, 3)];
    }

    public function test_its_rim_keeps_15_mm_of_wood_to_the_back_edge(): void
    {
        $box = UnitBox::metric();
        // 50 − 30 = 20 of wood behind the rim; 200 over the bottom, whose upper face is 17.7 up the side.
        $built = $box->build(new Shelves(0, 0), null, self::hole(BoardOf::Left));
        self::assertSame([217.7, 50.0, 60.0], self::bored(self::piece($built, 'side-L')));
        self::assertSame([], self::piece($built, 'side-R')->outline->holes);
        // Of 80 the rim would have 10: its centre goes to 40 + 15.
        self::assertSame([217.7, 55.0, 80.0], self::bored(self::piece($box->build(new Shelves(0, 0), null, self::hole(BoardOf::Left, '80')), 'side-L')));
        self::assertContains('cable grommet Ø 60 mm', array_map(fn ($one) => $one->name, $built->hardware));
    }

    public function test_in_inches_by_hand(): void
    {
        $in = Unit::Inch;
        $box = new UnitBox('30', '34 3/4', '22', $in);
        // 2 3/8 at 2 in leaves 13/16; of 3 1/8 the rim would have 7/16, so that its centre goes to 1 9/16 + 5/8 = 2 3/16.
        $centre = fn (string $diameter): float => self::bored(self::piece($box->build(new Shelves(0, 0), null, self::hole(BoardOf::Right, $diameter, '2', '8', $in)), 'side-R'))[1] / 25.4;
        self::assertEqualsWithDelta(2.0, $centre('2 3/8'), 1e-3);
        self::assertEqualsWithDelta(2.1875, $centre('3 1/8'), 1e-3);
    }

    public function test_it_is_bored_through_every_board_round_its_opening(): void
    {
        $box = UnitBox::metric();
        foreach ([[BoardOf::Back, 'back'], [BoardOf::Below, 'bottom'], [BoardOf::Over, 'top'], [BoardOf::Right, 'side-R']] as [$board, $mark]) {
            $built = $box->build(new Shelves(0, 2), null, self::hole($board));
            self::assertSame([], $built->findings, $mark);
            self::assertSame(60.0, self::bored(self::piece($built, $mark))[2], $mark);
            self::assertContains('hole: Ø 60 mm for cables', self::piece($built, $mark)->told(LengthFormat::millimetres()));
        }
    }

    public function test_no_pin_is_bored_where_it_is(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Recipe::box(0, 2)])])]);
        $layout->layout['options'] = [array_replace(Doc::member('o', 'cable-hole', ['a-1']), ['with' => ['board' => 'left', 'end' => TestLayout::mm(700)]])];
        $side = array_values(array_filter($layout->plan()->marked(), fn (Piece $piece) => str_ends_with($piece->mark, 'side-L')))[0];
        self::assertCount(1, $side->outline->holes);
        $hole = $side->outline->holes[0];
        foreach ($side->marks as $mark) {
            self::assertSame([], array_filter($mark->at, fn ($point) => $mark->kind->isHole() && $hole->contains($point)), $mark->kind->value);
        }
    }

    public function test_it_goes_along_with_its_cell(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a'), TestLayout::bay('b')])
            ->edited(new Edit('layout.do', ['action' => 'add', 'list' => 'options', 'kind' => 'cable-hole', 'cells' => ['a-1'], 'seed' => 'some-seed']));
        self::assertSame([['a-1']], array_column($layout->layout['options'], 'cells'));
        // A copied bay has one of its own; a bay that goes takes its own along.
        $copied = $layout->edited(new Edit('layout.do', ['action' => 'copy-bay', 'cell' => 'a', 'seed' => 'other-seed']));
        self::assertCount(2, $copied->layout['options']);
        self::assertCount(2, array_unique(array_column($copied->layout['options'], 'id')));
        $without = $layout->edited(new Edit('layout.do', ['action' => 'remove-bay', 'cell' => 'a', 'seed' => 'other-seed']));
        self::assertSame([], $without->layout['options']);
        // Two in one board are no mistake.
        self::assertCount(2, $layout->edited(new Edit('layout.do', ['action' => 'add', 'list' => 'options', 'kind' => 'cable-hole', 'cells' => ['a-1'], 'seed' => 'third-seed']))->layout['options']);
    }

    public function test_in_a_nailer_it_is_refused_and_goes_over_it(): void
    {
        $built = UnitBox::metric()->build(new Shelves(0, 0), null, self::hole(BoardOf::Back, '60', '300', '100'));
        self::assertSame(['hole-refused'], array_map(fn (Finding $finding) => $finding->code->value, $built->findings));
        // 90 of nailer and half the hole.
        self::assertSame('Centre it 120 mm up', $built->findings[0]->waysOut[0]->label);
        self::assertSame([], array_filter($built->pieces(), fn (Piece $piece) => $piece->outline->holes !== []));
        self::assertSame([], UnitBox::metric()->build(new Shelves(0, 0), null, self::hole(BoardOf::Back, '60', '300', '120'))->findings);
    }

    public function test_beyond_its_board_it_is_refused(): void
    {
        $built = UnitBox::metric()->build(new Shelves(0, 0), null, self::hole(BoardOf::Left, '60', '50', '855'));
        self::assertStringContainsString('leaves', $built->findings[0]->sentence);
        self::assertSame('There is no board at its left where this hole would be.', UnitBox::metric()->build(new Shelves(0, 0), null, self::hole(BoardOf::Left, '60', '50', '2000'))->findings[0]->sentence);
    }
}
