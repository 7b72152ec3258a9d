<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Incastro\Exchange\FaceDistance;
use Incastro\Exchange\JobFile;
use Incastro\Exchange\RoundWriter;
use Incastro\Geometry\Vector;
use Incastro\Planning\JobReader;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Planner;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Units\Motion;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;
use Tests\Core\TestLayout;

final class RoundWriterTest extends TestCase
{
    private const DEMO = __DIR__.'/../../../database/demo/map-wall.json';

    public function test_every_piece_is_there_once_with_closed_solids(): void
    {
        $plan = (new Planner())->plan(JobReader::read(JobFile::read('demo', (string) file_get_contents(self::DEMO))['job']))->spaces[0];
        $room = $plan->survey->room;
        self::assertNotNull($room);
        $round = (new RoundWriter($plan))->write($room->with($plan->space->things));
        self::assertSame(count($plan->pieces()), count($round['pieces']));
        self::assertSame(array_map(fn ($piece) => $piece->key, $plan->pieces()), array_column($round['pieces'], 'key'));
        foreach ($round['pieces'] as $piece) {
            foreach ($piece['solid'] as $part) {
                // Each edge of a closed body belongs to two faces.
                $edges = [];
                foreach ($part['faces'] as $face) {
                    foreach ($face as $i => $corner) {
                        $next = $face[($i + 1) % count($face)];
                        $key = min($corner, $next).'-'.max($corner, $next);
                        $edges[$key] = ($edges[$key] ?? 0) + 1;
                    }
                }
                self::assertSame([2], array_values(array_unique($edges)), $piece['mark']);
            }
        }
        self::assertCount(3, $round['walls']);
    }

    /** A hole is sawn round by many parts: its edges are the rings of the outline on both faces, and the parts' seams are none. */
    public function test_a_board_with_a_hole_is_edged_by_its_outline(): void
    {
        $low = ['size' => TestLayout::mm(750)];
        $layout = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Recipe::knees()] + $low), Doc::tier('a-2', ['joined' => false, 'holds' => Recipe::gap()])])]);
        $layout->layout['members'] = [array_replace(Doc::member('top', 'worktop', ['a-1']), ['with' => ['hole' => true]])];
        $plan = $layout->plan();
        $room = $plan->survey->room;
        self::assertNotNull($room);
        $round = array_column((new RoundWriter($plan))->write($room)['pieces'], null, 'mark');
        $top = $round['W1-top']['outline'];
        self::assertCount(2, $top);
        // The hole of 60: its ring is as wide on both faces, 18 apart.
        [$below, $above] = $top[1];
        foreach ([$below, $above] as $ring) {
            self::assertEqualsWithDelta(60.0, max(array_column($ring, 0)) - min(array_column($ring, 0)), 0.02);
        }
        self::assertEqualsWithDelta(18.0, $above[0][2] - $below[0][2], 0.01);
        self::assertSame([], $round['W1-back-cleat']['outline']);
    }

    public function test_a_drawer_is_drawn_out_and_a_leaf_turned_within_what_they_sweep(): void
    {
        $bays = [TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Doc::holds('drawers')])]), TestLayout::bay('b', [], [Doc::tier('b-1', ['holds' => Recipe::box(0, 1)])])];
        $plan = TestLayout::of($bays)->with(['fronts' => [Doc::member('f', 'door', ['b-1'])]])->plan();
        $movements = $plan->assemblies[0]->movements;
        self::assertCount(4, $movements);
        foreach ($movements as $movement) {
            $all = array_map(fn ($solid) => $solid->bounds, $movement->swept);
            $swept = array_reduce($all, fn ($one, $next) => $one?->and($next) ?? $next);
            foreach ($movement->moving as $key) {
                foreach ($plan->assemblies[0]->byKey()[$key]->solid()->parts as $part) {
                    foreach ($part->corners() as $corner) {
                        foreach ([0.0, 0.3, 0.7, 1.0] as $share) {
                            $at = self::moved($movement->motion, new Vector(...$corner), $share);
                            // A leaf's thickness lies behind the line that it turns about.
                            $more = $movement->motion->isTurn ? 18.1 : 0.1;
                            self::assertTrue($at->x > $swept?->u0 - $more && $at->x < $swept->u1 + $more && $at->y > $swept->v0 - $more && $at->y < $swept->v1 + $more, "$movement->name, $key at $share");
                        }
                    }
                }
            }
        }
    }

    private static function moved(Motion $motion, Vector $at, float $share): Vector
    {
        if (! $motion->isTurn) {
            return $at->plus($motion->to->times($motion->by * $share));
        }
        $off = $at->minus($motion->at);
        [$along, $across] = [$off->dot($motion->from), $off->dot($motion->to)];
        [$cos, $sin] = [cos($motion->by * $share), sin($motion->by * $share)];

        return $at->plus($motion->from->times($along * ($cos - 1.0) - $across * $sin))->plus($motion->to->times($along * $sin + $across * ($cos - 1.0)));
    }

    public function test_between_two_faces_is_what_the_pieces_say(): void
    {
        $plan = TestLayout::of([TestLayout::bay('a')])->plan();
        $frame = $plan->layout?->runs[0]->frame;
        self::assertNotNull($frame);
        $byKey = $plan->assemblies[0]->byKey();
        $face = function (string $key, bool $isRight) use ($byKey, $frame): array {
            $b = $byKey[$key]->bounds;
            $at = $frame->point($isRight ? $b->u1 : $b->u0, ($b->v0 + $b->v1) / 2);
            $to = $frame->point(($isRight ? $b->u1 : $b->u0) + 1.0, ($b->v0 + $b->v1) / 2);

            return ['key' => $key, 'at' => new Vector($at->x, $at->y, ($b->z0 + $b->z1) / 2), 'looks' => new Vector($to->x - $at->x, $to->y - $at->y, 0.0)];
        };
        $distance = new FaceDistance($plan);
        // Between the inner faces of the sides lies what the bottom fills.
        $bottom = $byKey['a-1:bottom']->piece->length->result->toDouble();
        self::assertEqualsWithDelta($bottom, $distance->between($face('a-1:side-L', true), $face('a-1:side-R', false)), 1.0);
        self::assertEqualsWithDelta(18.0, $distance->between($face('a-1:side-L', false), $face('a-1:side-L', true)), 1e-6);
        $up = ['looks' => new Vector(0.0, 0.0, 1.0)] + $face('a-1:side-L', true);
        self::assertNull($distance->between($up, $face('a-1:side-R', false)));
    }

    public function test_walls_carry_how_far_they_are_off_plumb(): void
    {
        $plan = $this->leaning();
        $room = $plan->survey->room;
        self::assertNotNull($room);
        $walls = array_column((new RoundWriter($plan))->write($room)['walls'], null, 'name');
        // The test alcove's left wall leans in by 24 over 2400: off by what its places say, square to it.
        $off = array_merge(...array_map(fn (array $station) => array_map(fn (array $at) => hypot($at[3], $at[4]), $station), $walls['left wall']['grid']));
        self::assertGreaterThan(2.0, max($off));
        self::assertLessThan(30.0, max($off));
    }

    private function leaning(): SpacePlan
    {
        return (new Planner())->plan(TestAlcove::leaning()->job())->spaces[0];
    }
}
