<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Fit\Box;
use Incastro\Fit\BoxTop;
use Incastro\Fit\Column;
use Incastro\Fit\Layout\Option;
use Incastro\Fit\Opening;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Severity;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Options\ReadyMade;
use Incastro\Units\Sites\BoxSite;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;
use Tests\Core\TestLayout;
use Tests\Core\TestTerms;

final class ReadyMadeTest extends TestCase
{
    /** @param array<string, mixed> $with */
    private static function two(array $with = [], float $wide = 400.0): TestLayout
    {
        $sizes = ['width' => TestLayout::mm(400.0), 'height' => TestLayout::mm(1500.0), 'depth' => TestLayout::mm(280.0)];
        $layout = TestLayout::of(array_map(fn (string $bay) => TestLayout::bay($bay, ['size' => TestLayout::mm($wide)], [
            Doc::tier("$bay-1", ['size' => TestLayout::mm(1500.0), 'depth' => TestLayout::mm(280.0), 'holds' => Doc::holds('shelves')]),
            Doc::tier("$bay-2", ['joined' => false, 'holds' => Doc::holds('gap')]),
        ]), ['a', 'b']), ['depth' => TestLayout::mm(280.0)]);
        $layout->layout['options'] = array_map(fn (string $bay) => array_replace(Doc::member("bought-$bay", 'ready-made', ["$bay-1"]), ['with' => $with + $sizes]), ['a', 'b']);

        return $layout;
    }

    /** @return list<Finding> */
    private static function sizes(SpacePlan $plan): array
    {
        return array_values(array_filter($plan->findings, fn (Finding $finding) => in_array($finding->code, [Code::ReadyMadeWidth, Code::ReadyMadeDepth, Code::ReadyMadeHeight], true)));
    }

    public function test_two_bookcases_stand_joined_trimmed_and_filled_in(): void
    {
        $plan = self::two(['bow' => TestLayout::mm(4.0)])->plan();
        self::assertSame([], array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
        $names = array_map(fn ($piece) => $piece->name, $plan->pieces());
        self::assertSame([], array_intersect(['Side', 'Bottom', 'Top', 'Back', 'Nailer', 'Stile'], $names));
        // 2 · 16 − 2 · 1 = 30 over the seam, as high as they are; they stand against each other.
        $seam = array_values(array_filter($plan->pieces(), fn ($piece) => $piece->name === 'Seam trim'))[0];
        self::assertSame([1500.0, 30.0], [$seam->length->result->toDouble(), $seam->width->result->toDouble()]);
        self::assertCount(2, array_filter($plan->assemblies[0]->fixtures, fn ($fixture) => $fixture->name === 'Cabinet'));
        self::assertContains('connecting screw', array_map(fn (Hardware $one) => $one->name, $plan->hardware()));
        // A bought edge is not cut to the wall: fillers stand beside both.
        self::assertContains('Filler', $names);
        // Near its sides 12 and what the wall is off; in its middle third 4 less.
        $packing = array_filter($plan->decisions(), fn (string $name) => str_starts_with($name, 'Packing behind B1'), ARRAY_FILTER_USE_KEY);
        self::assertSame(['Packing behind B1 near its sides', 'Packing behind B1 in its middle third'], array_keys($packing));
        self::assertGreaterThanOrEqual(12.0, $packing['Packing behind B1 near its sides']->result->toDouble());
    }

    public function test_a_place_of_another_size_is_said_and_made_right(): void
    {
        $layout = self::two(wide: 390.0);
        $found = self::sizes($layout->plan());
        self::assertSame('The cabinet is 400 mm wide, and its place 390 mm.', $found[0]->sentence);
        self::assertSame(Severity::Clash, $found[0]->severity);
        self::assertCount(1, self::sizes($layout->edited($found[0]->waysOut[0]->edit)->plan()));
        self::assertSame(Severity::Warning, self::sizes(self::two(wide: 410.0)->plan())[0]->severity);
    }

    /** A cabinet under a rake, by its width and the heights of the rake at both sides. */
    private static function raked(string $wide, string $low, string $high, ReadyMade $cabinet, Unit $unit = Unit::Millimetre): Assembly
    {
        $read = fn (string $typed): Length => (new LengthReader($unit))->read($typed);
        $size = fn (string $typed): Working => Working::start('chosen', $read($typed));
        $room = TestAlcove::leaning()->survey()->room ?? throw new \LogicException('The test alcove has a room.');
        $opening = new Opening('tier', $size($low), 16.0, new Shelves(0, 0), null, [new Option('bought', $cabinet)]);
        $box = new Box('tier', 'B1', 0.0, 0.0, 0.0, $size($wide), $size($high), $size('280'), BoxTop::raked($read($low)->toDouble(), $read($high)->toDouble()), [new Column('bay', $size($wide), 16.0, [$opening])]);
        $run = self::two()->plan()->layout?->runs[0] ?? throw new \LogicException('The layout has a run.');

        return $cabinet->stand(new BoxSite($run, $box, new Terms($room, new HouseRules($unit), TestTerms::materials(), LengthFormat::millimetres()), 'bought'));
    }

    private static function cabinet(bool $cut): ReadyMade
    {
        $mm = Length::ofMillimetres(...);

        return new ReadyMade($mm(800), $mm(2020), $mm(280), $mm(16), $mm(12), $mm(0), true, $cut, true, $mm(3));
    }

    public function test_cut_down_to_a_slope_by_hand(): void
    {
        // 1500 at its low side, 0.75 up: the cut meets the top of 2020 at (2020 − 1500)/0.75 = 693.33.
        $built = self::raked('800', '1500', '2100', self::cabinet(true));
        // (693.33 − 16)/0.8 = 846.7, down to 846, by 280 − 12.
        self::assertSame([846.0, 268.0], [$built->placed[0]->piece->length->result->toDouble(), $built->placed[0]->piece->width->result->toDouble()]);
        // Its low side to the long point: 1500 + 16 · 0.75; hollow boards of 16 with skins of 3 take blocks of 10.
        self::assertEqualsWithDelta(1512.0, $built->decisions['Low side of B1, cut to its long point']->result->toDouble(), 1e-6);
        self::assertSame(10.0, $built->decisions['Infill in the cut edges of B1, thick']->result->toDouble());
    }

    public function test_under_a_slope_it_is_cut_or_refused(): void
    {
        $found = array_values(array_filter(self::raked('800', '1500', '2100', self::cabinet(false))->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
        self::assertSame('The slope leaves 1500 mm at its low side; the cabinet is 2020 mm high.', $found[0]->sentence);
        self::assertSame(['cut' => true], $found[0]->waysOut[0]->edit->value);
    }
}
