<?php

declare(strict_types=1);

namespace Tests\Core\Install;

use Incastro\Check\Approach;
use Incastro\Geometry\Block;
use Incastro\Install\Anchors;
use Incastro\Install\Checked;
use Incastro\Install\Checks\Diagonals;
use Incastro\Install\Checks\GapUnderLevel;
use Incastro\Install\Checks\Plumb;
use Incastro\Install\Checks\Within;
use Incastro\Install\FloorLevels;
use Incastro\Install\WallStuds;
use Incastro\Install\Weight;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Measure\WorkingStep;
use Incastro\Rules\HouseRules;
use Incastro\Strength\Loads;
use Incastro\Strength\Studs;
use Incastro\Strength\Upsetting;
use Incastro\Survey\Room\WallKind;
use Incastro\Units\Make\ShimPack;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestTerms;

/** Worked examples of what is read on fitting day, of where screws go, and of who carries. */
final class FittingChecksTest extends TestCase
{
    private const INCH = 25.4;

    public function test_the_difference_of_diagonals_says_how_far_the_top_stands_to_a_side(): void
    {
        $mm = LengthFormat::millimetres('0.5');
        $box = new Diagonals(599.2, 2000.0, null, $mm);
        // d1 2090, d2 2086: (2090² − 2086²)/(4·599.2) = 16704/2396.8 = 6.97; both read 2088 when the longer is 2 less.
        self::assertEqualsWithDelta(6.97, $box->skew(4.0), 0.01);
        self::assertSame('Its top stands 7 mm too far right. Push along the longer diagonal, foot left to top right, until that reads 2 mm less: both are the same then. The back or a brace holds it there.', $box->remedy(4.0));
        self::assertStringContainsString('too far left. Push along the longer diagonal, foot right to top left', $box->remedy(-4.0));
        // What 2 mm mean: 2·2087.8/(2·599.2) = 3.48 on a tall box, 2·1389.2/(2·1200) = 1.16 on a low one.
        self::assertEqualsWithDelta(3.48, $box->skew(2.0), 0.01);
        self::assertEqualsWithDelta(1.16, (new Diagonals(1200.0, 700.0, null, $mm))->skew(2.0), 0.01);
        // Inches: 23 5/8 wide, 82 5/16 and 82 3/16: the top is 7/32 off, and the longer reads 1/16 less when it is square.
        $inch = new Diagonals(23.625 * self::INCH, sqrt(82.25 ** 2 - 23.625 ** 2) * self::INCH, null, LengthFormat::inches(16));
        self::assertEqualsWithDelta(7 / 32, $inch->skew(self::INCH / 8) / self::INCH, 0.002);
        self::assertStringContainsString('7/32 in too far right', $inch->remedy(self::INCH / 8));
        self::assertStringContainsString('reads 1/16 in less', $inch->remedy(self::INCH / 8));
    }

    public function test_a_front_that_is_set_in_asks_for_a_squarer_box(): void
    {
        // Half a reveal of 2.5 is 1.25 of lean: a difference of 2.5·600/2088 = 0.72.
        self::assertEqualsWithDelta(2.5 * 600 / hypot(600, 2000), (new Diagonals(600.0, 2000.0, 2.5, LengthFormat::millimetres()))->limit(), 1e-9);
        self::assertSame(2.0, (new Diagonals(600.0, 400.0, 2.5, LengthFormat::millimetres()))->limit());
    }

