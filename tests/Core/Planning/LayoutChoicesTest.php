<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Eris\Generators;
use Eris\TestTrait;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\InvalidChoice;
use Incastro\Planning\Layout\LayoutActions;
use Incastro\Planning\Layout\LayoutChoices;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Layout\LayoutIds;
use Incastro\Planning\Layout\LayoutReader;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\Recipes\StartingLayouts;
use Incastro\Rules\Edit;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class LayoutChoicesTest extends TestCase
{
    use TestTrait;

    /** @return array<string, mixed> three bays, the middle one of two tiers under a worktop */
    private static function layout(): array
    {
        $layout = TestLayout::of([
            TestLayout::bay('a'),
            TestLayout::bay('b', ['size' => ['share' => 5]], [Doc::tier('b-1', ['size' => TestLayout::mm(700), 'holds' => Recipe::box(0, 3)]), Doc::tier('b-2', ['joined' => false])]),
            TestLayout::bay('c', ['size' => TestLayout::mm(300), 'joined' => true]),
        ])->layout;
        $layout['members'][] = Doc::member('top', 'worktop', ['b-1']);

        return $layout;
    }

    private static function choices(): LayoutChoices
    {
        return new LayoutChoices(LengthFormat::millimetres(), SpaceShape::of(SpaceKind::Alcove), Length::ofMillimetres(18));
    }

    /**
     * @param  array<string, mixed>  $layout
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function done(array $layout, string $action, string $cell, array $more = []): array
    {
        return self::choices()->apply($layout, new Edit('layout.do', ['action' => $action, 'cell' => $cell, 'seed' => 'seed-of-a-test'] + $more))[0];
    }

    /**
     * @param  array<string, mixed>  $layout
     * @return list<array<string, mixed>>
     */
    private static function bays(array $layout): array
    {
        return $layout['runs'][0]['bays'];
    }

    public function test_a_bay_is_split_in_halves_and_what_stands_under_and_over_it_goes_on(): void
    {
        $after = self::done(self::layout(), 'split-bay', 'b-2');
        // The share of 5 is odd: all shares are doubled first, so that nothing else moves; then 5 and 5 of 18.
        self::assertSame([['share' => 8], ['share' => 5], ['share' => 5]], array_column(array_slice(self::bays($after), 0, 3), 'size'));
        self::assertSame(300_000_000, self::bays($after)[3]['size']['nm']);
        $new = self::bays($after)[2];
        self::assertContains($new['id'], $after['members'][0]['cells']);
        self::assertContains($new['tiers'][0]['id'], $after['members'][1]['cells']);
        self::assertNotContains($new['tiers'][1]['id'], $after['members'][1]['cells']);
    }

    public function test_a_tier_is_split_with_its_shelves(): void
    {
        $after = self::done(self::layout(), 'split-tier', 'b-1');
        $tiers = self::bays($after)[1]['tiers'];
        self::assertSame([323_000_000, 323_000_000], [$tiers[0]['size']['nm'], $tiers[1]['size']['nm']]);
        self::assertSame([2, 1], [$tiers[0]['holds']['with']['adjustable'], $tiers[1]['holds']['with']['adjustable']]);
        self::assertTrue($tiers[1]['joined']);
        self::assertSame('b-1', $tiers[0]['id']);
    }

    public function test_joining_gives_the_size_to_the_neighbour(): void
    {
        self::assertSame(['share' => 9], self::bays(self::done(self::layout(), 'remove-bay', 'b'))[0]['size']);
        // A fixed bay that goes leaves its place to the shares.
        $after = self::done(self::layout(), 'remove-bay', 'c');
        self::assertSame([['share' => 4], ['share' => 5]], array_column(self::bays($after), 'size'));
        // The worktop had nothing else to lie on.
        self::assertSame(['plinth'], array_column(self::done(self::layout(), 'remove-bay', 'b')['members'], 'kind'));
    }

    public function test_swapping_and_mirroring_keep_what_boundaries_are(): void
    {
        $swapped = self::bays(self::done(self::layout(), 'swap-bay', 'b'));
        self::assertSame(['a', 'c', 'b'], array_column($swapped, 'id'));
        self::assertSame([false, false, true], array_column($swapped, 'joined'));
        $mirrored = self::bays(self::done(self::layout(), 'mirror', 'run'));
        self::assertSame(['c', 'b', 'a'], array_column($mirrored, 'id'));
        // The board was between b and c; it still is.
        self::assertSame([false, true, false], array_column($mirrored, 'joined'));
    }

    public function test_a_mirrored_run_has_its_ends_and_closings_the_other_way_round(): void
    {
        $layout = ['closings' => ['left:a-1' => 'trim', 'right:c-1' => 'filler', 'top:a-1' => 'caulk', 'left:z-1' => 'scribe']] + self::layout();
        $layout['runs'][0]['left'] = 'corner';
        $mirrored = self::done($layout, 'mirror', 'a');
        self::assertSame(['through', 'corner'], [$mirrored['runs'][0]['left'], $mirrored['runs'][0]['right']]);
        // z-1 is of no bay of this run.
        self::assertEquals(['right:a-1' => 'trim', 'left:c-1' => 'filler', 'top:a-1' => 'caulk', 'left:z-1' => 'scribe'], $mirrored['closings']);
        self::assertEquals($layout, self::done($mirrored, 'mirror', 'a'));
    }

    public function test_a_layout_with_new_ids_is_the_same_in_all_else(): void
    {
        $layout = self::layout();
        $layout['runs'][0]['bays'][2]['tiers'][0]['snap'] = 'b-1';
        $layout['closings'] = ['left:a-1' => 'trim', 'foot:plinth' => 'scribe'];
        $layout['openings'] = ['socket'];
        $count = 0;
        $renamed = Doc::renamed($layout, function () use (&$count): string {
            return 'new-'.++$count;
        });
        self::assertSame([], array_intersect(Doc::ids($layout), Doc::ids($renamed)));
        self::assertCount(count(Doc::ids($layout)), array_unique(Doc::ids($renamed)));
        // Named back, one for one, nothing differs: what refers to a cell by its id refers to the same one.
        $back = array_combine(Doc::ids($renamed), Doc::ids($layout));
        self::assertEquals($layout, json_decode(strtr(json_encode($renamed, JSON_THROW_ON_ERROR), $back), true, 32, JSON_THROW_ON_ERROR));
    }

    public function test_copies_have_ids_of_their_own(): void
    {
        $after = self::done(self::done(self::layout(), 'copy-bay', 'b'), 'copy-bay', 'b');
        $ids = Doc::ids($after);
        self::assertSame($ids, array_unique($ids));
        self::assertCount(5, self::bays($after));
    }

    public function test_base_and_upper_cut_every_bay_that_shares_the_box(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a'), TestLayout::bay('b', ['joined' => true])])->layout;
        $cut = self::done($layout, 'base-upper', 'a', ['at' => TestLayout::mm(1500)]);
        foreach (self::bays($cut) as $bay) {
            self::assertSame(1_500_000_000, $bay['tiers'][0]['size']['nm']);
            self::assertFalse($bay['tiers'][1]['joined']);
        }
        self::assertCount(2, LayoutReader::division($cut)->runs[0]->groups()[0]);
        foreach (self::bays(self::done($cut, 'whole', 'a')) as $bay) {
            self::assertSame([true, true], array_column($bay['tiers'], 'joined'));
        }
    }

    public function test_runs_and_members_come_and_go(): void
    {
        $more = self::done(self::layout(), 'add-run', '', ['wall' => 1]);
        self::assertSame([1, 'stops'], [$more['runs'][1]['wall'], $more['runs'][1]['left']]);
        self::assertCount(3, $more['members']);
        $less = self::done($more, 'remove-run', $more['runs'][1]['id']);
        self::assertSame(self::layout(), $less);
        $panel = self::done(self::layout(), 'add', '', ['kind' => 'end-panel', 'cells' => ['c', 'nowhere']]);
        self::assertSame(['c'], $panel['members'][2]['cells']);
    }

    /** @return array<string, array{string, mixed, string}> */
    public static function refusals(): array
    {
        return [
            'a bay that went' => ['layout.do', ['action' => 'split-bay', 'cell' => 'gone', 'seed' => 'a seed of it'], 'is not there any more'],
            'no seed' => ['layout.do', ['action' => 'split-bay', 'cell' => 'a'], 'carries a seed'],
            'no action' => ['layout.do', ['action' => 'explode', 'cell' => 'a', 'seed' => 'a seed of it'], 'not an action'],
            'the last bay to the right' => ['layout.do', ['action' => 'swap-bay', 'cell' => 'c', 'seed' => 'a seed of it'], 'There is no bay to its right'],
            'an unknown start' => ['layout.do', ['action' => 'start', 'name' => 'castle', 'seed' => 'a seed of it'], 'no such layout'],
            'a share too large' => ['layout.bays.a.size', ['share' => 25], 'A share is a whole number from 1 to 24'],
            'a width that cannot be read' => ['layout.bays.a.size', 'wide', 'wide'],
            'a width beyond all rooms' => ['layout.bays.a.size', '7000', 'between 10 mm and 6000 mm'],
            'a unit of no kind' => ['layout.tiers.b-1.holds', 'fridge', 'is not something that stands there. There are: drawers, hanging-rail, shelves, apron, '],
            'an edge of nothing' => ['layout.closings.middle:a', 'scribe', 'not one that can be closed'],
            'a closing of no kind' => ['layout.closings.left:a-1', 'glue', 'is not one of'],
            'another field' => ['layout.tiers.b-1.colour', 'red', 'is not a field of a layout'],
            'a whole layout of rubbish' => ['layout', ['runs' => 'many'], 'A layout has a list of runs'],
            'a run along no wall' => ['layout.do', ['action' => 'add-run', 'wall' => 9, 'seed' => 'a seed of it'], 'Say along which wall the run stands: 0, 1, 3.'],
            'a run along the open front' => ['layout.do', ['action' => 'add-run', 'wall' => 2, 'seed' => 'a seed of it'], 'Say along which wall'],
            'a whole layout with a closing of no kind' => ['layout', ['runs' => [], 'members' => [], 'closings' => ['left:a' => 'glue']], '“glue” is not one of'],
            'a whole layout with an edge of nothing' => ['layout', ['runs' => [], 'members' => [], 'closings' => ['a' => 'trim']], 'not one that can be closed'],
            'a bay without tiers' => ['layout', ['runs' => [Doc::run('r', 0, [Doc::bay('b', [])])], 'members' => []], 'There are 0 tiers; it takes 1 to 12.'],
            'bays beyond counting' => ['layout', ['runs' => [Doc::run('r', 0, array_map(fn (int $i) => Doc::bay("b$i", [Doc::tier("t$i")]), range(1, 25)))], 'members' => []], 'There are 25 bays; it takes 0 to 24.'],
            'one id twice' => ['layout', ['runs' => [Doc::run('r', 0, [Doc::bay('b', [Doc::tier('r')])])], 'members' => []], 'two bear “r”'],
            'a run without an id' => ['layout.put', ['runs' => [['wall' => 0]], 'members' => []], 'has an id'],
        ];
    }

    #[DataProvider('refusals')]
    public function test_what_cannot_be_is_refused_in_words(string $path, mixed $value, string $words): void
    {
        try {
            self::choices()->apply(self::layout(), new Edit($path, $value));
            self::fail('It was taken.');
        } catch (InvalidChoice $refused) {
            self::assertStringContainsString($words, $refused->getMessage());
            self::assertSame($path, $refused->path);
        }
    }

    public function test_another_layout_to_begin_with_leaves_what_lies_on_walls(): void
    {
        $hatch = ['id' => 's', 'on' => ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]] + Doc::holds('hatch');
        [$after, $inverse] = self::choices()->apply(['surfaces' => [$hatch]] + self::layout(), new Edit('layout.do', ['action' => 'start', 'name' => 'two-tall', 'seed' => 'seed-of-a-test']));
        self::assertSame([$hatch], $after['surfaces']);
        self::assertCount(2, self::bays($after));
        self::assertEquals([$hatch], self::choices()->apply($after, $inverse)[0]['surfaces']);
    }

    public function test_every_edit_has_an_inverse(): void
    {
        $actions = array_values(array_diff(array_keys(LayoutActions::NAMES), ['start', 'add', 'remove-run']));
        $this->limitTo(120)->forAll(Generators::vector(4, Generators::elements(...$actions)), Generators::choose(0, 5))->then(function (array $names, int $pick): void {
            $layout = $whole = ['closings' => ['left:a-1' => 'trim', 'right:c-1' => 'filler', 'top:b-2' => 'caulk']] + self::layout();
            $before = $inverses = [];
            foreach ($names as $i => $name) {
                $cells = array_merge(...array_map(fn (array $bay) => array_column($bay['tiers'], 'id'), self::bays($layout)));
                $edit = new Edit('layout.do', ['action' => $name, 'cell' => $name === 'mirror' ? 'run' : $cells[$pick % count($cells)], 'seed' => "seed number $i", 'wall' => 1]);
                try {
                    [$after, $inverse] = self::choices()->apply($layout, $edit);
                } catch (InvalidChoice) {
                    continue;
                }
                $before[] = $layout;
                $inverses[] = $inverse;
                $layout = $after;
                $ids = Doc::ids($layout);
                self::assertSame($ids, array_values(array_unique($ids)));
            }
            while ($inverses !== []) {
                [$layout] = self::choices()->apply($layout, array_pop($inverses));
                self::assertEquals(array_pop($before), $layout);
            }
            self::assertEquals($whole, $layout);
        });
    }

    public function test_fields_have_inverses_too(): void
    {
        foreach ([
            ['layout.bays.a.size', '450'], ['layout.bays.a.top', 'below'], ['layout.bays.c.joined', false], ['layout.tiers.b-1.holds', 'gap'], ['layout.tiers.b-1.holds', null],
            ['layout.tiers.b-1.with', ['fixed' => 2, 'adjustable' => 1]], ['layout.tiers.b-1.with.fixed', 2], ['layout.tiers.b-1.with.adjustable', null], ['layout.runs.run.height', '2000'], ['layout.runs.run.left', 'stops'],
            ['layout.members.top.with.overhang', '35'], ['layout.members.top', null], ['layout.closings.left:a-1', 'trim'], ['layout.openings.socket', true],
            ['layout.tiers.b-1.snap', 'a-1'], ['layout', Doc::none()],
        ] as [$path, $value]) {
            [$after, $inverse] = self::choices()->apply(self::layout(), new Edit($path, $value));
            self::assertNotEquals(self::layout(), $after, $path);
            self::assertEquals(self::layout(), self::choices()->apply($after, $inverse)[0], $path);
        }
    }

    public function test_undoing_an_action_leaves_what_somebody_closed_meanwhile(): void
    {
        $layout = ['closings' => ['left:a-1' => 'trim']] + self::layout();
        [$mirrored, $inverse] = self::choices()->apply($layout, new Edit('layout.do', ['action' => 'mirror', 'cell' => 'a', 'seed' => 'a seed of it']));
        [$closed] = self::choices()->apply($mirrored, new Edit('layout.closings.top:b-2', 'filler'));
        [$back] = self::choices()->apply($closed, $inverse);
        self::assertEquals(['left:a-1' => 'trim', 'top:b-2' => 'filler'], $back['closings']);
        // The edges that it turned round are among what it touched.
        self::assertContains('right:a-1', LayoutChoices::touched($layout, $mirrored, new Edit('layout.do', ['action' => 'mirror'])));
    }

    public function test_an_edit_says_what_it_touched(): void
    {
        $layout = self::layout();
        $touched = fn (Edit $edit) => LayoutChoices::touched($layout, self::choices()->apply($layout, $edit)[0], $edit);
        self::assertSame(['b-1'], $touched(new Edit('layout.tiers.b-1.holds', 'gap')));
        // A run that is divided anew is touched with all its cells, so that nobody's change in it is undone unseen.
        $split = $touched(new Edit('layout.do', ['action' => 'split-bay', 'cell' => 'a', 'seed' => 'a seed of it']));
        self::assertContains('b-1', $split);
        self::assertContains('a', $split);
    }

    public function test_the_same_seed_makes_the_same_ids_and_never_one_that_is_taken(): void
    {
        $first = (new LayoutIds('seed'))->next();
        self::assertSame($first, (new LayoutIds('seed'))->next());
        self::assertMatchesRegularExpression('/^[0-9a-f]{8}-[0-9a-f]{4}-8[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/', $first);
        self::assertNotSame($first, (new LayoutIds('seed', [$first]))->next());
    }

    public function test_every_kind_of_space_has_four_to_six_layouts_to_start_from(): void
    {
        foreach (SpaceKind::cases() as $kind) {
            $names = StartingLayouts::names($kind);
            self::assertGreaterThanOrEqual(4, count($names), $kind->value);
            self::assertLessThanOrEqual(6, count($names), $kind->value);
            $starting = new StartingLayouts(SpaceShape::of($kind), 'a seed of it', LengthFormat::millimetres('1'));
            foreach (array_keys($names) as $name) {
                $layout = $starting->named($name);
                self::assertNotNull($layout, $name);
                self::assertFalse(LayoutReader::division($layout)->isEmpty());
                // What the program offers, it also takes back.
                self::assertEquals($layout, (new LayoutChoices(LengthFormat::millimetres(), SpaceShape::of($kind), Length::ofMillimetres(18)))->apply(Doc::none(), new Edit('layout', $layout))[0], $name);
            }
        }
    }

    public function test_what_is_split_or_joined_stays_as_large_outside(): void
    {
        $low = fn (TestLayout $layout) => $layout->plan()->layout?->runs[0]->boxes[0]->outerHeight()->toDouble();
        $whole = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('low', ['size' => TestLayout::mm(720)]), Doc::tier('high', ['joined' => false])])]);
        self::assertSame(720.0, $low($whole));
        // Two clear openings of (720 − 3 · 18)/2 = 333.
        self::assertSame(720.0, $low($whole->edited(new Edit('layout.do', ['action' => 'split-tier', 'cell' => 'low', 'seed' => 'eight letters']))));
        $wide = fn (TestLayout $layout) => $layout->plan()->layout?->runs[0]->boxes[0]->outerWidth()->toDouble();
        $bays = TestLayout::of([TestLayout::bay('a', ['size' => TestLayout::mm(500)]), TestLayout::bay('b', ['size' => TestLayout::mm(400)]), TestLayout::bay('c')]);
        self::assertSame(500.0, $wide($bays));
        // One box of both is as wide as they were: clear openings lose what boards take.
        self::assertSame(900.0, $wide($bays->edited(new Edit('layout.bays.b.joined', true))));
    }
}
