<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Closing\ClosingTable;
use Incastro\Fit\Closing\Gap;
use Incastro\Fit\Closing\ScribeLine;
use Incastro\Fit\Closing\Side;
use Incastro\Geometry\Point;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Planning\Planner;
use Incastro\Rules\HouseRules;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;

final class ClosingTest extends TestCase
{
    private static function gap(float ...$gaps): Gap
    {
        return new Gap(self::stations(...$gaps), 0.6);
    }

    /** @return non-empty-list<Point> */
    private static function stations(float ...$gaps): array
    {
        return array_map(fn (int $i, float $gap) => new Point(500.0 * $i, $gap), array_keys($gaps), $gaps);
    }

    /** @return list<array{Gap, bool, ?Closing, Closing}> */
    public static function rows(): array
    {
        return [
            [self::gap(0.0, 0.5), true, null, Closing::Nothing], // 0.5 + 1.645 · 0.6 = 1.49 ≤ 1.5
            [self::gap(0.0, 0.6), true, null, Closing::Caulk], // 1.59 may be open: nothing would not close it
            [self::gap(1.0, 3.0), true, null, Closing::Caulk], // 3.99 ≤ 4
            [self::gap(1.0, 3.1), true, null, Closing::Scribe],
            [self::gap(1.0, 3.0), false, null, Closing::Scribe], // not painted: nothing to caulk to
            [self::gap(3.0, 25.0), true, null, Closing::Scribe],
            [self::gap(3.0, 25.1), true, null, Closing::Filler],
            [self::gap(3.0, 30.0), true, Closing::Trim, Closing::Trim], // 30 + 6 + 0.99 ≤ 45
            [self::gap(3.0, 38.5), true, Closing::Trim, Closing::Filler], // 38.5 + 6 + 0.99 > 45
            [self::gap(3.0, 9.0), true, Closing::ShadowGap, Closing::ShadowGap],
            [self::gap(3.0, 9.0), true, Closing::Caulk, Closing::Scribe],
        ];
    }

    #[DataProvider('rows')]
    public function test_the_first_row_that_holds_is_taken_unless_the_person_chose(Gap $gap, bool $painted, ?Closing $wish, Closing $expected): void
    {
        $table = new ClosingTable(new HouseRules(Unit::Millimetre, [], false, $painted), LengthFormat::millimetres());
        self::assertSame($expected, $table->choose($gap, $wish)[0]);
    }

    public function test_a_choice_that_cannot_be_says_why(): void
    {
        $table = new ClosingTable(new HouseRules(Unit::Millimetre), LengthFormat::millimetres());
        self::assertStringStartsWith('trim of 45 mm is too narrow: 45 mm', $table->choose(self::gap(3.0, 38.5), Closing::Trim)[1]);
    }

    public function test_a_scribe_line_by_hand_at_five_stations(): void
    {
        // g = 9, 11, 16, 13, 10; σ 0.6: o = 16 + 5 + 1.645 · 0.6 = 21.987, up to 22. Compass o − g_min = 13.
        $line = ScribeLine::along(self::gap(9.0, 11.0, 16.0, 13.0, 10.0), new HouseRules(Unit::Millimetre), LengthFormat::millimetres());
        self::assertSame(22.0, $line->blank()->toDouble());
        self::assertSame(13.0, $line->setting()->toDouble());
        self::assertSame(6.0, $line->shallowest()->toDouble());
        self::assertSame([13.0, 11.0, 6.0, 9.0, 12.0], array_map(fn (Point $at) => $line->cutAt($at)->toDouble(), $line->gap->stations));
        self::assertFalse($line->isTaper);
    }

    public function test_a_straight_line_is_a_taper(): void
    {
        $along = fn (float $sigma, float ...$gaps) => ScribeLine::along(new Gap(self::stations(...$gaps), 0.6, $sigma, true), new HouseRules(Unit::Millimetre), LengthFormat::millimetres())->isTaper;
        self::assertTrue($along(0.3, 9.0, 10.7, 13.2, 15.0)); // within 0.8 of a line
        // Off the line 9.8 + 1.8·k by 0.8, −1.4, 0.4 at most: more than 0.8, and than 2.5 · 0.3.
        self::assertFalse($along(0.3, 9.0, 13.0, 13.0, 15.0));
        // From tape widths, σ 1, it cannot be told from a straight line: 2.5 mm.
        self::assertTrue($along(1.0, 9.0, 13.0, 13.0, 15.0));
    }

    public function test_a_filler_narrows_the_box_until_it_is_wide_enough(): void
    {
        // Left wall leaning in 60: widest box 1200 − 60 − …; the gap at the foot is over 25, so a filler of 20 at least.
        $alcove = new TestAlcove(fn (float $v, float $z) => 60.0 * $z / 2400.0, fn (float $v, float $z) => 1200.0);
        $run = (new Planner())->plan($alcove->job())->spaces[0]->layout?->runs[0];
        self::assertNotNull($run);
        $left = $run->edge(Side::Left, 'box');
        self::assertSame(Closing::Filler, $left->closing);
        self::assertGreaterThanOrEqual(20.0 - 1e-6, $left->gap->least);
        self::assertLessThan(22.0, $left->gap->least);
        // Blank: g_max + 5 + U, up.
        self::assertSame(ceil($left->gap->most + 5.0 + $left->gap->doubt()), $left->scribe?->blank()->toDouble());
    }

    public function test_a_shadow_gap_keeps_its_least_width(): void
    {
        $job = TestAlcove::leaning()->job(layout: ['closings' => ['left' => 'shadow_gap', 'right' => null, 'top' => null]]);
        $run = (new Planner())->plan($job)->spaces[0]->layout?->runs[0];
        self::assertNotNull($run);
        self::assertGreaterThanOrEqual(10.0 - 1e-6, $run->edge(Side::Left, 'box')->gap->least);
        self::assertStringContainsString('kept free for the closing at the left', implode('|', array_map(fn ($step) => $step->label, $run->boxes[0]->width->steps)));
    }
}