    public function test_a_floor_that_is_read_at_bearers_is_a_plane_and_tells_what_lies_under_each(): void
    {
        $read = array_map(fn (array $one): array => array_combine(['u', 'v', 'z'], $one), [[0.0, 0.0, -4.0], [0.0, 350.0, -6.5], [580.0, 0.0, -1.5], [580.0, 350.0, -4.0], [1160.0, 0.0, 0.5], [1160.0, 350.0, -2.0]]);
        $floor = FloorLevels::of($read);
        self::assertNotNull($floor);
        [$a, $b, $c] = $floor->coefficients();
        self::assertEqualsWithDelta([-3.917, 0.00388, -0.00714], [$a, $b, $c], 0.0005);
        self::assertLessThanOrEqual(0.17, max(array_map(fn (int $i): float => abs($floor->residual((string) $i)), range(0, 5))));
        self::assertSame([], $floor->doubtful());
        // A plinth of 1158.4 × 315 stands highest at (1158.4, 0): −3.917 + 0.00388·1158.4 = 0.58.
        $highest = $floor->planeAt(1158.4, 0.0);
        self::assertEqualsWithDelta(0.58, $highest, 0.01);
        $rules = new HouseRules(Unit::Millimetre);
        $packs = [];
        foreach ([[9.1, [4.46, 6.71]], [599.2, [2.17, 4.42]], [1149.4, [0.03, 2.28]]] as [$u, $gaps]) {
            foreach ([0.0, 315.0] as $k => $v) {
                $gap = $highest - $floor->planeAt($u, $v);
                self::assertEqualsWithDelta($gaps[$k], $gap, 0.01);
                $packs[] = implode(' + ', array_map(fn (WorkingStep $step): string => $step->label === 'shim' ? (string) round($step->value->toDouble()) : 'taper', ShimPack::under($gap, $rules)->steps ?? []));
            }
        }
        // The greatest stack of 5, 3, 2 and 1 that goes in; a rest over 0.2 gets a tapered pair: 4.46 = 3 + 1 + 0.46; 6.71 = 5 + 1 + 0.71; 2.17 = 2; 4.42; nothing; 2.28 = 2 + 0.28.
        self::assertSame(['3 + 1 + taper', '5 + 1 + taper', '2', '3 + 1 + taper', '', '2 + taper'], $packs);
        // One that is misread by a centimetre is told: σ is 1, and its residual several times its own.
        $read[3]['z'] = -14.0;
        self::assertContains('3', FloorLevels::of($read)?->doubtful() ?? []);
        self::assertNull(FloorLevels::of(array_slice($read, 0, 2)), 'Two places lie on one line.');
        // Where it was read the floor is as it was read; elsewhere as the plane has it.
        self::assertSame([-14.0, $floor->planeAt(300.0, 100.0)], [FloorLevels::of($read)?->at(580.0, 350.0), $floor->at(300.0, 100.0)]);
    }

    public function test_a_gap_under_a_level_says_what_to_raise(): void
    {
        $mm = LengthFormat::millimetres('0.1');
        // 1.5 on 600, supports 564 apart: 1.5·564/600 = 1.41.
        $level = new GapUnderLevel('level', 'Level', ['left end', 'right end'], 600.0, 564.0, $mm);
        self::assertSame('Raise the right end by 1.4 mm.', $level->remedy(1.5));
        self::assertSame('Raise the left end by 1.4 mm.', $level->remedy(-1.5));
        self::assertSame(0.5, $level->limit());
        // The top leans 4 on 1200 and is 2000 high: 4·2000/1200 = 6.67 behind it; to its side 4·600/1200 = 2 under it.
        $plumb = fn (bool $isToFront): Plumb => new Plumb($isToFront, 600.0, 2000.0, 400.0, 1200.0, $mm);
        self::assertStringEndsWith('Then pack 6.7 mm behind it at the top.', $plumb(true)->remedy(-4.0));
        self::assertStringEndsWith('Then shim 1.3 mm under its front edge.', $plumb(true)->remedy(4.0));
        self::assertStringEndsWith('Then shim 2 mm under its left side.', $plumb(false)->remedy(-4.0));
        self::assertSame(1.0, $plumb(false)->limit());
    }

