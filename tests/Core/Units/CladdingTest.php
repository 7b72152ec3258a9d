<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Pieces\Piece;
use Incastro\Planning\InvalidChoice;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Edit;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Units\Placed;
use Incastro\Units\Surfaces\Cladding;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;
use Tests\Core\TestLayout;

final class CladdingTest extends TestCase
{
    /** @return list<float> widths of all boards */
    private static function widths(string $clear, string $cover, Unit $unit = Unit::Millimetre): array
    {
        $read = fn (string $typed): Length => (new LengthReader($unit))->read($typed);
        $widths = Cladding::widths(Working::start('clear', $read($clear)), $read($cover), $unit === Unit::Inch ? LengthFormat::inches() : LengthFormat::millimetres());

        return array_map(fn (Working $width) => $width->result->toDouble(), $widths ?? []);
    }

    /**
     * @param  array<string, mixed>  $with
     * @param  array<string, float>  $on
     * @param  array<string, mixed>  $layout
     */
    private static function plan(array $with = [], array $on = [], array $layout = []): SpacePlan
    {
        return self::layout($with, $on, $layout)->plan();
    }

    /**
     * @param  array<string, mixed>  $with
     * @param  array<string, float>  $on
     * @param  array<string, mixed>  $layout
     */
    private static function layout(array $with = [], array $on = [], array $layout = []): TestLayout
    {
        $test = TestLayout::of([]);
        $ends = array_map(TestLayout::mm(...), $on) + ['from' => null, 'to' => null, 'foot' => null, 'head' => null];
        $test->layout = ['surfaces' => [['id' => 's'] + Doc::holds('cladding', $with) + ['on' => ['wall' => 0] + $ends]]] + $layout + Doc::none();

        return $test;
    }

    public function test_the_first_and_the_last_share_what_is_less_than_half_a_board(): void
    {
        // 838 − 2 · 3 = 832 by 90: ten boards, of which the last would be 832 − 9 · 90 = 22; (832 − 8 · 90)/2 = 56 each.
        $widths = self::widths('832', '90');
        self::assertCount(10, $widths);
        self::assertSame([56.0, 90.0, 90.0, 56.0], [$widths[0], $widths[1], $widths[8], $widths[9]]);
        // 356 − 6 = 350: four, the last 80, which is more than half.
        self::assertSame([90.0, 90.0, 90.0, 80.0], self::widths('350', '90'));
        // What rounding half down leaves goes to the last: (833 − 720)/2 = 56.5.
        self::assertSame([56.0, 57.0], [self::widths('833', '90')[0], self::widths('833', '90')[9]]);
        self::assertSame([60.0], self::widths('60', '90'));
        // 94 1/2 − 2 · 3/8 = 93 3/4 by 5 1/8: nineteen, the last 1 1/2; (93 3/4 − 17 · 5 1/8)/2 = 3 5/16.
        $inches = array_map(fn (float $mm) => round($mm / 25.4, 6), self::widths('93 3/4', '5 1/8', Unit::Inch));
        self::assertSame([19, 3.3125, 3.3125], [count($inches), $inches[0], $inches[18]]);
    }

    public function test_the_first_course_gives_way_to_the_floor_and_to_an_opening(): void
    {
        $read = fn (string $typed): Length => (new LengthReader(Unit::Inch))->read($typed);
        // 93 3/4 of 5 1/8, the floor falls 3/8, an opening from 29 5/8 to 47 1/8 above the first course's gap: 4 first, 2 5/8 last.
        $widths = Cladding::widths(Working::start('clear', $read('93 3/4')), $read('5 1/8'), LengthFormat::inches(), $read('3/8'), [$read('29 5/8'), $read('47 1/8')]);
        self::assertNotNull($widths);
        self::assertSame([19, 4.0, 2.625], [count($widths), $widths[0]->result->toDouble() / 25.4, $widths[18]->result->toDouble() / 25.4]);
        self::assertStringContainsString('no strip is narrower than', json_encode($widths[0]->steps, JSON_THROW_ON_ERROR));
        // Without the opening the first is as wide as its scribe leaves it: 2 · 1 7/8 is less than a board, so that it shares with the last.
        $plain = Cladding::widths(Working::start('clear', $read('93 3/4')), $read('5 1/8'), LengthFormat::inches(), $read('3/8'));
        self::assertEqualsWithDelta([3.3125, 3.3125], [($plain[0] ?? null)?->result->toDouble() / 25.4, ($plain[18] ?? null)?->result->toDouble() / 25.4], 1e-6);
    }

