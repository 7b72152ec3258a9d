<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Incastro\Fit\FittedRun;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Finding;
use Incastro\Survey\Space\SpaceKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;
use Tests\Core\TestLayout;

/**
 * Two runs that meet: one along the back wall, 1200 long and 300 deep, and one along the left wall, 600 long and 200 deep, whose
 * right end comes to the back wall's left end. The doubt of the width is 3.115, that of the depth 5.212; half at each end.
 */
final class CornersTest extends TestCase
{
    /** @param array<string, mixed> $but of the run along the back wall */
    private static function layout(string $back, string $side, array $but = []): TestLayout
    {
        $layout = TestLayout::of([TestLayout::bay('a')], $but + ['depth' => TestLayout::mm(300), 'left' => $back]);

        return $layout->with(['runs' => [...$layout->layout['runs'], Doc::run('side', 1, [TestLayout::bay('s')], ['depth' => TestLayout::mm(200), 'right' => $side])]]);
    }

    /** @return array{FittedRun, FittedRun} */
    private static function runs(TestLayout $layout): array
    {
        $runs = $layout->plan()->layout->runs ?? [];
        self::assertCount(2, $runs);

        return [$runs[0], $runs[1]];
    }

    /** @return array<string, array{string, string, float, float}> both ends, and how wide both runs come out */
    public static function ends(): array
    {
        // Whole widths: 1200 − 6 − 4.211 = 1189.8, and 600 − 3 − 5.212 = 591.8, open at the other end. Stopped: less 200, and less 300,
        // and less what the wall behind the other run may bulge more than is known: nobody looked at the back wall, 1.645 · 6 = 9.87;
        // the side wall was read, 1.645 · 1.404 = 2.31.
        return [
            'the back run goes through' => ['through', 'stops', 1189.0, 281.0],
            'the side run goes through, though it was made later' => ['stops', 'through', 987.0, 591.0],
            'where both stop, the first goes through' => ['stops', 'stops', 1189.0, 281.0],
            'a corner bay is left by both' => ['corner', 'corner', 987.0, 281.0],
            'a corner bay that the back run asks for' => ['corner', 'through', 987.0, 281.0],
            'a corner bay that the side run asks for' => ['through', 'corner', 987.0, 281.0],
        ];
    }

    #[DataProvider('ends')]
    public function test_who_stops_where(string $back, string $side, float $backWidth, float $sideWidth): void
    {
        $layout = self::layout($back, $side);
        [$first, $second] = self::runs($layout);
        self::assertSame([$backWidth, $sideWidth], [$first->boxes[0]->outerWidth()->toDouble(), $second->boxes[0]->outerWidth()->toDouble()]);
        self::assertSame([], $layout->clashes());
        // What stops at a run stands 3, the doubt of that run's wall and its own half of the doubt off the face; at a wall it has an edge to close.
        self::assertSame($backWidth > 1000.0, isset($first->edges['left:a-1']));
        self::assertSame($sideWidth > 500.0, isset($second->edges['right:s-1']));
        self::assertTrue(isset($first->edges['right:a-1']));
        // Marks are counted once, whatever had to be fitted twice.
        self::assertSame(['B1', 'B2'], [$first->boxes[0]->mark, $second->boxes[0]->mark]);
    }

    public function test_a_box_behind_another_runs_is_a_blind_corner(): void
    {
        // Box B2 is 200 deep off the left wall, and B1 begins 5 from it: of its 1189 it shows all but what lies before the face: 995.
        $notes = array_filter(self::layout('through', 'stops')->plan()->findings, fn (Finding $finding) => $finding->code->value === 'blind-corner');
        self::assertSame(['A blind corner: box B2 stands before box B1, which is reached through 995 mm of its 1189 mm. It is for what is seldom needed; or leave the corner open.'], array_values(array_map(fn (Finding $finding) => $finding->sentence, $notes)));
        // Where the side run goes through, nothing stands before either: each begins beside the other.
        foreach ([['corner', 'corner'], ['through', 'corner']] as $ends) {
            self::assertNotContains('blind-corner', array_map(fn (Finding $finding) => $finding->code->value, self::layout(...$ends)->plan()->findings));
        }
    }