    public function test_every_reading_is_told_beforehand_in_steps(): void
    {
        $format = LengthFormat::millimetres();
        $table = (new Checked(Within::twist($format), $format))->table();
        // From −20 to 20 in halves of a millimetre.
        self::assertCount(81, $table);
        self::assertSame([-20.0, 'out'], [$table[0]['mm'], $table[0]['is']]);
        self::assertSame(['mm' => 1.0, 'is' => 'within', 'says' => 'Within 1 mm.'], $table[42]);
        self::assertSame(['mm' => 1.5, 'is' => 'out', 'says' => 'Pack one corner by 3 mm.'], $table[43]);
        $inch = LengthFormat::inches(16);
        $inches = (new Checked(Within::flush($inch), $inch))->table();
        self::assertCount(97, $inches);
        self::assertEqualsWithDelta(0.75 * self::INCH, $inches[96]['mm'], 1e-9);
        // 209 is far from 2088: within 3 % it is believed.
        [$least, $most] = (new Checked(new Diagonals(599.2, 2000.0, null, $format), $format))->believed() ?? [0.0, 0.0];
        self::assertEqualsWithDelta([2025.2, 2150.4], [$least, $most], 0.1);
    }

    public function test_a_nailer_is_screwed_to_the_studs_between_its_ends(): void
    {
        $studs = [212.0, 615.0, 1018.0, 1830.0, 2236.0];
        // B1 from 3.8 to 603.0, boards of 18.1: its nailer from 21.9 to 584.9, screws from 41.9 to 564.9; 615 lies behind the joint.
        self::assertSame([212.0], Anchors::between(21.9, 584.9, $studs, 20.0));
        // B2 from 603.0 to 1162.2: from 641.1 to 1124.1.
        self::assertSame([1018.0], Anchors::between(621.1, 1144.1, $studs, 20.0));
        self::assertSame([584.9 - 20.0], Anchors::between(21.9, 584.9, [564.9], 20.0));
    }

    public function test_a_screw_holds_in_its_stud_by_25_to_32(): void
    {
        $screw = fn (float $through, float $packing, WallKind $wall = WallKind::Timber): array => Anchors::length($through, $packing, 12.5, $wall, TestTerms::materials(), LengthFormat::millimetres());
        // 18.1 nailer + 6.2 back + 4 packing + 12.5 board = 40.8: 65.8 to 72.8.
        self::assertSame([70.0, '70 mm long: 24.5 mm nailer and back + 4 mm packing + 12.5 mm wallboard + 29 mm in the stud.'], $screw(24.3, 4.0));
        // 24.3 + 12.5 = 36.8: 61.8 to 68.8, and 60 and 70 are sold: 60 with its head let in by 1.8 comes before 70 with 1.2 of packing only where that is less.
        self::assertSame(70.0, $screw(24.3, 0.0)[0]);
        self::assertStringContainsString('a washer or thicker packing of 1', $screw(24.3, 0.0)[1]);
        // Inches: 23/32 + 1/4 + 1/2 = 1 15/32: 2 15/32 to 2 23/32; 2 1/2 holds by 1 1/32.
        [$length, $words] = Anchors::length((23 / 32 + 1 / 4) * self::INCH, 0.0, self::INCH / 2, WallKind::Timber, TestTerms::materials(), LengthFormat::inches(32));
        self::assertEqualsWithDelta(2.5 * self::INCH, $length, 1e-9);
        self::assertStringContainsString('1 1/32 in in the stud', $words);
        // Masonry: 50 to 60 past 40.8: 90.8 to 100.8; a metal stud takes what is rated for it.
        self::assertSame(100.0, $screw(24.3, 4.0, WallKind::Masonry)[0] ?? 0.0);
        self::assertNull($screw(24.3, 4.0, WallKind::Metal)[0]);
    }

