<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Incastro\Fit\Closing\Side;
use Incastro\Planning\Planner;
use Incastro\Planning\SpacePlan;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;

final class RunFitterTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $layout
     * @param  array<string, mixed>  $changes
     */
    private function planned(TestAlcove $alcove, array $layout = [], array $changes = []): SpacePlan
    {
        return (new Planner())->plan($alcove->job(layout: $layout, changes: $changes))->spaces[0];
    }

    public function test_a_deep_box_is_no_taller_than_can_be_tilted_up(): void
    {
        // Stood up in the alcove itself: no ceiling in front is known. Deepest box 600 − 10 − 1.645 · σ; the rigid box is
        // that less the 18 of the face frame: 569 − …, and √((2400 − 6 − 2.24)² − side²) is less than upright allows.
        $alcove = new TestAlcove(fn () => 0.0, fn () => 1200.0, inFront: null);
        $run = $this->planned($alcove)->layout?->runs[0];
        self::assertNotNull($run);
        $side = $run->boxes[0]->outerDepth()->toDouble() - 18.0;
        $tilted = sqrt((2400.0 - 6.0 - 1.645 * 1.36320) ** 2 - $side ** 2);
        $upright = 2400.0 - 70.0 - 6.0 - 1.645 * 1.36320;
        self::assertSame(floor(min($tilted, $upright)), $run->boxes[0]->outerHeight()->toDouble());
        self::assertGreaterThan(550.0, $side);
    }

    public function test_a_low_ceiling_in_front_binds_and_the_working_says_so(): void
    {
        // 2350 in front, σ √(1 + 0.705²) = 1.2235, U 2.013: it slides in from there, 2350 − 70 − 6 − 2.013 = 2271.99; a box of
        // 560 − 18 = 542 is stood up there, √((2350 − 6 − 2.013)² − 542²) = 2278.4.
        $run = $this->planned(new TestAlcove(fn () => 0.0, fn () => 1200.0, inFront: 2350.0))->layout?->runs[0];
        self::assertNotNull($run);
        self::assertSame(2271.0, $run->boxes[0]->outerHeight()->toDouble());
        // 600 deep it is stood up no higher than √((2350 − 6 − 2.013)² − 582²) = 2268.5.
        $deep = $this->planned(new TestAlcove(fn () => 0.0, fn () => 1200.0, 700.0, inFront: 2350.0), ['depth' => '600'])->layout?->runs[0];
        self::assertNotNull($deep);
        self::assertSame(2268.0, $deep->boxes[0]->outerHeight()->toDouble());
        self::assertStringContainsString('tilted up in front', $deep->boxes[0]->height->steps[4]->label);
    }

    public function test_a_ceiling_that_falls_to_the_front_and_a_floor_that_stands_up_are_read(): void
    {
        $high = fn (TestAlcove $alcove): float => $this->planned($alcove, ['depth' => '400'])->layout?->runs[0]->boxes[0]->outerHeight()->toDouble() ?? 0.0;
        $alcove = new TestAlcove(fn () => 0.0, fn () => 1200.0);
        // Half way in, at 300, both heights say 2400; at the front line, at 600, 2385: over the way from there to its place it is lower by 15.
        $falling = $alcove->with('height-mouth')->reading('height-mouth', 2385.0);
        self::assertEqualsWithDelta($high($alcove) - 15.0, $high($falling), 1.0);
        // The floor stands up by 6 over its highest corner: all that is levelled on it is that much higher.
        $domed = $alcove->with('floor-rise')->reading('floor-rise', 6.0);
        self::assertEqualsWithDelta($high($alcove) - 6.0, $high($domed), 1e-6);
    }

    public function test_a_falling_floor_raises_the_plinth_from_its_highest_point(): void
    {
        // The right end is 8 lower: the ceiling, level, is 2400 above the left; the gap at the foot grows from 0 to 8.
        $run = $this->planned(new TestAlcove(fn () => 0.0, fn () => 1200.0, fall: 8.0), ['depth' => '400'])->layout?->runs[0];
        self::assertNotNull($run);
        $foot = $run->edge(Side::Foot, 'box/plinth');
        self::assertEqualsWithDelta(8.0 * ($run->boxes[0]->u + $run->boxes[0]->outerWidth()->toDouble()) / 1200.0, $foot->gap->most, 0.01);
        self::assertNotNull($foot->scribe);
        self::assertSame(2321.0, $run->boxes[0]->outerHeight()->toDouble());
    }

    public function test_skirting_that_stays_narrows_the_way_and_notches_the_stile(): void
    {
        $alcove = new TestAlcove(fn () => 0.0, fn () => 1200.0, skirting: 120.0);
        $gone = $this->planned($alcove, ['depth' => '400']);
        $stays = $this->planned($alcove, ['depth' => '400'], ['skirting_stays' => true]);
        // 15 on each side, below 120: the box starts 70 up and must pass.
        self::assertEqualsWithDelta(30.0, $gone->layout?->runs[0]->span->width - $stays->layout?->runs[0]->span->width, 1e-3);
        $gap = $stays->layout?->runs[0]->edge(Side::Left, 'box')->gap;
        self::assertNotNull($gap);
        // The notch is 15 + 3 deep and ends 120 + 3 − 70 up the stile.
        self::assertEqualsWithDelta(18.0, $gap->most - $gap->least, 1e-3);
        $low = array_filter($gap->stations, fn ($station) => $station->x < 53.0);
        self::assertEqualsWithDelta($gap->least, max(array_map(fn ($station) => $station->y, $low)), 1e-3);
    }

    public function test_a_size_that_does_not_go_is_a_clash_with_a_checked_way_out(): void
    {
        $space = $this->planned(TestAlcove::leaning(), ['width' => '1200', 'depth' => '400']);
        $clash = array_values(array_filter($space->findings, fn ($finding) => $finding->code->value === 'run-overfull'))[0] ?? null;
        self::assertNotNull($clash);
        self::assertStringContainsString('1200 mm, and 1185 mm is the most', $clash->sentence);
        self::assertSame('layout.bays.box-bay.size', $clash->waysOut[0]->edit->path);
        self::assertStringStartsWith('Does not fit', $space->verdict->sentence);
    }

    public function test_a_space_too_small_for_a_box_says_so(): void
    {
        // 80 − 6 − doubt leaves less than two boards and a hand between them.
        $space = $this->planned(new TestAlcove(fn () => 0.0, fn () => 80.0));
        self::assertSame([], $space->layout?->runs[0]->boxes);
        self::assertStringContainsString('has no room between its boards, which are 18 mm thick', $space->verdict->sentence);
    }

    public function test_gaps_and_box_make_up_the_whole_width(): void
    {
        // At every station left gap + box + right gap is the width of the alcove there.
        $run = $this->planned(TestAlcove::leaning(), ['depth' => '400'])->layout?->runs[0];
        self::assertNotNull($run);
        foreach ($run->edge(Side::Left, 'box')->gap->stations as $i => $station) {
            $z = $station->x + 70.0;
            $width = 1203.0 + 10.5 * (1 - abs($z - 1200.0) / 1200.0) - 7.0 * $z / 2400.0;
            self::assertEqualsWithDelta($width, $station->y + 1185.0 + $run->edge(Side::Right, 'box')->gap->stations[$i]->y, 1e-3);
        }
    }
}
