<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Closing\FittedEdge;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Marks\Mark;
use Incastro\Pieces\Marks\MarkKind;
use Incastro\Pieces\Piece;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Planner;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Schools\BoxBack;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\Schools;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Joint;
use Incastro\Units\Pull;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;
use Tests\Core\TestLayout;
use Tests\Core\TestTerms;

/** What the schools of a job change in a box of 800 × 900 × 560 of boards of 17.7, with a back of 6 and a face frame of 18. */
final class SchoolsTest extends TestCase
{
    private static function box(Schools $schools): UnitBox
    {
        return new UnitBox('800', '900', '560', schools: $schools);
    }

    /** @return array<string, array{BoxBack, array{float, float}, array{float, float}, float, array{float, float}|null}> */
    public static function backs(): array
    {
        return [
            // Everything stands before it: 560 − 18 − 6. The back: 900 − 2 by 800 − 2.
            'laid on' => [BoxBack::LaidOn, [900.0, 536.0], [764.0, 536.0], 536.0, [898.0, 798.0]],
            // Sides keep the whole depth, 560 − 18; the back goes half of 17.7 into each: 800 − 2 · 17.7 + 2 · 8.85 − 2 = 780.3.
            'rabbeted' => [BoxBack::Rabbeted, [900.0, 542.0], [764.0, 536.0], 536.0, [898.0, 780.0]],
            // Sides, bottom and top keep the whole depth; inside it is 542 − 17.7 = 524.3. The back: 900 − 35.4 − 2 by 800 − 35.4 − 2.
            'inset' => [BoxBack::Inset, [900.0, 542.0], [764.0, 542.0], 524.0, [862.0, 762.0]],
            'none' => [BoxBack::None, [900.0, 542.0], [764.0, 542.0], 542.0, null],
        ];
    }

    /**
     * @param  array{float, float}  $side
     * @param  array{float, float}  $bottom
     * @param  array{float, float}|null  $back
     */
    #[DataProvider('backs')]
    public function test_the_back_decides_how_deep_the_boards_are(BoxBack $school, array $side, array $bottom, float $shelf, ?array $back): void
    {
        $box = self::box(new Schools(back: $school));
        $pieces = $box->pieces($box->build(new Shelves(0, 1)));
        self::assertSame($side, array_slice($pieces['side-L'], 0, 2));
        self::assertSame($bottom, array_slice($pieces['bottom'], 0, 2));
        self::assertSame($shelf, $pieces['shelf-1'][1]);
        self::assertSame($back, isset($pieces['back']) ? array_slice($pieces['back'], 0, 2) : null);
        // A thick back is a nailer itself.
        self::assertSame($school !== BoxBack::Inset, isset($pieces['nailer-top']));
    }

    public function test_a_rabbet_is_marked_along_the_rear_edge_of_both_sides(): void
    {
        $box = TestTerms::joined(self::box(new Schools(back: BoxBack::Rabbeted))->build(new Shelves(0, 0)));
        foreach ($box->placed as $placed) {
            $rabbets = array_values(array_filter($placed->piece->marks, fn (Mark $mark) => $mark->kind === MarkKind::Rabbet));
            self::assertCount(str_starts_with($placed->piece->name, 'Side') ? 1 : 0, $rabbets, $placed->piece->mark);
            foreach ($rabbets as $rabbet) {
                // As wide as the back, 6, so that its middle lies 3 from the rear; half of 17.7 deep.
                self::assertEqualsWithDelta([3.0, 6.0, 8.85], [$rabbet->at[0]->y, $rabbet->across, $rabbet->depth], 1e-6);
            }
        }
    }

    public function test_rabbets_need_a_router_or_a_table_saw(): void
    {
        $plan = TestLayout::of([TestLayout::bay('a')])->changing(['schools' => ['back' => 'rabbeted'], 'tools' => ['router' => false, 'table-saw' => false]])->plan();
        $said = array_values(array_filter($plan->findings, fn (Finding $finding) => $finding->code === Code::ToolLacks));
        self::assertSame(['Backs lie in rabbets, and there is no router or table saw among the tools.'], array_map(fn (Finding $finding) => $finding->sentence, $said));
        self::assertSame('Lay backs on behind', $said[0]->waysOut[0]->label);
        self::assertSame(['schools.back', 'laid-on'], [$said[0]->waysOut[0]->edit->path, $said[0]->waysOut[0]->edit->value]);
    }

