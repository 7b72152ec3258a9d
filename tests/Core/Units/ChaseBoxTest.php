<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Pieces\Piece;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Code;
use Incastro\Units\Placed;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class ChaseBoxTest extends TestCase
{
    /** @param array<string, mixed> $with */
    private static function layout(array $with = [], float $wide = 1200.0): TestLayout
    {
        return TestLayout::of([], width: $wide)->with(['surfaces' => [['id' => 's'] + Doc::holds('chase-box', $with + ['confirmed' => true]) + ['on' => ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => TestLayout::mm(2391)]]], 'runs' => [], 'members' => []]);
    }

    /** Two heating pipes, 106 wide together, that stand out 84, with a valve at 1150. */
    private static function heating(TestLayout $layout): TestLayout
    {
        return $layout
            ->thing('flow', 'pipe', 500.0, 0.0, 28.0, 2391.0, 84.0, 'may-be-covered', ['direction' => 'up', 'hot' => true])
            ->thing('return', 'pipe', 578.0, 0.0, 28.0, 2391.0, 84.0, 'may-be-covered', ['direction' => 'up', 'hot' => true])
            ->thing('valve', 'valve', 500.0, 1130.0, 40.0, 40.0, 80.0, 'may-be-covered');
    }

    /** @return array<string, array{float, float}> */
    private static function sizes(SpacePlan $plan): array
    {
        return array_column(array_map(fn (Piece $piece) => [explode(':', $piece->key)[1], [$piece->length->result->toDouble(), $piece->width->result->toDouble()]], $plan->pieces()), 1, 0);
    }

    public function test_round_two_heating_pipes_with_a_part_that_lifts_off_at_the_valve(): void
    {
        $layout = self::heating(self::layout());
        self::assertSame([], array_map(fn ($finding) => $finding->sentence, $layout->clashes()));
        $sizes = self::sizes($layout->plan());
        // 2391 − 3 = 2388 high; the pipes stand out 84, and up to 10 more with a wall that nobody looked at; hot: 84 + 10 + 15 = 109 deep, and 8
        // to scribe.
        self::assertSame([[2388.0, 117.0], [2388.0, 117.0]], [$sizes['cheek-L'], $sizes['cheek-R']]);
        // 2388 − 2 · 20; a batten of 20 and 15 clear of what is hot on both sides: 106 + 70 = 176, with both cheeks 212.
        self::assertSame([2348.0, 20.0], $sizes['batten-wall-L']);
        self::assertSame([2348.0, 20.0], $sizes['batten-face-R']);
        // 125 under and over the valve's middle at 1150: from 1025 to 1275, a gap of 2 to both parts: 1024, 248 and 2388 − 1276 = 1112.
        self::assertSame([[1024.0, 212.0], [248.0, 212.0], [1112.0, 212.0]], [$sizes['face-1'], $sizes['face-2'], $sizes['face-3']]);
    }

    public function test_what_pipes_carry_decides_how_they_are_boxed_in(): void
    {
        $piped = fn (?string $carries): TestLayout => self::layout(['confirmed' => false])->thing('pipe', 'pipe', 500.0, 0.0, 28.0, 2391.0, 60.0, 'may-be-covered', ['direction' => 'up', 'carries' => $carries]);
        $sentences = fn (TestLayout $layout): array => array_values(array_map(fn ($one) => $one->sentence, array_filter($layout->plan()->findings, fn ($one) => $one->code === Code::GasBoxed)));
        self::assertSame(['Pipe carries gas: it is not boxed in here. Ask a licensed person.'], $sentences($piped('gas')));
        self::assertSame('clash', $piped('gas')->plan()->verdict->state);
        self::assertCount(1, $sentences($piped(null)));
        self::assertSame([], $sentences($piped('cold')));
        // What is hot needs 15 instead of 10 on each side and before it.
        $deep = fn (string $carries): float => self::sizes($piped($carries)->plan())['cheek-L'][1];
        self::assertSame(5.0, $deep('hot') - $deep('cold'));
    }

    public function test_a_valve_is_never_closed_in(): void
    {
        $clash = self::heating(self::layout(['hatch' => false]))->clashes()[0];
        self::assertSame('Valve would be behind a fixed face.', $clash->sentence);
        self::assertSame([], self::heating(self::layout(['hatch' => false]))->edited($clash->waysOut[0]->edit)->clashes());
        // Wherever along the pipes it sits, its middle lies behind a part that lifts off, with room for a hand or up to an end.
        for ($z = 0; $z <= 2340; $z += 45) {
            $plan = self::layout()->thing('pipe', 'pipe', 500.0, 0.0, 28.0, 2391.0, 60.0, 'may-be-covered', ['direction' => 'up'])->thing('valve', 'valve', 495.0, (float) $z, 40.0, 40.0, 70.0, 'may-be-covered')
                ->thing('other', 'valve', 495.0, (float) (2350 - $z), 40.0, 40.0, 70.0, 'may-be-covered')->plan();
            foreach ([$z + 20.0, 2350 - $z + 20.0] as $middle) {
                $before = array_values(array_filter($plan->assemblies[0]->placed, fn (Placed $one) => str_contains($one->piece->key, ':face') && $one->bounds->z0 <= $middle && $one->bounds->z1 >= $middle));
                self::assertCount(1, $before, "valve at $middle");
                self::assertStringContainsString('lifts off', $before[0]->piece->name, "valve at $middle");
                self::assertTrue($before[0]->bounds->z0 < 1.0 || $middle - $before[0]->bounds->z0 >= 123.9);
                self::assertTrue($before[0]->bounds->z1 > 2386.0 || $before[0]->bounds->z1 - $middle >= 123.9);
            }
        }
    }

    public function test_in_a_corner_it_has_one_cheek(): void
    {
        $plan = self::layout()->thing('pipe', 'pipe', 20.0, 0.0, 40.0, 2391.0, 60.0, 'may-be-covered', ['direction' => 'up'])->plan();
        $sizes = self::sizes($plan);
        self::assertArrayNotHasKey('cheek-L', $sizes);
        self::assertArrayNotHasKey('batten-wall-L', $sizes);
        // From the side wall to the far side of the pipe, 60, and 20 + 10 and a cheek of 18: 108, and 8 to scribe there; cold: 60 + 10 + 10 deep.
        self::assertSame([116.0, 88.0], [$sizes['face'][1], $sizes['cheek-R'][1]]);
        $face = array_values(array_filter($plan->assemblies[0]->placed, fn (Placed $one) => str_contains($one->piece->key, ':face')))[0];
        self::assertEqualsWithDelta([0.0, 108.0, 80.0], [$face->bounds->u0, $face->bounds->u1, $face->bounds->v0], 1e-6);
    }

    public function test_where_there_is_no_pipe_it_says_so_and_gas_is_asked_about(): void
    {
        self::assertStringStartsWith('There is no pipe on the part of the wall', self::layout()->clashes()[0]->sentence);
        $plan = self::heating(self::layout(['confirmed' => false]))->plan();
        self::assertContains('gas-boxed', array_map(fn ($finding) => $finding->code->value, $plan->findings));
    }

    public function test_slots_let_the_warm_air_out(): void
    {
        $plan = self::heating(self::layout())->plan();
        $holes = array_column(array_map(fn (Placed $one) => [explode(':', $one->piece->key)[1], count($one->piece->outline->holes)], $plan->assemblies[0]->placed), 1, 0);
        // Four at the foot and four at the head; none in the part that lifts off.
        self::assertSame([4, 0, 4], [$holes['face-1'], $holes['face-2'], $holes['face-3']]);
    }

    /** A waste along the whole wall, its top at 139 at its high end, that stands out 96. */
    private static function waste(TestLayout $layout): TestLayout
    {
        return $layout->thing('waste', 'pipe', 0.0, 52.0, 1860.0, 87.0, 96.0, 'may-be-covered', ['direction' => 'along']);
    }

    public function test_along_a_wall_it_has_a_lid_and_open_ends(): void
    {
        $layout = self::layout([], 2600.0);
        $layout->layout['surfaces'][0]['on'] = ['wall' => 0, 'from' => TestLayout::mm(300), 'to' => TestLayout::mm(2160), 'foot' => null, 'head' => TestLayout::mm(600)];
        $layout = $layout->thing('waste', 'pipe', 340.0, 52.0, 1780.0, 87.0, 96.0, 'may-be-covered', ['direction' => 'along']);
        self::assertSame([], array_map(fn ($finding) => $finding->sentence, $layout->clashes()));
        $plan = $layout->plan();
        $sizes = self::sizes($plan);
        // The pipe's top is at 139: 139 + 20 + 10 = 169 inside. It stands out 96: 96 + 30 = 126 deep; 8 to scribe each.
        self::assertSame(169.0, $plan->decisions()['Inside height, D1']->result->toDouble());
        self::assertSame(126.0, $plan->decisions()['Inside depth, D1']->result->toDouble());
        self::assertSame([[1860.0, 134.0], [1860.0, 169.0 + 18.0 + 8.0]], [$sizes['lid'], $sizes['face']]);
        // Both ends are open: battens 1860 − 2 · (18 + 2).
        self::assertSame([[1820.0, 20.0], [1820.0, 20.0], [1820.0, 20.0]], [$sizes['batten-wall'], $sizes['batten-lid'], $sizes['batten-floor']]);
        self::assertSame([[134.0, 169.0], [134.0, 169.0]], [$sizes['end-L'], $sizes['end-R']]);
    }

    public function test_a_waste_along_a_wall_must_fall(): void
    {
        $said = function (?float $fall): array {
            $layout = self::layout([], 2600.0);
            $layout->layout['surfaces'][0]['on'] = ['wall' => 0, 'from' => TestLayout::mm(300), 'to' => TestLayout::mm(2160), 'foot' => null, 'head' => TestLayout::mm(600)];
            $plan = $layout->thing('waste', 'pipe', 300.0, 52.0, 1860.0, 87.0, 96.0, 'may-be-covered', ['direction' => 'along', 'carries' => 'waste', 'fall' => $fall === null ? null : TestLayout::mm($fall)])->plan();

            return array_values(array_map(fn ($one) => $one->severity->value.': '.$one->sentence, array_filter($plan->findings, fn ($one) => $one->code->value === 'no-fall')));
        };
        // It runs from 300 to the corner at 2600: 47/2.3 = 20.4 on a metre is enough; 20/2.3 = 8.7 is not.
        self::assertSame([], $said(47.0));
        self::assertStringStartsWith('warning: Waste falls only 8 mm on a metre; 18 mm is the least', $said(20.0)[0]);
        self::assertStringStartsWith('note: Take how much lower one end of waste lies', $said(null)[0]);
    }

    public function test_along_a_wall_from_corner_to_corner_a_trap_is_reached(): void
    {
        $layout = self::layout([], 1860.0);
        $layout->layout['surfaces'][0]['on']['head'] = TestLayout::mm(600);
        $plan = self::waste($layout)->thing('trap', 'trap', 900.0, 60.0, 80.0, 80.0, 90.0, 'may-be-covered')->plan();
        $sizes = self::sizes($plan);
        self::assertArrayNotHasKey('end-L', $sizes);
        // Its middle is at 940: from 815 to 1065 a part lifts off, with a gap of 2 on both sides.
        self::assertSame([814.0, 248.0, 794.0], [$sizes['face-1'][0], $sizes['face-2'][0], $sizes['face-3'][0]]);
    }
}
