<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Buy\Cover;
use Incastro\Buy\Need;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Plan;
use Incastro\Planning\Planner;
use Incastro\Planning\Supplies;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class SuppliesTest extends TestCase
{
    /** A table that folds up 800 wide, whose pieces are few: a ledge of 800 × 120, a flap of 800 × 600, both of 18 and banded all round. */
    private static function table(array $changes = []): Plan
    {
        $layout = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Doc::holds('flap-table')])])], ['depth' => TestLayout::mm(300)], 821.0)->with(['members' => []]);

        return (new Planner())->plan($layout->changing($changes)->job());
    }

    /** @return list<array{what: string, need: string, bought: string}> */
    private static function lines(Plan $plan): array
    {
        return array_map(fn (Need $need) => ['what' => $need->what, 'need' => ($need->write)($need->use + $need->spare), 'bought' => Cover::of($need->use + $need->spare, $need->packs)->words()], (new Supplies($plan))->needs());
    }

    public function test_banding_is_counted_by_the_edges_that_are_banded(): void
    {
        // 2 × (800 + 120) + 2 × (800 + 600) = 4640; a tenth more 5104.
        self::assertSame([22 => 4640.0], (new Supplies(self::table()))->banded());
        self::assertSame(['what' => 'Edge banding 22 mm wide', 'need' => '5.1 m', 'bought' => '1 × roll of 10 m'], self::lines(self::table())[0]);
    }

    public function test_paint_covers_all_faces_and_edges(): void
    {
        // Ledge 2 × 0.8 × 0.12 + 1.84 × 0.018 = 0.2251; flap 2 × 0.8 × 0.6 + 2.8 × 0.018 = 1.0104; cleat 2 × 0.8 × 0.07 + 1.74 × 0.018 = 0.1433;
        // two legs of 0.710 × 0.045 × 0.028: 2 × (2 × 0.03195 + 1.51 × 0.028) = 0.2124; two rails of 0.610: 2 × (2 × 0.02745 + 1.31 × 0.028) = 0.1832.
        $supplies = new Supplies(self::table());
        self::assertEqualsWithDelta(0.2251 + 1.0104 + 0.1433 + 0.2124 + 0.1832, $supplies->finished(), 0.001);
        // 1.1 × 1.774/10 = 0.20 of primer; 1.1 × 2 × 1.774/12 = 0.33 of paint.
        $bought = array_column(self::lines(self::table()), null, 'what');
        self::assertSame(['0.20 l', '1 × tin of 0.375 l'], [$bought['Primer, 1 coat']['need'], $bought['Primer, 1 coat']['bought']]);
        self::assertSame(['0.33 l', '1 × tin of 0.375 l'], [$bought['Paint, 2 coats']['need'], $bought['Paint, 2 coats']['bought']]);
        // What is not painted is varnished thrice: 1.1 × 3 × 1.774/12 = 0.49.
        $clear = array_column(self::lines(self::table(['painted' => false])), null, 'what');
        self::assertSame(['0.49 l', '1 × tin of 0.75 l'], [$clear['Varnish, 3 coats']['need'], $clear['Varnish, 3 coats']['bought']]);
    }

    public function test_glue_is_counted_by_where_boards_meet(): void
    {
        // Four ends of rails against legs, 45 × 28 each, alone are glued: 0.00504 m², × 170 × 1.2 = 1.03 ml.
        $supplies = new Supplies(self::table());
        self::assertEqualsWithDelta(4 * 0.045 * 0.028, $supplies->glued(), 1e-6);
        self::assertSame('1 × bottle of 250 ml', array_column(self::lines(self::table()), null, 'what')['Wood glue']['bought']);
    }

    public function test_caulk_fills_its_gap_and_a_fillet(): void
    {
        // 9.6 m of 2.2: 9600 × (6 × 2.2 + 8) = 203 520 mm³.
        self::assertEqualsWithDelta(203.52, Supplies::bead(9600.0, 2.2), 1e-9);
        // Nothing of the table is caulked.
        self::assertSame(0.0, (new Supplies(self::table()))->caulked());
    }
}
