<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Geometry\Point;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Bevelled;
use Incastro\Pieces\Works\Sawn;
use Incastro\Planning\JobChoices;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\Recipes\StartingLayouts;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Units\Placed;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;
use Tests\Core\TestLayout;

/** Benches 1790 long and 609 deep, boards of 17.8, of which one has lids, under a back of 450 that leans 12°. */
final class LeaningBackTest extends TestCase
{
    private static function bench(string $kind, array $with, float $deep = 609.0): TestLayout
    {
        $materials = array_map(fn (array $material) => in_array($material['id'], ['carcass', 'frame'], true) ? ['thickness' => TestLayout::mm(17.8)] + $material : $material, JobChoices::defaults('Test', 'mm/1')['materials']);
        $bay = fn (string $id) => TestLayout::bay($id, [], [Doc::tier("$id-1", ['size' => TestLayout::mm(312), 'holds' => Recipe::box(0, 0)]), Doc::tier("$id-2", ['joined' => false, 'holds' => Recipe::gap()])]);
        $layout = TestLayout::of([$bay('a'), $bay('b')], ['depth' => TestLayout::mm($deep)], 1801.0, 800.0)->changing(['materials' => $materials]);
        $layout->layout['members'][] = array_replace(Doc::member('seat', $kind, ['a-1', 'b-1']), ['with' => array_map(fn (mixed $value) => is_float($value) ? TestLayout::mm($value) : $value, $with)]);

        return $layout;
    }

