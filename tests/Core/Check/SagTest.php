<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Rules\WayOut;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class SagTest extends TestCase
{
    /** Shelves between 3 and 25 mm from the walls of an alcove of 1200, boards of plywood as they are usually bought. */
    private static function layout(array $with, float $width = 900.0): TestLayout
    {
        return TestLayout::of([TestLayout::bay('a', ['size' => TestLayout::mm($width)], [Doc::tier('a-1', ['holds' => Doc::holds('shelves', $with)])])]);
    }

    /** @return list<Finding> */
    private static function found(TestLayout $layout): array
    {
        return array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::Sags));
    }

    public function test_books_on_a_wide_shelf_sag_and_what_holds_is_worked_out(): void
    {
        // 900 − 2 × 18 = 864 clear, 366 deep: (35 + 366 × 18 × 680/10⁶) × 9.81/1000 = 0.387 N/mm; E·I = 9000 × 366 × 18³/12 = 1.601·10⁹;
        // 5 × 0.387 × 864⁴ ÷ (384 × 1.601·10⁹) = 1.74, × 1.8 = 3.1; 864/350 = 2.5.
        [$sags] = self::found(self::layout(['fixed' => 0, 'adjustable' => 4, 'load' => 'books']));
        self::assertSame(Severity::Warning, $sags->severity);
        self::assertSame('B1-shelf-1 sags 3.1 mm over the years under books, 35 kg on a metre; 2.5 mm is the most over 864 mm. Guidance for furniture, not for the house.', $sags->sentence);
        self::assertSame(['Lay it on cleats, with a strip of 18 mm under its front edge', 'Make it of Birch plywood 27'], array_map(fn (WayOut $way) => $way->label, $sags->waysOut));
        self::assertSame([], self::found(self::layout(['fixed' => 0, 'adjustable' => 4, 'load' => 'linen'])));
    }

    public function test_every_way_out_applied_removes_what_it_is_for(): void
    {
        foreach ([['books', 900.0], ['folders', 800.0], ['folders', 1150.0], ['kitchen', 1000.0]] as [$load, $width]) {
            $layout = self::layout(['fixed' => 0, 'adjustable' => 3, 'load' => $load], $width);
            [$sags] = self::found($layout);
            self::assertNotSame([], $sags->waysOut, $load);
            foreach ($sags->waysOut as $way) {
                self::assertSame([], self::found($layout->edited($way->edit)), "$load $width: $way->label");
            }
        }
    }

    public function test_a_shelf_between_walls_has_its_back_on_a_cleat_and_gets_a_strip(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Doc::holds('cleat-shelves', ['count' => 3, 'load' => 'books'])])])])->with(['members' => []]);
        [$sags] = self::found($layout);
        self::assertStringStartsWith('A strip of ', $sags->waysOut[0]->label);
        $stiff = $layout->edited($sags->waysOut[0]->edit);
        self::assertSame([], self::found($stiff));
        self::assertCount(3, array_filter($stiff->plan()->pieces(), fn ($piece) => $piece->name === 'Strip'));
        self::assertSame('fits', $stiff->plan()->verdict->state);
    }

    public function test_at_twice_its_limit_a_board_is_none(): void
    {
        [$sags] = self::found(self::layout(['fixed' => 0, 'adjustable' => 3, 'load' => 'folders'], 1150.0));
        self::assertSame(Severity::Clash, $sags->severity);
    }
}
