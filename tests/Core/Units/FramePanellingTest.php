<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Pieces\Piece;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Rules\HouseRules;
use Incastro\Units\Kinds;
use Incastro\Units\Surfaces\FramePanelling;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class FramePanellingTest extends TestCase
{
    /** @param array<string, mixed> $with */
    private static function unit(array $with = [], Unit $unit = Unit::Millimetre): FramePanelling
    {
        $made = Kinds::standard()->find('frame-panelling')?->make($with, new HouseRules($unit));
        self::assertInstanceOf(FramePanelling::class, $made);

        return $made;
    }

    /** @param array<string, mixed> $with */
    private static function layout(array $with = [], float $wide = 2387.0): TestLayout
    {
        return TestLayout::of([], width: $wide)->with(['surfaces' => [['id' => 's'] + Doc::holds('frame-panelling', $with) + ['on' => ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]]], 'runs' => [], 'members' => []]);
    }

    public function test_five_panels_with_mouldings_and_a_cap(): void
    {
        // (2387 − 90)/(400 + 90) = 4.7: five. (2387 − 6 · 90)/5 = 369.4, 369; (2387 − 5 · 369 − 4 · 90)/2 = 91, and 8 to scribe.
        $layout = self::layout(['moulded' => true, 'capped' => true]);
        self::assertSame([], $layout->clashes());
        $sizes = [];
        foreach ($layout->plan()->pieces() as $piece) {
            $sizes[$piece->name][sprintf('%s × %s', $piece->length->result->toDouble(), $piece->width->result->toDouble())] = ($sizes[$piece->name][sprintf('%s × %s', $piece->length->result->toDouble(), $piece->width->result->toDouble())] ?? 0) + 1;
        }
        self::assertSame(['2387 × 90' => 1], $sizes['Top rail']);
        self::assertSame(['2387 × 140' => 1], $sizes['Bottom rail']);
        // 1100 − 90 − 140 = 870.
        self::assertSame(['870 × 99' => 2], $sizes['End stile']);
        self::assertSame(['870 × 90' => 4], $sizes['Stile']);
        // 369 − 2 · 25 = 319, 870 − 50 = 820.
        self::assertSame([10, 10], [array_sum($sizes['Panel moulding, level']), array_sum($sizes['Panel moulding, upright'])]);
        self::assertStringStartsWith('319 × ', (string) array_key_first($sizes['Panel moulding, level']));
        self::assertStringStartsWith('820 × ', (string) array_key_first($sizes['Panel moulding, upright']));
        self::assertStringStartsWith('2387 × ', (string) array_key_first($sizes['Cap']));
    }

    public function test_in_inches_with_caulked_ends(): void
    {
        $read = fn (string $typed): Length => (new LengthReader(Unit::Inch))->read($typed);
        // (94 3/8 − 3 1/2)/(16 + 3 1/2) = 4.66: five. (94 3/8 − 6 · 3 1/2)/5 = 14.675, 14 5/8; (94 3/8 − 5 · 14 5/8 − 4 · 3 1/2)/2 = 3 5/8.
        [$panel, $end] = self::unit([], Unit::Inch)->divided(Working::start('wall', $read('94 3/8')), LengthFormat::inches());
        self::assertSame([$read('14 5/8')->nanometres(), $read('3 5/8')->nanometres()], [$panel->result->nanometres(), $end->result->nanometres()]);
    }

    public function test_panels_stiles_and_ends_always_fill_the_wall(): void
    {
        for ($wide = 500; $wide < 6000; $wide += 37) {
            foreach ([0, 1, 3, 8] as $panels) {
                $unit = self::unit(['panels' => $panels]);
                $wall = Working::start('wall', Length::ofMillimetres($wide));
                $n = $unit->count($wall->result);
                [$panel, $end] = $unit->divided($wall, LengthFormat::millimetres());
                self::assertEqualsWithDelta($wide, $n * $panel->result->toDouble() + ($n - 1) * 90 + 2 * $end->result->toDouble(), 1e-6);
                // Rounding down leaves less than a step for each panel, which the ends share.
                self::assertGreaterThanOrEqual(90.0, $end->result->toDouble());
                self::assertLessThan(90.0 + $n / 2, $end->result->toDouble());
            }
        }
    }

    public function test_rows_share_the_height_and_rails_lie_between_the_stiles(): void
    {
        // (870 − 2 · 90)/3 = 230 for each of three rows; two rails in each of five panels.
        $plan = self::layout(['rows' => 3])->plan();
        $middle = array_values(array_filter($plan->assemblies[0]->placed, fn ($placed) => $placed->piece->name === 'Middle rail'));
        self::assertCount(10, $middle);
        self::assertSame([369.0, 140.0 + 230.0], [$middle[0]->piece->length->result->toDouble(), $middle[0]->bounds->z0]);
    }

    public function test_rails_longer_than_a_board_are_joined_over_a_stile(): void
    {
        $plan = self::layout([], 5000.0)->plan();
        $rails = array_values(array_filter($plan->assemblies[0]->placed, fn ($placed) => $placed->piece->name === 'Top rail'));
        self::assertGreaterThan(1, count($rails));
        self::assertEqualsWithDelta(5000.0, array_sum(array_map(fn ($placed) => $placed->piece->length->result->toDouble(), $rails)), 2.0);
        $stiles = array_map(fn ($placed) => ($placed->bounds->u0 + $placed->bounds->u1) / 2, array_filter($plan->assemblies[0]->placed, fn ($placed) => $placed->piece->name === 'Stile'));
        self::assertLessThan(1.0, min(array_map(fn (float $middle) => abs($middle - $rails[0]->bounds->u1), $stiles)));
    }

    public function test_a_stile_on_a_socket_clashes_and_another_number_of_panels_solves_it(): void
    {
        // The first stile stands from 91 + 369 = 460 to 550.
        $layout = self::layout()->thing('socket', 'socket', 480.0, 400.0, 80.0, 80.0, 8.0, 'reachable');
        $clash = array_values(array_filter($layout->clashes(), fn ($finding) => $finding->code->value === 'stile-on-socket'))[0];
        self::assertSame('Stile 1 of N1 comes 90 mm too near Socket.', $clash->sentence);
        self::assertNotSame([], $clash->waysOut);
        self::assertSame([], array_filter($layout->edited($clash->waysOut[0]->edit)->clashes(), fn ($finding) => $finding->code->value === 'stile-on-socket'));
    }

    public function test_panels_that_are_too_narrow_are_said(): void
    {
        $plan = self::layout(['panels' => 10])->plan();
        // (2387 − 11 · 90)/10 = 139.7.
        self::assertContains('The panels of N1 are 139 mm wide: from 150 mm to 900 mm looks right.', array_map(fn ($finding) => $finding->sentence, $plan->findings));
        self::assertSame(139.0, $plan->decisions()['Panels, N1']->result->toDouble());
        self::assertNotEmpty(array_filter($plan->pieces(), fn (Piece $piece) => $piece->name === 'Stile'));
    }
}