    public function test_the_first_board_on_a_floor_that_falls_is_cut_larger_and_scribed(): void
    {
        $plan = self::plan(['lay' => 'level', 'battens' => false, 'fall' => TestLayout::mm(12)], ['foot' => 900.0, 'head' => 1300.0]);
        $first = $plan->assemblies[0]->placed[0];
        // 380 by 90, the first 78 at the most: 1 + ⌈302/90⌉ = 5 courses, 380 − 78 − 270 = 32; (78 + 32)/2 = 55, and 12 to scribe.
        self::assertSame([55.0 + 12.0, 910.0, 965.0], [$first->piece->width->result->toDouble(), $first->bounds->z0, $first->bounds->z1]);
    }

    public function test_boards_cover_the_wall_between_their_gaps_on_battens(): void
    {
        // An alcove of 1200 × 2400, gaps of 10: 1180 across, thirteen boards by 90 and a last of 10, so that both share 100/2.
        $plan = self::plan();
        self::assertSame([], array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
        $boards = array_values(array_filter($plan->assemblies[0]->placed, fn ($placed) => $placed->piece->material->id === 'cladding'));
        self::assertCount(14, $boards);
        self::assertSame([10.0, 60.0, 20.0, 29.0, 10.0, 2390.0], self::bounds($boards[0]));
        self::assertSame([1140.0, 1190.0, 20.0, 29.0, 10.0, 2390.0], self::bounds($boards[13]));
        // Boards of 9 are thin: battens no more than 400 apart over 2400 − 20 − 45 = 2335: 1 + ⌈5.84⌉ = 7.
        self::assertCount(7, array_filter($plan->pieces(), fn (Piece $piece) => $piece->name === 'Batten'));
        self::assertCount(14 * 7, $plan->assemblies[0]->joints);
    }

    public function test_level_boards_go_up_the_wall(): void
    {
        $plan = self::plan(['lay' => 'level', 'battens' => false], ['foot' => 900.0, 'head' => 1300.0]);
        $boards = $plan->assemblies[0]->placed;
        // 400 − 20 = 380: four of 90 and 20 left; both ends share (380 − 270)/2 = 55.
        self::assertSame([[1180.0, 55.0], [1180.0, 90.0], [1180.0, 90.0], [1180.0, 90.0], [1180.0, 55.0]], array_map(fn ($placed) => [$placed->piece->length->result->toDouble(), $placed->piece->width->result->toDouble()], $boards));
        self::assertSame([10.0, 1190.0, 0.0, 9.0, 910.0, 965.0], self::bounds($boards[0]));
    }

    public function test_furniture_stands_before_it_or_under_it(): void
    {
        $bay = TestLayout::bay('a', [], [Doc::tier('a-1', ['size' => TestLayout::mm(800), 'holds' => Recipe::box(0, 1)]), Doc::tier('a-2', ['joined' => false, 'holds' => Recipe::gap()])]);
        $run = ['runs' => [Doc::run('r', 0, [$bay], ['depth' => TestLayout::mm(400)])], 'members' => [Recipe::plinth('p', ['a'])]];
        $before = self::plan([], [], $run);
        self::assertSame('fits', $before->verdict->state);
        // Battens of 20 and boards of 9: the box has its back 29 out from the wall.
        self::assertSame(29.0, $before->layout?->boxes()[0]->v);
        // Over plinth and box it is out of the way: the box stands at the wall.
        $over = self::plan([], ['foot' => 1000.0], $run);
        self::assertSame(['fits', 0.0], [$over->verdict->state, $over->layout?->boxes()[0]->v]);
        // As deep as the space allows it gets shallower by as much.
        $deep = fn (SpacePlan $plan): float => $plan->layout?->boxes()[0]->depth->result->toDouble() ?? 0.0;
        $asDeep = ['runs' => [Doc::run('r', 0, [$bay])]] + $run;
        self::assertSame(29.0, $deep(self::plan([], ['foot' => 1000.0], $asDeep)) - $deep(self::plan([], [], $asDeep)));
    }

    public function test_walls_that_are_clad_meet_in_their_corners_and_what_stands_between_them_is_narrower(): void
    {
        $clad = fn (string $id, int $wall): array => ['id' => $id] + Doc::holds('cladding', []) + ['on' => ['wall' => $wall, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]];
        $bare = TestLayout::of([TestLayout::bay('a')], width: 900.0);
        $lined = $bare->with(['surfaces' => [$clad('b', 0), $clad('l', 1), $clad('r', 3)]]);
        $plan = $lined->plan();
        self::assertSame([], array_map(fn (Finding $one) => $one->sentence, array_values(array_filter($plan->findings, fn (Finding $one) => $one->severity === Severity::Clash))));
        $wide = fn (SpacePlan $of): float => $of->layout?->boxes()[0]->outerWidth()->toDouble() ?? 0.0;
        // 29 at each side.
        self::assertSame(58.0, $wide($bare->plan()) - $wide($plan));
    }

    public function test_a_socket_gets_an_opening_in_the_boards(): void
    {
        $layout = self::layout()->thing('socket', 'socket', 300.0, 250.0, 80.0, 80.0, 8.0, 'reachable');
        $clash = $layout->clashes()[0];
        self::assertContains('Cut an opening for it', array_map(fn ($way) => $way->label, $clash->waysOut));
        $opened = $layout->edited(Edits::opening('socket'));
        self::assertSame([], $opened->clashes());
        // 80 and 5 of air on every side: 295 … 385 along, over boards that end at 330 and 420.
        $cut = array_values(array_filter($opened->plan()->pieces(), fn (Piece $piece) => $piece->isCutFor('socket')));
        self::assertSame(['Board', 'Board'], array_map(fn (Piece $piece) => $piece->name, $cut));
    }

    public function test_it_is_added_placed_and_taken_away_and_each_undone(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a')]);
        $added = $layout->edited(new Edit('layout.do', ['action' => 'add', 'list' => 'surfaces', 'kind' => 'cladding', 'wall' => 0, 'seed' => 'some-seed']));
        $id = $added->layout['surfaces'][0]['id'];
        self::assertSame(['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null], $added->layout['surfaces'][0]['on']);
        $placed = $added->edited(new Edit("layout.surfaces.$id.on.foot", '900'))->edited(new Edit("layout.surfaces.$id.with.gap", '5'));
        self::assertSame([900_000_000, 5_000_000], [$placed->layout['surfaces'][0]['on']['foot']['nm'], $placed->layout['surfaces'][0]['with']['gap']['nm']]);
        self::assertSame([], $placed->edited(new Edit("layout.surfaces.$id", null))->layout['surfaces']);
        try {
            $placed->edited(new Edit("layout.surfaces.$id.on.head", '800'));
            self::fail('It was taken.');
        } catch (InvalidChoice $refused) {
            self::assertSame('It would end before it begins: from 900 mm to 800 mm.', $refused->getMessage());
        }
        $this->expectExceptionMessage('There is no such wall to lie on.');
        $layout->edited(new Edit('layout.do', ['action' => 'add', 'list' => 'surfaces', 'kind' => 'cladding', 'wall' => 9, 'seed' => 'some-seed']));
    }

    #[DataProviderExternal(TestKind::class, 'all')]
    public function test_on_every_wall_of_every_room_it_stays_inside_it(SpaceKind $kind): void
    {
        $room = new TestKind($kind, 31);
        $shape = $room->survey->room?->shape;
        foreach ($shape === null ? [] : array_keys($shape->edges) as $wall) {
            foreach (['upright', 'level'] as $lay) {
                $plan = $room->plan(['surfaces' => [['id' => 's'] + Doc::holds('cladding', ['lay' => $lay]) + ['on' => ['wall' => $wall, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]]]] + Doc::none());
                $codes = array_map(fn (Finding $finding) => $finding->code->value, array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
                // Boards may be too long for the stock; where no wall is, that is said and nothing is built.
                $isWall = in_array($wall, $shape->walls(), true);
                self::assertSame($isWall ? [] : ['surface-nowhere'], array_values(array_diff($codes, ['no-stock'])), "$kind->value, wall $wall, $lay");
                self::assertSame($isWall, $plan->pieces() !== []);
                // It ends where its wall does, also beside a door.
                foreach ($plan->layout->surfaces ?? [] as $surface) {
                    self::assertLessThanOrEqual($surface->frame->length() + 1e-6, $surface->u + $surface->width->result->toDouble());
                    self::assertGreaterThanOrEqual(0.0, $surface->u);
                }
            }
        }
    }

    public function test_too_little_of_a_wall_is_said_with_what_it_takes(): void
    {
        $clashes = array_values(array_filter(self::plan([], ['from' => 100.0, 'to' => 180.0])->findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
        // Two ripped boards of 40 and gaps of 10.
        self::assertSame(['On the back wall it is 80 mm wide: two ripped boards and their gaps need 100 mm.'], array_map(fn (Finding $finding) => $finding->sentence, $clashes));
    }

    /** @return array{float, float, float, float, float, float} */
    private static function bounds(Placed $placed): array
    {
        $b = $placed->bounds;

        return array_map(fn (float $at) => round($at, 3), [$b->u0, $b->u1, $b->v0, $b->v1, $b->z0, $b->z1]);
    }
}
