<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Fit\FittedSurface;
use Incastro\Fit\Layout\Surface;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\SheetGood;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\Pull;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\Surfaces\Hatch;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;
use Tests\Core\TestLayout;

final class HatchTest extends TestCase
{
    private static function length(string $typed, Unit $unit): Length
    {
        return (new LengthReader($unit))->read($typed);
    }

    /** A rough opening so wide and high, 700 along the back wall of the test alcove and 300 up. */
    private static function hatch(string $wide, string $high, string $wall, string $shim, string $lap, Unit $unit = Unit::Millimetre, bool $casing = true, Hand $hand = Hand::Left): Assembly
    {
        $isInch = $unit === Unit::Inch;
        $size = fn (string $typed): Length => self::length($typed, $unit);
        $hatch = new Hatch($size($wall), $size($shim), $size($lap), $casing, $size($isInch ? '2 1/4' : '57'), $hand, Pull::Knob, false);
        $room = TestAlcove::leaning()->survey()->room ?? throw new \LogicException('The test alcove has a room.');
        $board = fn (string $id, string $thick): SheetGood => new SheetGood($id, $id, $size($thick), 680.0);
        $all = [$board('carcass', $isInch ? '23/32' : '17.7'), $board('frame', $isInch ? '3/4' : '18'), $board('back', $isInch ? '7/32' : '6')];
        $catalogue = new Catalogue($all, ['carcass' => 'carcass', 'frame' => 'frame', 'front' => 'frame', 'back' => 'back'], []);
        $terms = new Terms($room, new HouseRules($unit), $catalogue, $isInch ? LengthFormat::inches() : LengthFormat::millimetres());
        $place = new FittedSurface(new Surface('s', $hatch, 0), 'H1', $room->frame(0), 700.0, 300.0, 0.0, Working::start('wide', $size($wide)), Working::start('high', $size($high)));

        return $hatch->build(new SurfaceSite($place, $terms));
    }

    /** @return array<string, array{float, float}> length and width of its pieces */
    private static function pieces(Assembly $built, float $per = 1.0): array
    {
        $pieces = [];
        foreach ($built->pieces() as $piece) {
            $pieces[substr($piece->key, 2)] = [round($piece->length->result->toDouble() / $per, 6), round($piece->width->result->toDouble() / $per, 6)];
        }

        return $pieces;
    }

    public function test_its_pieces_by_hand(): void
    {
        $built = self::hatch('700', '1200', '100', '5', '12.7');
        $pieces = self::pieces($built);
        // 1200 − 2 · 5 = 1190; 700 − 2 · 5 − 2 · 17.7 = 654.6, down to 654.
        self::assertSame([[1190.0, 100.0], [654.0, 100.0]], [$pieces['liner-L'], $pieces['liner-head']]);
        // 1154.6 + 2 · 12.7 = 1180 by 654 + 2 · 12.7 = 679.4, down to 679.
        self::assertSame([1180.0, 679.0], $pieces['leaf']);
        // 1180 + 2 · 3 + 2 · 57 = 1300, and 679 + 2 · 3 + 2 · 57 = 799.
        self::assertSame([[1300.0, 57.0], [799.0, 57.0]], [$pieces['casing-L'], $pieces['casing-head']]);
        // 1180 high, about 10 kg on 679: three hinges.
        self::assertSame(3, array_sum(array_map(fn (Hardware $one) => str_contains($one->name, 'hinge') ? $one->quantity : 0, $built->hardware)));
        foreach ($built->placed as $i => $one) {
            foreach (array_slice($built->placed, $i + 1) as $other) {
                self::assertLessThan(0.05, $one->overlap($other, 0.01), $one->piece->key.' in '.$other->piece->key);
            }
        }
        // The lining stands in the wall, flush with its face; the leaf before it.
        self::assertEqualsWithDelta([-100.0, 0.0], [$built->placed[0]->bounds->v0, $built->placed[0]->bounds->v1], 1e-6);
    }

    public function test_its_pieces_by_hand_in_inches(): void
    {
        $pieces = self::pieces(self::hatch('24', '30', '4 1/2', '3/16', '1/2', Unit::Inch), 25.4);
        self::assertSame([29.625, 4.5], $pieces['liner-L']);
        self::assertSame([22.1875, 4.5], $pieces['liner-head']);
        self::assertSame([29.1875, 23.1875], $pieces['leaf']);
        self::assertSame([33.9375, 2.25], $pieces['casing-L']);
        self::assertSame([27.9375, 2.25], $pieces['casing-head']);
    }

    public function test_a_wall_is_looked_at_first_and_a_bare_cut_is_covered(): void
    {
        $codes = fn (Assembly $built): array => array_map(fn (Finding $finding) => $finding->code, $built->findings);
        self::assertSame([Code::WallMayBear, Code::NoStud], $codes(self::hatch('600', '900', '100', '5', '12.7')));
        // It laps 12.7, and the cut shows up to 17.7 + 5 = 22.7.
        $bare = self::hatch('600', '900', '100', '5', '12.7', casing: false);
        self::assertSame([Code::WallMayBear, Code::LapShort, Code::NoStud], $codes($bare));
        self::assertStringContainsString('laps 12.7 mm; without a casing the cut shows up to 22.7 mm', $bare->findings[1]->sentence);
    }

    public function test_unless_chosen_it_stands_in_the_middle_of_its_wall_as_large_as_it_is_made(): void
    {
        $test = TestLayout::of([]);
        $ends = ['from' => null, 'to' => null, 'foot' => null, 'head' => null];
        $test->layout = ['surfaces' => [['id' => 's'] + Doc::holds('hatch', ['confirmed' => true]) + ['on' => ['wall' => 0] + $ends]]] + Doc::none();
        $plan = $test->plan();
        $surface = $plan->layout?->surfaces[0];
        self::assertSame('fits', $plan->verdict->state, json_encode(array_map(fn (Finding $finding) => $finding->sentence, $plan->findings)) ?: '');
        self::assertEqualsWithDelta([700.0, 1800.0], [$surface?->width->result->toDouble(), $surface?->height->result->toDouble()], 0.01);
        // Its leaf swings: what would stand before it is found.
        self::assertCount(1, $plan->onWall(0)->movements);
    }

    public function test_one_that_is_chosen_too_wide_is_refused(): void
    {
        $test = TestLayout::of([]);
        $on = array_map(TestLayout::mm(...), ['from' => 100, 'to' => 1000, 'foot' => 200, 'head' => 1200]);
        $test->layout = ['surfaces' => [['id' => 's'] + Doc::holds('hatch') + ['on' => ['wall' => 0] + $on]]] + Doc::none();
        $found = array_values(array_filter($test->plan()->findings, fn (Finding $finding) => $finding->severity->value === 'clash'));
        self::assertSame([Code::TooLarge], array_map(fn (Finding $finding) => $finding->code, $found));
        self::assertStringContainsString('900 mm wide; it is made no more than 700 mm', $found[0]->sentence);
    }
}