    /** @return array<string, list<array{float, float}>> by the name of the piece */
    private static function pieces(SpacePlan $plan): array
    {
        $named = [];
        foreach ($plan->pieces() as $piece) {
            $named[$piece->name][] = [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
        }

        return $named;
    }

    public function test_a_back_on_a_bench_with_lids(): void
    {
        $plan = self::bench('bench-lid', ['back' => true])->plan();
        self::assertSame('fits', $plan->verdict->state, implode(' ', array_map(fn (Finding $finding) => $finding->sentence, $plan->findings)));
        $pieces = self::pieces($plan);
        // 60 + 450 × tan 12° = 155.65, a blank of 156; ⌈(1790 − 17.8)/600⌉ + 1 = 4 of them.
        self::assertSame(array_fill(0, 4, [450.0, 156.0]), $pieces['Side support of the back']);
        // 450/cos 12° + 17.8 × tan 12° = 463.84, a blank of 464.
        self::assertSame([[1790.0, 464.0]], $pieces['Leaning back']);
        // (1790 − 4 × 17.8)/3 = 572.93, three fields of two.
        self::assertSame(array_fill(0, 6, [572.0, 90.0]), $pieces['Board behind the back']);
        // 60 + 17.8/cos 12° + 10 = 88.2
        self::assertSame([[1790.0, 88.0]], $pieces['Cap over the back']);
        // The back meets the seat at 155.65 + 17.8/cos 12° = 173.85; + 12 for a finger: a strip of 186; lids 624 − 186 − 2 = 436 deep.
        self::assertEqualsWithDelta(436.0, $pieces['Lid'][0][1], 1e-6);
        self::assertEqualsWithDelta(173.85, $plan->decisions()['Foot of the back, from the wall']->result->toDouble(), 0.01);
        // Two cushions: (1790 − 2 × 5)/2 = 890 by 624 − 173.85 − 5 = 445.15.
        self::assertSame(890.0, $plan->decisions()['Each of 2 cushions, length']->result->toDouble());
        self::assertSame(445.0, $plan->decisions()['Each of 2 cushions, depth']->result->toDouble());
        self::assertSame(1810.0, $plan->decisions()['Each of 2 cushions, boxing, length']->result->toDouble());
    }

    /** Along the bevel the panel's lower edge lies on the seat and its upper edge under the cap, within 0.2 mm, on both faces. */
    public function test_its_bevelled_edges_lie_level(): void
    {
        foreach ([0, 5, 9, 12, 17, 20] as $lean) {
            $plan = self::bench('bench-seat', ['back' => true, 'lean' => $lean])->plan();
            $placed = $plan->assemblies[0]->byKey();
            $panel = $cap = $seat = null;
            foreach ($placed as $one) {
                $panel = $one->piece->name === 'Leaning back' ? $one : $panel;
                $cap = $one->piece->name === 'Cap over the back' ? $one : $cap;
                $seat = $one->piece->name === 'Seat' ? $one : $seat;
            }
            self::assertNotNull($panel);
            $zs = [];
            foreach ($panel->solid()->parts as $part) {
                array_push($zs, ...array_map(fn (array $corner) => $corner[2], $part->corners()));
            }
            self::assertEqualsWithDelta($seat?->bounds->z1, min($zs), 0.2, "$lean°");
            self::assertEqualsWithDelta($cap?->bounds->z0, max($zs), 0.2, "$lean°");
            // Four corners lie at each edge: both arrises of each end.
            self::assertCount(4, array_filter($zs, fn (float $z) => abs($z - min($zs)) < 0.2));
            self::assertCount(4, array_filter($zs, fn (float $z) => abs($z - max($zs)) < 0.2));
        }
    }

    public function test_a_back_that_eats_the_seat_says_how_little_it_may_lean(): void
    {
        // 500 + 15 − 173.85 = 341 are left of the 380 that one sits on.
        $layout = self::bench('bench-seat', ['back' => true], 500.0);
        $eaten = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::BackEatsSeat));
        self::assertSame(Severity::Clash, $eaten[0]->severity);
        // 515 − 60 − 450 × tan α − 17.8/cos α ≥ 380: 7° leaves 381.8.
        self::assertSame('Let it lean 7°', $eaten[0]->waysOut[0]->label);
        self::assertSame('fits', $layout->edited($eaten[0]->waysOut[0]->edit)->plan()->verdict->state);
    }

    /** Two benches in a corner with backs that lean so much: the one along the left wall stops at the one along the back wall. */
    private static function corner(int $lean, string $measure = 'mm/1', int $seed = 21): SpacePlan
    {
        $room = new TestKind(SpaceKind::RoomCorner, $seed, $measure);
        $layout = (new StartingLayouts(SpaceShape::of(SpaceKind::RoomCorner), 'corner', LengthFormat::of($measure)))->named('corner-bench');
        self::assertNotNull($layout);
        foreach ($layout['members'] as $i => $member) {
            $layout['members'][$i]['with'] = ['lean' => $lean] + (array) $member['with'];
        }

        return $room->plan($layout);
    }

    /** Off square by atan(sin α/tan(A/2)), and bevelled by |90° − 2 · asin(cos α · cos(A/2))|, longest in front; A is 90° here but for the room's crookedness. */
    public function test_backs_that_meet_in_a_corner(): void
    {
        foreach ([[12, 11.7, 2.5], [10, 9.9, 1.7], [0, 0.0, 0.0]] as [$lean, $square, $bevel]) {
            $plan = self::corner($lean);
            self::assertSame('fits', $plan->verdict->state, implode(' ', array_map(fn (Finding $finding) => $finding->sentence, $plan->findings)));
            $panel = array_values(array_filter($plan->pieces(), fn (Piece $piece) => $piece->mark === 'W2-back-panel'))[0];
            $cuts = array_values(array_filter($panel->works, fn (object $work) => ($work instanceof Sawn || $work instanceof Bevelled) && $work->edge() === 'end in the corner'));
            self::assertCount(2, $cuts);
            self::assertEqualsWithDelta($square, $cuts[0]->degrees(), 0.5, "$lean°");
            self::assertEqualsWithDelta($bevel, $cuts[1]->degrees(), 0.5, "$lean°");
        }
    }

    /** All along the corner the end of the one lies on the face of the other, 1 mm or 1/32 in from it, in rooms of any skew. */
    public function test_the_end_in_the_corner_follows_the_other_face(): void
    {
        foreach ([['mm/1', 21], ['in/16', 33], ['mm/1', 44], ['in/16', 55]] as [$measure, $seed]) {
            $plan = self::corner(12, $measure, $seed);
            self::assertSame('fits', $plan->verdict->state, "$measure $seed");
            $runs = $plan->layout->runs ?? [];
            $named = fn (int $r, string $name): Placed => array_values(array_filter($plan->assemblies[$r]->placed, fn (Placed $placed) => $placed->piece->name === $name))[0];
            $panel = $named(1, 'Leaning back');
            $seat = $named(0, 'Seat')->bounds->z1;
            $face = $runs[0]->over()[0]->v + $plan->decisions()['Foot of the back, from the wall']->result->toDouble();
            // How far each corner of the second panel lies before the face of the first, which leans 12°.
            $out = [];
            foreach ($panel->inRoom($runs[1]->frame)->parts as $part) {
                foreach ($part->corners() as [$x, $y, $z]) {
                    $out[] = $runs[0]->frame->place(new Point($x, $y))[1] - ($face - ($z - $seat) * tan(deg2rad(12)));
                }
            }
            sort($out);
            foreach (array_slice($out, 0, 4) as $apart) {
                self::assertEqualsWithDelta($measure === 'mm/1' ? 1.0 : 25.4 / 32, $apart, 0.2, "$measure $seed");
            }
        }
    }
}
