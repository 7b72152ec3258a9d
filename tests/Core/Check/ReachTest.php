<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Incastro\Geometry\Polygon;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\TracedSection;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;
use Incastro\Units\Hardware;
use Incastro\Units\Placed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class ReachTest extends TestCase
{
    private static function plain(array $but = []): TestLayout
    {
        return TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1')]), TestLayout::bay('b', [], [Doc::tier('b-1')])], $but);
    }

    /** @return array<string, array{TestLayout, string, string}> each kind of clash, its code, and words of its sentence */
    public static function clashes(): array
    {
        $deep = ['depth' => TestLayout::mm(580)];

        return [
            'covered socket' => [self::plain()->thing('socket', 'socket', 200, 400, 82, 82, 8, 'reachable'), 'socket-covered', 'Socket would be buried behind box B1, 82 mm × 82 mm of it'],
            'socket flush with the wall' => [self::plain()->thing('socket', 'socket', 200, 400, 82, 82, 0, 'reachable'), 'socket-covered', 'Socket would be buried behind box B1'],
            'buried junction box' => [self::plain()->thing('junction', 'junction-box', 800, 900, 100, 100, 20, 'reachable'), 'buried', 'buried behind box B2'],
            'closed vent' => [self::plain()->thing('vent', 'vent', 100, 200, 220, 150, 5, 'uncovered'), 'vent-closed', 'its air path would be closed'],
            'window that may be an escape' => [self::plain()->thing('window', 'window', 700, 900, 400, 700, 30, 'uncovered'), 'escape-covered', 'it may be an escape route'],
            'picture that stays uncovered' => [self::plain()->thing('radiator', 'radiator', 100, 100, 400, 600, 90, 'uncovered'), 'covered', 'it stays uncovered'],
            'heat' => [self::plain()->thing('flue', 'flue', 560, 1200, 125, 125, 60, 'clearance', ['clearance' => TestLayout::mm(150)]), 'clearance', 'too near to flue, which keeps 150 mm'],
            'trim in the way' => [self::plain()->thing('trim', 'window-trim', 100, 900, 300, 60, 18, 'may-be-covered'), 'in-the-way', 'Trim stands in the way of box B1'],
            'shelf of which too little is left' => [TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['size' => TestLayout::mm(622), 'holds' => Recipe::box(0, 1)]), Doc::tier('a-2')])], ['depth' => TestLayout::mm(560)])->thing('trap', 'trap', 400, 300, 100, 90, 500, 'may-be-covered'), 'notch-splits', 'would be left before trap'],
            'valve out of reach' => [TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1')])], $deep)->changing(['rules' => ['reach' => TestLayout::mm(400)]])->with(['openings' => ['valve']])->thing('valve', 'valve', 300, 400, 60, 60, 20, 'reachable'), 'out-of-reach', 'deep in box B1; a hand reaches 400 mm'],
            'door of the room that strikes' => [self::plain()->thing('door', 'door', 0, 0, 560, 1980, 0, 'may-be-covered', ['wall' => 3, 'swing' => 'left']), 'door-swing', 'strikes box B2 when it opens'],
            'narrow knees' => [TestLayout::of([TestLayout::bay('a', ['size' => TestLayout::mm(650)]), TestLayout::bay('k', [], [Doc::tier('k-1', ['holds' => Recipe::knees(), 'size' => TestLayout::mm(700)]), Doc::tier('k-2', ['holds' => Recipe::gap(), 'joined' => false])])], ['depth' => TestLayout::mm(500)]), 'knees-wide', 'knees need 600 mm'],
            'low knees' => [TestLayout::of([TestLayout::bay('a', ['size' => TestLayout::mm(300)]), TestLayout::bay('k', [], [Doc::tier('k-1', ['holds' => Recipe::knees(), 'size' => TestLayout::mm(400)]), Doc::tier('k-2', ['holds' => Recipe::gap(), 'joined' => false])])], ['depth' => TestLayout::mm(500)]), 'knees-high', 'knees need 620 mm'],
            'bay thinner than its boards' => [TestLayout::of([TestLayout::bay('a'), TestLayout::bay('b', ['size' => TestLayout::mm(50)])]), 'too-thin', 'has no room between its boards'],
            'shelves too shallow' => [TestLayout::of([TestLayout::bay('a')], ['depth' => TestLayout::mm(150)]), 'too-shallow', 'A shelf here is 126 mm deep'],
            'shelves too close' => [TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Recipe::box(0, 19)])])]), 'shelves-too-close', 'is the least that a hand gets into'],
            'tiers that ask for too much' => [TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['size' => TestLayout::mm(1500)]), Doc::tier('a-2', ['size' => TestLayout::mm(1200)])])]), 'bay-overfull', 'The tiers of this bay ask for'],
            'a run that stands out' => [TestLayout::of([TestLayout::bay('a')], ['depth' => TestLayout::mm(640)]), 'run-depth', 'stands out in front of the space'],
        ];
    }

    #[DataProvider('clashes')]
    public function test_every_clash_has_a_place_an_amount_and_a_way_out_that_solves_it(TestLayout $layout, string $code, string $words): void
    {
        $clash = array_values(array_filter($layout->clashes(), fn (Finding $finding) => $finding->code->value === $code))[0] ?? null;
        self::assertNotNull($clash, implode(', ', array_map(fn (Finding $finding) => $finding->code->value.': '.$finding->sentence, $layout->clashes())));
        self::assertStringContainsString($words, $clash->sentence);
        self::assertNotSame('', $clash->place);
        self::assertNotSame([], $clash->waysOut, $clash->sentence);
        foreach ($clash->waysOut as $way) {
            $codes = array_map(fn (Finding $finding) => $finding->code->value.$finding->place, $layout->edited($way->edit)->clashes());
            self::assertNotContains($code.$clash->place, $codes, $way->label);
        }
    }

    public function test_an_opening_makes_a_socket_reachable_until_a_board_runs_across_it(): void
    {
        $socket = self::plain()->thing('socket', 'socket', 200, 400, 82, 82, 8, 'reachable')->with(['openings' => ['socket']]);
        self::assertSame([], $socket->clashes());
        $back = array_values(array_filter($socket->plan()->pieces(), fn ($piece) => $piece->mark === 'B1-back'))[0];
        // 82 + 2 · 5 of air, both ways.
        self::assertEqualsWithDelta(92.0 * 92.0, $back->outline->holes[0]->area(), 0.5);
        $shelved = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Recipe::box(0, 5)])])])->thing('socket', 'socket', 200, 440, 82, 82, 8, 'reachable')->with(['openings' => ['socket']]);
        self::assertSame('board-across', $shelved->clashes()[0]->code->value);
        self::assertSame([], $shelved->edited($shelved->clashes()[0]->waysOut[0]->edit)->clashes());
    }

    public function test_a_socket_in_an_opening_says_how_far_it_comes_forward(): void
    {
        $plan = self::plain()->thing('socket', 'socket', 200, 400, 86, 86, 8, 'reachable')->with(['openings' => ['socket']])->plan();
        $note = array_values(array_filter($plan->findings, fn (Finding $finding) => $finding->code === Code::OutletForward))[0];
        // A plate of 86 laps its hole by 4 on every side; the back is 6 thick, and the box stands as far off the wall as this comes in.
        self::assertStringContainsString('a hole of 78 mm × 78 mm', $note->sentence);
        $extender = array_filter($plan->decisions(), fn (string $name) => str_starts_with($name, 'Extender of'), ARRAY_FILTER_USE_KEY);
        $box = $plan->layout->runs[0]->boxes[0] ?? null;
        self::assertEqualsWithDelta(ceil(6.0 + ($box?->v ?? 0.0) - ($plan->layout?->runs[0]->frame->backAt(243.0, 443.0) ?? 0.0)), reset($extender)->result->toDouble(), 1.0);
        self::assertContains('box extender '.LengthFormat::millimetres()->write(reset($extender)->result), array_map(fn (Hardware $one) => $one->name, $plan->hardware()));
    }

    public function test_under_a_vent_in_the_ceiling_the_run_may_end(): void
    {
        $vent = TestLayout::of([TestLayout::bay('a')])->thing('vent', 'vent', 300, 150, 300, 150, 0, 'uncovered', ['face' => 'ceiling']);
        $found = array_values(array_filter($vent->plan()->findings, fn (Finding $finding) => $finding->code === Code::VentClosed));
        self::assertSame(['Cut the top around it', 'End the run 200 mm under it'], array_map(fn (WayOut $way) => $way->label, array_slice($found[0]->waysOut, 0, 2)));
        foreach ([0, 1] as $way) {
            self::assertNotContains(Code::VentClosed, array_map(fn (Finding $finding) => $finding->code, $vent->edited($found[0]->waysOut[$way]->edit)->plan()->findings));
        }
    }

    /** @return array{list<array{float, float, float, float}>, list<string>} holes of the top, from its left and back edges, and what is a clash */
    private static function underVent(float $fromWall, int $shelves, array $parts = []): array
    {
        $layout = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Recipe::box(0, $shelves)])])])->with(['openings' => ['vent']] + $parts)
            ->thing('vent', 'vent', 300, $fromWall, 300, 150, 0, 'uncovered', ['face' => 'ceiling']);
        $plan = $layout->plan();
        $top = array_values(array_filter($plan->assemblies[0]->placed, fn (Placed $placed) => $placed->piece->mark === 'B1-top'))[0];

        return [array_map(fn (Polygon $hole) => $hole->bounds(), $top->piece->outline->holes), array_map(fn (Finding $finding) => $finding->sentence, $layout->clashes())];
    }

    public function test_a_top_is_cut_around_a_vent_in_the_ceiling_where_air_finds_its_way_to_the_face(): void
    {
        // 300 + 2 × 25 by 150 + 2 × 25; 120 − 25 = 95 from the wall, before which the top begins 6 out.
        [[[$x0, $x1, $y0, $y1]], $clashes] = self::underVent(120, 2);
        self::assertEqualsWithDelta([350.0, 89.0, 289.0], [$x1 - $x0, $y0, $y1], 1e-6);
        self::assertSame([], $clashes);
        // 60 − 25 − 6 = 29 of wood behind it are fewer than 60: it opens to the back edge.
        self::assertSame([[], []], self::underVent(60, 2));
        // Sixteen shelves lie 2285/17 − 18 ≈ 117 apart, in the 150 under the hole; a door shuts the way to the face.
        self::assertStringContainsString('in the air of vent', implode(' ', self::underVent(120, 16)[1]));
        self::assertStringContainsString('in the air of vent', implode(' ', self::underVent(120, 2, ['fronts' => [Doc::member('f', 'door', ['a-1'])]])[1]));
    }

    public function test_a_pipe_up_the_wall_is_slotted_through_every_board_and_splits_the_back(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Recipe::box(0, 2)])])])
            ->thing('pipe', 'pipe', 500, 0, 22, 2300, 45, 'may-be-covered', ['direction' => 'up']);
        self::assertSame([], $layout->clashes());
        $placed = array_column(array_map(fn (Placed $one) => [$one->piece->mark, $one], $layout->plan()->assemblies[0]->placed), 1, 0);
        // The pipe stands 23 to 45 out, on a wall that nobody looked at and that may come in by 1.645 · 6 = 9.9 more, 10 of air:
        // 45 + 9.9 + 10 − 6 behind the back's plane: the slot is 59 deep, 42 wide.
        $shelf = $placed['B1-shelf-1']->piece;
        self::assertStringContainsString('slot for pipe, 59 mm deep from the back edge', implode(', ', array_map(fn ($work) => $work->words(LengthFormat::millimetres()), $shelf->works)));
        self::assertLessThan($shelf->length->result->toDouble() * $shelf->width->result->toDouble() - 1500.0, $shelf->outline->area());
        // And it may stand 9.9 further back: 23 − 9.9 − 10 = 3.1 is inside the back, which is in two.
        self::assertArrayHasKey('B1-back-a', $placed);
        self::assertArrayHasKey('B1-back-b', $placed);
        self::assertArrayHasKey('B1-nailer-top-a', $placed);
        self::assertArrayHasKey('B1-nailer-top-b', $placed);
    }

    public function test_a_traced_post_is_cut_to_its_own_section(): void
    {
        // 60 across and 50 out, its left half only 30: 3 of play. Behind the plane of the back lie 6, so the shelf loses
        // 33 · 27 + 33 · 47 = 2442, less the corner between both halves that the play moves by 3: 3 · 20 more on the right.
        $traced = ['traced' => TracedSection::field(LengthFormat::millimetres())->read('0 x 0; 60 x 0; 60 x 50; 30 x 50; 30 x 30; 0 x 30')];
        $post = fn (array $but) => TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Recipe::box(0, 2)])])])
            ->thing('post', 'post', 500, 0, 60, 1, 50, 'may-be-covered', $but);
        $away = function (TestLayout $layout): float {
            self::assertSame([], $layout->clashes());
            $shelf = array_values(array_filter($layout->plan()->pieces(), fn ($piece) => $piece->mark === 'B1-shelf-1'))[0];

            return $shelf->length->result->toDouble() * $shelf->width->result->toDouble() - $shelf->outline->area();
        };
        self::assertEqualsWithDelta(66.0 * 47.0, $away($post([])), 1.0);
        self::assertEqualsWithDelta(33.0 * 27.0 + 33.0 * 47.0 + 3.0 * 20.0, $away($post($traced)), 1.0);
    }

    public function test_a_thing_that_will_be_removed_is_nobodys_business(): void
    {
        self::assertSame([], self::plain()->thing('socket', 'socket', 200, 400, 82, 82, 8, 'removed')->clashes());
    }

    public function test_two_runs_that_both_go_through_a_corner_clash_until_one_stops(): void
    {
        $layout = self::plain();
        $second = Doc::run('second', 1, [TestLayout::bay('c', [], [Doc::tier('c-1')])], ['depth' => TestLayout::mm(300)]);
        $both = $layout->with(['runs' => [...$layout->layout['runs'], $second], 'members' => [...$layout->layout['members'], Doc::member('p2', 'plinth', ['c'])]]);
        $clash = array_values(array_filter($both->clashes(), fn (Finding $finding) => $finding->code->value === 'overlap'))[0] ?? null;
        self::assertNotNull($clash);
        self::assertStringContainsString('inside box B1 of another run', $clash->sentence);
        $shelves = $layout->with(['runs' => [...$layout->layout['runs'], Doc::run('second', 1, [TestLayout::bay('c', [], [Doc::tier('c-1', ['holds' => Recipe::cleats(1)])])], ['depth' => TestLayout::mm(300)])]]);
        self::assertStringContainsString('shelves between walls would stand', implode(', ', array_map(fn (Finding $finding) => $finding->sentence, $shelves->clashes())));
        foreach ($clash->waysOut as $way) {
            $left = array_filter($both->edited($way->edit)->clashes(), fn (Finding $finding) => $finding->code->value === 'overlap');
            self::assertSame([], array_values($left), $way->label);
        }
    }

    public function test_boards_between_two_bays_or_tiers_go_past_a_socket_to_either_side(): void
    {
        $ways = fn (TestLayout $layout): array => array_map(fn (WayOut $way) => $way->label, $layout->clashes()[0]->waysOut);
        // Two boxes of 594 from 3.0 on: their sides meet at 597, 579 to 615. A socket of 82 from 560 on, 3 free at both
        // sides: to the left by 615 + 3 − 560 = 58, to the right by 560 + 82 + 3 − 579 = 66.
        $across = self::plain()->thing('socket', 'socket', 560, 400, 82, 82, 8, 'reachable')->with(['openings' => ['socket']]);
        self::assertSame('board-across', $across->clashes()[0]->code->value);
        self::assertStringContainsString('Make bay 1', $ways($across)[0]);
        $moved = $across->edited($across->clashes()[0]->waysOut[0]->edit)->plan();
        self::assertSame([], array_filter($moved->findings, fn (Finding $finding) => $finding->code->value === 'board-across'));
        $boxes = $moved->layout->runs[0]->boxes;
        self::assertLessThanOrEqual(560.0 - 3.0, $boxes[0]->right() + 18.0);
        // Nothing else has changed: both bays together are as wide as they were.
        self::assertEqualsWithDelta(1188.0, $boxes[1]->right() - $boxes[0]->u, 1.0);
        // A socket before the boards between two tiers is passed below or above.
        $tiers = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('low', ['size' => TestLayout::mm(700)]), Doc::tier('high', ['joined' => false])])])->thing('socket', 'socket', 560, 740, 82, 82, 8, 'reachable')->with(['openings' => ['socket']]);
        self::assertSame('board-across', $tiers->clashes()[0]->code->value);
        self::assertStringContainsString('Make the tier below', $ways($tiers)[0]);
        // The plinth 70, then 700: boards from 752 to 788. Down by 740 − 3 − 788 = −51, to 649; up by 740 + 82 + 3 − 752 = 73.
        self::assertSame(['Make the tier below 649 mm high, so that its boards pass beside', 'Make the tier below 773 mm high, so that its boards pass beside'], array_slice($ways($tiers), 0, 2));
    }
}
