<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Incastro\Measure\Unit;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\UsualMaterials;
use Incastro\Rules\Finding;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** What lies on a wall, also well before it, closes nothing in that must stay open or in reach. */
final class BehindSurfacesTest extends TestCase
{
    /** @param array<string, mixed> $with */
    private static function layout(string $kind, array $with = []): TestLayout
    {
        $materials = (new UsualMaterials(Unit::Millimetre))->document();

        return TestLayout::of([], width: 2400.0)->changing($materials)->with(['surfaces' => [['id' => 's'] + Doc::holds($kind, $with) + ['on' => ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]]], 'runs' => [], 'members' => []]);
    }

    /** @return list<string> codes of what is said of a thing */
    private static function said(TestLayout $layout, string $thing): array
    {
        return array_values(array_map(fn (Finding $one) => $one->code->value, array_filter($layout->clashes(), fn (Finding $one) => in_array($thing, $one->related, true))));
    }

    public function test_boards_on_battens_close_no_vent(): void
    {
        $vented = self::layout('cladding', ['battens' => true])->thing('vent', 'vent', 700, 300, 225, 150, 0, 'uncovered');
        self::assertSame(['vent-closed'], self::said($vented, 'vent'));
        // On a wall that it is not on, or where it may be covered, nothing is said.
        self::assertSame([], self::said(self::layout('cladding', ['battens' => true])->thing('vent', 'vent', 100, 300, 225, 150, 0, 'uncovered', ['wall' => 1]), 'vent'));
        $clash = array_values(array_filter($vented->clashes(), fn (Finding $one) => $one->code->value === 'vent-closed'))[0];
        self::assertSame('Vent would be behind C1: its air path would be closed.', $clash->sentence);
        self::assertSame([], self::said($vented->edited($clash->waysOut[0]->edit), 'vent'));
    }

    public function test_a_wall_framed_before_the_wall_buries_no_socket_and_closes_no_window(): void
    {
        $framed = self::layout('feature-wall', ['frame' => 'plates']);
        $socket = $framed->thing('socket', 'socket', 820, 300, 80, 80, 10, 'reachable', ['reach_from' => 'front']);
        self::assertSame(['socket-covered'], self::said($socket, 'socket'));
        $clash = array_values(array_filter($socket->clashes(), fn (Finding $one) => $one->code->value === 'socket-covered'))[0];
        $opened = $socket->edited($clash->waysOut[0]->edit);
        self::assertSame([], self::said($opened, 'socket'));
        // Its box is brought forward to the face of the boards, deeper than an extender is made: an electrician moves it.
        self::assertNotSame([], array_filter($opened->plan()->hardware(), fn ($one) => str_starts_with($one->name, 'box extender')));
        self::assertSame(['extender-deep'], array_values(array_map(fn (Finding $one) => $one->code->value, array_filter($opened->plan()->findings, fn (Finding $one) => in_array('socket', $one->related, true)))));
        self::assertSame(['escape-covered'], self::said($framed->thing('window', 'window', 800, 900, 700, 900, 0, 'uncovered'), 'window'));
        // Open round it, the same wall leaves it free.
        self::assertSame([], self::said(self::layout('feature-wall', ['frame' => 'plates', 'hole' => 'window'])->thing('window', 'window', 800, 900, 700, 900, 0, 'uncovered'), 'window'));
    }

    public function test_a_panel_that_lifts_off_may_hide_a_valve_and_closes_a_vent_all_the_same(): void
    {
        $panel = self::layout('lift-off', ['left' => TestLayout::mm(400)]);
        self::assertSame([], self::said($panel->thing('valve', 'valve', 1150, 800, 80, 80, 0, 'reachable', ['reach_from' => 'front']), 'valve'));
        self::assertSame(['vent-closed'], self::said($panel->thing('vent', 'vent', 1100, 700, 150, 150, 0, 'uncovered'), 'vent'));
    }
}
