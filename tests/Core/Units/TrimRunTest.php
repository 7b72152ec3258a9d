<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Works\Work;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Survey\Space\SpaceKind;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;
use Tests\Core\TestLayout;

final class TrimRunTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $with
     * @param  array<string, array<string, mixed>|null>  $on
     */
    private static function plan(array $with = [], float $wide = 1200.0, array $on = []): SpacePlan
    {
        return self::layout($with, $wide, $on)->plan();
    }

    /**
     * @param  array<string, mixed>  $with
     * @param  array<string, array<string, mixed>|null>  $on
     */
    private static function layout(array $with = [], float $wide = 1200.0, array $on = []): TestLayout
    {
        return TestLayout::of([], width: $wide)->with(['surfaces' => [['id' => 's'] + Doc::holds('trim-run', $with) + ['on' => $on + ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]]], 'runs' => [], 'members' => []]);
    }

    /** @return list<string> what is done to the ends of a piece */
    private static function words(SpacePlan $plan, int $piece = 0): array
    {
        return array_map(fn (Work $work) => $work->edge().': '.$work->words(LengthFormat::millimetres()), $plan->pieces()[$piece]->works);
    }

    public function test_a_skirting_runs_into_one_corner_and_is_coped_over_the_other(): void
    {
        $plan = self::plan();
        self::assertSame([], array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
        $strip = $plan->assemblies[0]->placed[0];
        // Its blank goes from wall to wall; coped, it ends at the face of the strip that runs through there.
        self::assertSame(1200.0, $strip->piece->length->result->toDouble());
        $t = $strip->piece->thickness->toDouble();
        self::assertEqualsWithDelta([0.0, 1200.0 - $t, 0.0, $t, 0.0], [$strip->bounds->u0, $strip->bounds->u1, $strip->bounds->v0, $strip->bounds->v1, $strip->bounds->z0], 1e-6);
        self::assertSame(['right end: bevelled 45.0°, longest at its back, then coped'], self::words($plan));
    }

    public function test_strips_of_every_wall_meet_in_the_corners_of_every_room(): void
    {
        foreach (SpaceKind::cases() as $kind) {
            foreach ([[], ['left' => 'mitred', 'right' => 'mitred'], ['form' => 'crown'], ['form' => 'crown', 'left' => 'mitred', 'right' => 'mitred']] as $with) {
                $room = new TestKind($kind, 31);
                $walls = $room->survey->room?->shape->walls() ?? [];
                $surfaces = array_map(fn (int $wall): array => ['id' => "s$wall"] + Doc::holds('trim-run', $with) + ['on' => ['wall' => $wall, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]], $walls);
                $clashes = array_filter($room->plan(['surfaces' => $surfaces] + Doc::none())->findings, fn (Finding $finding) => $finding->severity === Severity::Clash && $finding->code->value !== 'no-stock');
                self::assertSame([], array_values(array_map(fn (Finding $finding) => $finding->sentence, $clashes)), $kind->value.' '.json_encode($with));
            }
        }
    }

    public function test_an_end_that_is_returned_is_longer_on_its_face_and_ends_where_it_should(): void
    {
        $strip = self::plan(['right' => 'returned'], 1200.0, ['to' => TestLayout::mm(800)])->assemblies[0]->placed[0];
        $t = $strip->piece->thickness->toDouble();
        // The back ends a thickness before 800, the face at 800.
        self::assertSame([800.0, 0.0, 800.0], [$strip->piece->length->result->toDouble(), $strip->bounds->u0, $strip->bounds->u1]);
        self::assertSame([sprintf('along its back %.0f', 800 - $t), sprintf('to its long points %.0f', $t)], array_map(fn ($step) => $step->label.' '.round($step->value->toDouble()), array_slice($strip->piece->length->steps, 0, 2)));
    }

    public function test_a_crown_leans_between_wall_and_ceiling(): void
    {
        $plan = self::plan(['form' => 'crown', 'left' => 'mitred', 'right' => 'mitred']);
        $strip = $plan->assemblies[0]->placed[0];
        [$w, $t, $s] = [$strip->piece->width->result->toDouble(), $strip->piece->thickness->toDouble(), deg2rad(38)];
        // Its head touches the ceiling at 2400, its foot the wall at w · cos S below it; it comes out by w · sin S + t · cos S.
        self::assertEqualsWithDelta([2400.0, 0.0, $w * sin($s) + $t * cos($s)], [$strip->bounds->z1, $strip->bounds->v0, $strip->bounds->v1], 1e-6);
        // At 90° and 38°: mitre 31.6, bevel 33.9, at both ends.
        $words = implode(' ', self::words($plan));
        self::assertSame([2, 2], [substr_count($words, '31.6°'), substr_count($words, '33.9°')]);
        self::assertSame([], array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
    }

    public function test_a_rail_lies_where_it_is_wished_and_a_part_of_the_wall_below_it_holds_none(): void
    {
        $strip = self::plan(['form' => 'rail', 'height' => TestLayout::mm(1000)])->assemblies[0]->placed[0];
        self::assertSame(1000.0, ($strip->bounds->z0 + $strip->bounds->z1) / 2);
        self::assertStringStartsWith('The strip M1 lies beyond its part of the wall', self::layout(['form' => 'rail', 'height' => TestLayout::mm(1000)], 1200.0, ['head' => TestLayout::mm(900)])->clashes()[0]->sentence);
    }

    public function test_what_is_longer_than_a_board_is_scarfed(): void
    {
        $plan = self::plan([], 5200.0);
        $placed = $plan->assemblies[0]->placed;
        self::assertGreaterThan(1, count($placed));
        $t = $placed[0]->piece->thickness->toDouble();
        // The one below is longer at its back by a thickness; the one over it begins with its face where that ends.
        self::assertEqualsWithDelta($placed[0]->bounds->u1 - $t, $placed[1]->bounds->u0, 1e-6);
        self::assertSame([], array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash && $finding->code->value !== 'no-stock'));
    }

    public function test_parts_meet_over_a_stud_that_was_noted(): void
    {
        $at = fn (float $stud): array => self::layout([], 3000.0)->thing('stud', 'stud', $stud - 22, 0, 44, 2400, 0, 'uncovered')->plan()->assemblies[0]->placed;
        $parts = $at(1700.0);
        // 3000 is longer than a piece of 2400; in halves it would meet at 1500.
        self::assertCount(2, $parts);
        self::assertEqualsWithDelta(1700.0, $parts[1]->bounds->u0, 20.0);
        self::assertEqualsWithDelta(1500.0, $at(100.0)[1]->bounds->u0, 20.0);
        $said = fn (float $stud): array => array_filter(self::layout([], 3000.0)->thing('stud', 'stud', $stud - 22, 0, 44, 2400, 0, 'uncovered')->plan()->findings, fn (Finding $one) => $one->code->value === 'scarf-off-stud');
        self::assertSame([0, 1], [count($said(1700.0)), count($said(100.0))]);
    }

    #[DataProviderExternal(TestKind::class, 'all')]
    public function test_on_every_wall_of_every_room_it_meets_its_corners_and_stays_inside(SpaceKind $kind): void
    {
        $room = new TestKind($kind, 31);
        $shape = $room->survey->room?->shape;
        foreach ($shape === null ? [] : $shape->walls() as $wall) {
            foreach ([['form' => 'skirting'], ['form' => 'skirting', 'left' => 'mitred', 'right' => 'mitred'], ['form' => 'crown', 'left' => 'mitred', 'right' => 'mitred']] as $with) {
                $plan = $room->plan(['surfaces' => [['id' => 's'] + Doc::holds('trim-run', $with) + ['on' => ['wall' => $wall, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]]]] + Doc::none());
                $codes = array_map(fn (Finding $finding) => $finding->code->value, array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
                self::assertSame([], array_values(array_diff($codes, ['no-stock'])), "$kind->value, wall $wall, ".json_encode($with));
                self::assertNotSame([], $plan->pieces());
            }
        }
    }
}