    public function test_what_hangs_pulls_at_its_head_by_its_depth_over_its_height(): void
    {
        // 18 + 30·0.9·2 = 72 kg: 706 N; pulled by 706·150/620 = 171 N.
        $force = Loads::newtons(72.0);
        self::assertEqualsWithDelta(706.0, $force, 1.0);
        self::assertEqualsWithDelta(171.0, $force * 150 / 620, 0.5);
        // Two studs with two screws at the head and one at the foot: 706/(6·700) + 171/(4·500) = 0.168 + 0.085.
        self::assertEqualsWithDelta(0.254, Studs::hung($force, $force * 150 / 620, 4, 6, 6), 0.001);
        // 292 kg: 2864/(6·700) + 694/(4·500) = 0.682 + 0.347 is more than they carry.
        $heavy = Loads::newtons(40 + 35 * 2.4 * 3);
        self::assertGreaterThan(1.0, Studs::hung($heavy, $heavy * 150 / 620, 4, 6, 6));
    }

    public function test_a_tall_box_is_held_against_an_open_drawer_with_somebody_on_it(): void
    {
        // (1.5·(20·200 + 27·400) − 30·200)·9.81/2000 = (22200 − 6000)·0.0049 = 79 N: two screws all the same.
        self::assertEqualsWithDelta(79.5, Upsetting::force(30.0, 200.0, 20.0, 200.0, 400.0, 2000.0), 0.5);
        self::assertSame(2, Upsetting::screws(79.5));
        self::assertSame(3, Upsetting::screws(2.5 * Upsetting::A_SCREW));
        self::assertSame(0.0, Upsetting::force(200.0, 300.0, 1.0, 100.0, 200.0, 2000.0));
    }

    public function test_two_carry_what_is_heavy_long_or_high(): void
    {
        // Sides 17.48, boards 4.92, nailers 1.25, back 5.03: 28.68, with 5 % hardware 30.1 kg; with shelves 35.3.
        $box = Weight::weighing(17.48 + 4.92 + 1.25 + 5.03, 1900.0, 0.0);
        self::assertEqualsWithDelta(30.1, $box->kilograms, 0.05);
        self::assertSame(2, $box->people());
        self::assertSame('30 kg: two people.', $box->words());
        self::assertSame([1, 2, 2, 3], array_map(fn (Weight $one) => $one->people(), [Weight::weighing(20.0, 1900.0, 0.0), Weight::weighing(16.0, 2100.0, 0.0), Weight::weighing(12.0, 900.0, 1500.0), Weight::weighing(50.0, 900.0, 0.0)]));
    }

    public function test_what_comes_in_beside_its_place_sweeps_that_too(): void
    {
        // C1 stands at 0–600, comes in at 700–1300 under a return and slides left; B1 at 600–1200 is met by that.
        $legs = Approach::legs(new Block(0.0, 600.0, 0.0, 400.0, 70.0, 2000.0), 700.0, 800.0);
        self::assertEqualsWithDelta([0.0, 1300.0], [min(array_column($legs, 'u0')), max(array_column($legs, 'u1'))], 1e-9);
        $b1 = new Block(600.0, 1200.0, 0.0, 400.0, 70.0, 2000.0);
        self::assertNotSame([], array_filter($legs, fn (Block $leg) => $leg->depth($b1) > 1.0));
        // Straight back it sweeps only what lies before its place.
        self::assertSame([], array_filter(Approach::legs($b1, 0.0, 800.0), fn (Block $leg) => $leg->depth(new Block(0.0, 600.0, 0.0, 400.0, 70.0, 2000.0)) > 0.0));
    }

    public function test_a_probe_in_vain_takes_an_expected_stud_away(): void
    {
        $studs = WallStuds::of([212.0, 615.0, 1018.0, 1830.0, 2236.0], [], 2700.0);
        self::assertSame([406.4], $studs->pitches);
        self::assertEqualsWithDelta([1426.0, 2643.0], array_column($studs->expected, 'u'), 3.0);
        self::assertEqualsWithDelta([2643.0], array_column(WallStuds::of([212.0, 615.0, 1018.0, 1830.0, 2236.0], [1424.0], 2700.0)->expected, 'u'), 3.0);
    }
}