    public function test_a_front_that_another_run_closes_clashes_until_the_corner_is_left_open(): void
    {
        // Two bays of which the left one is 300 wide, behind a side run 200 deep: about 100 of it stay open.
        $bays = [TestLayout::bay('a', ['size' => TestLayout::mm(300)]), TestLayout::bay('b')];
        $layout = TestLayout::of($bays, ['depth' => TestLayout::mm(300), 'left' => 'through']);
        $layout = $layout->with(['runs' => [...$layout->layout['runs'], Doc::run('side', 1, [TestLayout::bay('s')], ['depth' => TestLayout::mm(200), 'right' => 'stops'])]]);
        $clash = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code->value === 'front-closed'))[0];
        self::assertStringContainsString('closes the front of box B1', $clash->sentence);
        self::assertSame('Let the run leave the corner at its left end open', $clash->waysOut[0]->label);
        foreach ($clash->waysOut as $way) {
            self::assertNotContains('front-closed', array_map(fn (Finding $finding) => $finding->code->value, $layout->edited($way->edit)->clashes()), $way->label);
        }
    }

    public function test_two_that_go_through_one_corner_clash(): void
    {
        $layout = self::layout('through', 'through');
        $clash = $layout->clashes()[0];
        self::assertSame('overlap', $clash->code->value);
        // The side run is 200 deep, and the back run begins 5 from its wall.
        self::assertSame('Where two runs meet, box B2 would stand 195 mm inside box B1 of another run.', $clash->sentence);
        foreach ($clash->waysOut as $way) {
            self::assertNotContains('overlap', array_map(fn (Finding $finding) => $finding->code->value, $layout->edited($way->edit)->clashes()), $way->label);
        }
    }

    public function test_a_run_with_nothing_in_it_is_nothing_to_stop_at(): void
    {
        $layout = self::layout('through', 'stops');
        $open = TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Recipe::gap()])]);
        [, $side] = self::runs($layout->with(['runs' => [['bays' => [$open]] + $layout->layout['runs'][0], $layout->layout['runs'][1]]]));
        self::assertSame(591.0, $side->boxes[0]->outerWidth()->toDouble());
    }

    public function test_a_worktop_stands_over_the_face_and_is_stopped_at_too(): void
    {
        $layout = self::layout('through', 'stops', ['height' => TestLayout::mm(700)]);
        [$back, $side] = self::runs($layout->with(['members' => [...$layout->layout['members'], Doc::member('top', 'worktop', ['a-1'])]]));
        self::assertSame(320.0, $back->front());
        // 600 − 320 − 3 − 5.212 − 9.87 = 261.9.
        self::assertSame(261.0, $side->boxes[0]->outerWidth()->toDouble());
    }

    /** @return array<string, array{SpaceKind, string, string}> */
    public static function crooked(): array
    {
        $cases = [];
        foreach ([SpaceKind::Closet, SpaceKind::RoomCorner, SpaceKind::Alcove] as $kind) {
            foreach ([['through', 'stops'], ['stops', 'through'], ['corner', 'corner']] as [$back, $side]) {
                $cases["$kind->value, $back and $side"] = [$kind, $back, $side];
            }
        }

        return $cases;
    }

    #[DataProvider('crooked')]
    public function test_in_crooked_corners_nothing_meets_either(SpaceKind $kind, string $back, string $side): void
    {
        $layout = [
            'runs' => [
                Doc::run('back', 0, [TestLayout::bay('a')], ['depth' => TestLayout::mm(350), 'left' => $back]),
                Doc::run('side', 1, [TestLayout::bay('b')], ['depth' => TestLayout::mm(250), 'right' => $side]),
            ],
        ] + Doc::none();
        foreach ([3, 8, 21, 34] as $seed) {
            $plan = (new TestKind($kind, $seed))->plan($layout);
            self::assertNotContains('overlap', array_map(fn (Finding $finding) => $finding->code->value, $plan->findings), "room $seed");
            self::assertGreaterThan(0.0, self::apart($plan), "room $seed");
        }
    }

    /** How far the two boxes are apart: along the frame of one of the runs or the other, whichever parts them more. */
    private static function apart(SpacePlan $plan): float
    {
        $runs = $plan->layout->runs ?? [];
        self::assertCount(2, $runs);
        $apart = [];
        foreach ($runs as $r => $run) {
            $other = $runs[1 - $r];
            [$own, $its] = [$run->boxes[0], $other->boxes[0]];
            $places = array_map(fn (array $at) => $other->frame->place($run->frame->point(...$at)), [[$own->u, $own->v], [$own->right(), $own->v], [$own->right(), $own->face()], [$own->u, $own->face()]]);
            array_push($apart, min(array_column($places, 1)) - $its->face(), $its->u - max(array_column($places, 0)), min(array_column($places, 0)) - $its->right());
        }

        return max($apart);
    }
}