    public function test_banded_edges_leave_the_whole_opening_free(): void
    {
        $box = self::box(new Schools(edges: Edges::Band));
        $built = $box->build(new Shelves(0, 1), UnitBox::door(1, Hand::Left, Pull::Bar));
        $pieces = $box->pieces($built);
        // 764.6 and 864.6 clear, less 2 · 2.5: 759.6 and 859.6, down to halves; flush in front of boards that are 554 deep.
        self::assertSame([859.5, 759.5, [2.5, 762.0, 536.0, 554.0, 2.5, 862.0]], $pieces['door-L']);
        self::assertSame('banded', array_values(array_filter($built->placed, fn ($placed) => $placed->piece->mark === 'B1-side-L'))[0]->piece->works[0]->words(LengthFormat::millimetres()));
    }

    public function test_hinge_plates_stand_on_the_side_of_a_banded_box(): void
    {
        $built = TestTerms::joined(self::box(new Schools(edges: Edges::Band))->build(new Shelves(0, 0), UnitBox::door(1, Hand::Left, Pull::Bar)));
        $side = array_values(array_filter($built->placed, fn ($placed) => $placed->piece->mark === 'B1-side-L'))[0]->piece;
        $plates = array_values(array_filter($side->marks, fn (Mark $mark) => $mark->kind === MarkKind::Plate))[0];
        // Its foot at 17.7 + 2.5, the first hinge 100 up, screws 16 below and above it; 37 behind a leaf of 18: 554 − 18 − 37.
        self::assertEqualsWithDelta([104.2, 136.2], [$plates->at[0]->x, $plates->at[1]->x], 1e-6);
        self::assertEqualsWithDelta(499.0, $plates->at[0]->y, 1e-6);
    }

    public function test_a_banded_box_is_closed_to_the_house_by_strips(): void
    {
        $plan = (new Planner())->plan(TestAlcove::leaning()->job('mm/1', ['depth' => '400'], ['schools' => ['edges' => 'band']]));
        $edges = $plan->spaces[0]->layout?->runs[0]->edges ?? [];
        $closings = array_map(fn (FittedEdge $edge) => $edge->closing, $edges);
        self::assertSame([Closing::Filler, Closing::Filler], [$closings['left:box'], $closings['right:box']]);
        self::assertSame('B1 left side to wall', $edges['left:box']->label);
        self::assertStringContainsString('a banded edge is not cut', $edges['left:box']->reason);
        self::assertStringStartsWith('Fits.', $plan->spaces[0]->verdict->sentence);
        $names = array_map(fn (Piece $piece) => $piece->name, $plan->pieces());
        self::assertNotContains('Stile', $names);
        self::assertContains('Filler', $names);
        // A strip is held through the side beside it.
        $joints = array_map(fn (Joint $joint) => "$joint->a|$joint->b", array_merge(...array_map(fn (Assembly $assembly) => $assembly->joints, $plan->spaces[0]->assemblies)));
        self::assertContains('box:side-L|box:filler-left', $joints);
        // Asked to be scribed all the same, it says why not.
        $asked = (new Planner())->plan(TestAlcove::leaning()->job('mm/1', ['depth' => '400', 'closings' => ['left' => 'scribe']], ['schools' => ['edges' => 'band']]));
        self::assertSame(Closing::Filler, $asked->spaces[0]->layout?->runs[0]->edges['left:box']->closing);
    }

    public function test_a_door_follows_the_jobs_school_until_it_is_told_otherwise(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a')])->with(['fronts' => [Doc::member('f', 'door', ['a-1'])]]);
        $wide = fn (TestLayout $layout): float => array_values(array_filter($layout->plan()->pieces(), fn (Piece $piece) => $piece->name === 'Door'))[0]->width->result->toDouble();
        $inset = $wide($layout);
        // 2.5 inside the opening on both sides, or 12.7 over the frame.
        self::assertEqualsWithDelta(2 * (2.5 + 12.7), $wide($layout->changing(['schools' => ['doors' => 'overlay']])) - $inset, 0.51);
        $told = $layout->with(['fronts' => [array_replace(Doc::member('f', 'door', ['a-1']), ['with' => ['mount' => 'inset']])]]);
        self::assertSame($inset, $wide($told->changing(['schools' => ['doors' => 'overlay']])));
    }
}
