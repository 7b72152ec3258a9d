<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Bevel;
use Incastro\Pieces\Works\Bevelled;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Materials\SheetGood;
use Incastro\Units\Assembly;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** What a layout of bays, tiers and members turns into, summed by hand; in the plumb alcove 2400 high, boards of 18. */
final class LayoutPiecesTest extends TestCase
{
    private static function assembly(TestLayout $layout): Assembly
    {
        return $layout->plan()->assemblies[0];
    }

    /** @return array<string, Piece> by mark */
    private static function pieces(TestLayout $layout): array
    {
        return array_column(array_map(fn (Placed $placed) => [$placed->piece->mark, $placed->piece], self::assembly($layout)->placed), 1, 0);
    }

    /** @return array{float, float} */
    private static function sized(Piece $piece): array
    {
        return [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
    }

    private static function shared(): TestLayout
    {
        return TestLayout::of([TestLayout::bay('a', ['size' => TestLayout::mm(500)]), TestLayout::bay('b', ['joined' => true])]);
    }

    public function test_a_plinth_that_stands_out_before_its_boxes_is_a_step(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a')], ['depth' => TestLayout::mm(400.0)]);
        $layout->layout['members'][0]['with'] = ['ledge' => TestLayout::mm(120.0)];
        $pieces = [];
        foreach ($layout->plan()->pieces() as $piece) {
            $pieces[$piece->name] = $piece->width->result->toDouble();
        }
        // 120 less a toe board of 18: a board of 102, on a rail of 70 − 18 = 52 and bearers alike.
        self::assertSame([102.0, 52.0, 52.0], [$pieces['Ledge'], $pieces['Ledge rail'], $pieces['Ledge bearer']]);
        self::assertSame([], $layout->clashes());
        // What boxes stand on goes as far as they do: bearers of 400 − 2 · 18 and what the wall behind takes, not set back.
        $bearer = array_values(array_filter($layout->plan()->pieces(), fn ($piece) => $piece->name === 'Plinth bearer'))[0];
        $box = $layout->plan()->layout->runs[0]->boxes[0] ?? null;
        self::assertEqualsWithDelta(($box?->outerDepth()->toDouble() ?? 0.0) - 36.0, $bearer->length->result->toDouble(), 1.0);
    }

    public function test_two_bays_that_share_a_board_by_hand(): void
    {
        $layout = self::shared();
        $run = $layout->plan()->layout?->runs[0];
        self::assertNotNull($run);
        $box = $run->boxes[0];
        $wide = $box->outerWidth()->toDouble();
        $high = $box->outerHeight()->toDouble();
        $pieces = self::pieces($layout);
        // Depth 400 less the face frame of 18 and the laid-on back of 6.
        self::assertSame([$high, 376.0], self::sized($pieces['B1-side-L']));
        self::assertSame([$wide - 36.0, 376.0], self::sized($pieces['B1-bottom']));
        self::assertSame(self::sized($pieces['B1-bottom']), self::sized($pieces['B1-top']));
        self::assertSame([$high - 36.0, 376.0], self::sized($pieces['B1-divider-1']));
        // The back is laid on, 1 short of the box all round; its grain runs up.
        self::assertSame([$high - 2.0, $wide - 2.0], self::sized($pieces['B1-back']));
        // 500 clear on the left, and a shelf drops in with 3 of play; on the right what is left of the box: three boards go off.
        self::assertSame(500.0 - 3.0, $pieces['B1-shelf-1']->length->result->toDouble());
        self::assertSame($wide - 3 * 18.0 - 500.0 - 3.0, $pieces['B1-shelf-3']->length->result->toDouble());
    }

    public function test_a_face_frame_stands_before_every_board(): void
    {
        $layout = self::shared();
        $box = $layout->plan()->layout?->runs[0]->boxes[0];
        self::assertNotNull($box);
        $placed = array_column(array_map(fn (Placed $one) => [$one->piece->mark, $one], self::assembly($layout)->placed), 1, 0);
        $stile = $placed['B1-stile-mid-1'];
        $divider = $placed['B1-divider-1'];
        // The stile is 38 wide, its middle before the middle of the board.
        self::assertSame(38.0, $stile->piece->width->result->toDouble());
        self::assertEqualsWithDelta(($divider->bounds->u0 + $divider->bounds->u1) / 2, ($stile->bounds->u0 + $stile->bounds->u1) / 2, 0.5);
        self::assertEqualsWithDelta($box->face(), $stile->bounds->v1, 1e-6);
        // Face pieces stand before the box and nowhere in it.
        foreach ($placed as $one) {
            if ($one->part === Part::Face) {
                self::assertGreaterThanOrEqual($box->face() - 18.0 - 1e-6, $one->bounds->v0, $one->piece->mark);
            }
        }
    }

    public function test_a_plinth_has_two_rails_and_a_bearer_under_every_joint_by_hand(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a'), TestLayout::bay('b')]);
        $plinth = $layout->plan()->layout?->runs[0]->under()[0];
        self::assertNotNull($plinth);
        $pieces = self::pieces($layout);
        self::assertSame([$plinth->length->result->toDouble(), 70.0], self::sized($pieces['P1-rail-front']));
        // Between the rails: the plinth's depth less two boards.
        self::assertSame([$plinth->depth->result->toDouble() - 36.0, 70.0], self::sized($pieces['P1-bearer-1']));
        $bearers = array_values(array_filter(self::assembly($layout)->placed, fn (Placed $one) => str_starts_with($one->piece->mark, 'P1-bearer')));
        $joint = $layout->plan()->layout->runs[0]->boxes[0]->right();
        self::assertNotSame([], array_filter($bearers, fn (Placed $one) => $one->bounds->u0 < $joint && $one->bounds->u1 > $joint), 'No bearer under the joint of both boxes.');
        foreach (array_slice($bearers, 1) as $i => $bearer) {
            self::assertLessThanOrEqual(600.0 + 1e-6, $bearer->bounds->u0 - $bearers[$i]->bounds->u0);
        }
        self::assertEqualsWithDelta($plinth->u, $bearers[0]->bounds->u0, 1e-6);
        self::assertEqualsWithDelta($plinth->end(), $bearers[count($bearers) - 1]->bounds->u1, 1e-6);
    }

    public function test_a_worktop_is_cut_to_three_walls_and_its_blank_is_larger_than_its_outline(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a', [], [Doc::tier('low', ['size' => TestLayout::mm(700)]), Doc::tier('high', ['holds' => Recipe::gap(), 'joined' => false])])]);
        $layout = $layout->with(['members' => [...$layout->layout['members'], Doc::member('top', 'worktop', ['low'])]]);
        $top = self::pieces($layout)['W1-top'];
        [$minX, $maxX, $minY, $maxY] = $top->outline->bounds();
        // The alcove is 1200 wide: the finished top fills it, and hangs 20 over the box of 400.
        self::assertEqualsWithDelta(1200.0, $maxX - $minX, 0.5);
        self::assertEqualsWithDelta(420.0, $maxY - $minY, 0.5);
        [$length, $width] = self::sized($top);
        // At both ends the reserve of 5 and the doubt: 1.645 · σ, up to the full mm.
        self::assertGreaterThan(1200.0 + 2 * 5.0, $length);
        self::assertLessThan(1200.0 + 2 * 9.0, $length);
        self::assertGreaterThan(425.0, $width);
        self::assertSame(['front, long', 'left, short', 'right, short', 'back, long'], array_map(fn ($work) => $work->edge(), $top->works));
    }

    public function test_a_filler_panel_closes_a_cell_in_the_plane_of_the_face(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a'), TestLayout::bay('f', ['size' => TestLayout::mm(120)], [Doc::tier('f-1', ['holds' => Doc::holds('filler-panel')])])]);
        $placed = array_values(array_filter(self::assembly($layout)->placed, fn (Placed $one) => $one->owner === 'f-1' && $one->part === Part::Face));
        self::assertCount(1, $placed);
        self::assertSame(120.0, $placed[0]->piece->width->result->toDouble());
        self::assertEqualsWithDelta(400.0, $placed[0]->bounds->v1 - min(0.0, $placed[0]->bounds->v0), 30.0);
        self::assertSame($layout->plan()->layout?->runs[0]->boxes[0]->face(), $placed[0]->bounds->v1);
    }

    public function test_shelves_on_cleats_lie_on_three_cleats_below_them(): void
    {
        $layout = TestLayout::of([TestLayout::bay('s', [], [Doc::tier('s-1', ['holds' => Recipe::cleats(2)])])]);
        $placed = self::assembly($layout)->placed;
        $shelves = array_values(array_filter($placed, fn (Placed $one) => $one->part === Part::Loose));
        $cleats = array_values(array_filter($placed, fn (Placed $one) => $one->part === Part::Cleat));
        self::assertCount(2, $shelves);
        self::assertCount(6, $cleats);
        foreach ($shelves as $k => $shelf) {
            foreach (array_slice($cleats, 3 * $k, 3) as $cleat) {
                self::assertEqualsWithDelta($shelf->bounds->z0, $cleat->bounds->z1, 1e-6);
                self::assertGreaterThanOrEqual($shelf->bounds->u0 - 1e-6, $cleat->bounds->u0);
                self::assertLessThanOrEqual($shelf->bounds->u1 + 1e-6, $cleat->bounds->u1);
                self::assertLessThanOrEqual($shelf->bounds->v1, $cleat->bounds->v1);
            }
        }
    }

    /** @return array<string, array{TestLayout}> */
    public static function layouts(): array
    {
        $tiers = fn (string $bay, int $n, array $but = []) => array_map(fn (int $i) => Doc::tier("$bay-$i", $but + ['holds' => Recipe::box(0, $i % 3)]), range(1, $n));
        $three = TestLayout::of([TestLayout::bay('a', [], $tiers('a', 3)), TestLayout::bay('b', ['joined' => true], $tiers('b', 2)), TestLayout::bay('c', ['size' => ['share' => 2]], $tiers('c', 4))], [], 2400.0);

        return [
            'one box' => [TestLayout::of([TestLayout::bay('a')])],
            'shared boards' => [self::shared()],
            'three bays of tiers' => [$three],
            'base and upper under a worktop' => [TestLayout::of([TestLayout::bay('a', [], [Doc::tier('low', ['size' => TestLayout::mm(700)]), Doc::tier('high', ['joined' => false, 'depth' => TestLayout::mm(280)])])])
                ->with(['members' => [Doc::member('plinth', 'plinth', ['a']), Doc::member('top', 'worktop', ['low'])]])],
            'a pipe, a socket and a beam' => [self::shared()->thing('pipe', 'pipe', 300, 0, 22, 2300, 45, 'may-be-covered', ['direction' => 'up'])
                ->thing('socket', 'socket', 800, 300, 82, 82, 8, 'reachable')->thing('beam', 'beam', 0, 2300, 1200, 100, 60, 'may-be-covered')->with(['openings' => ['socket']])],
        ];
    }

    #[DataProvider('layouts')]
    public function test_what_holds_for_the_pieces_of_every_layout(TestLayout $layout): void
    {
        $placed = self::assembly($layout)->placed;
        $marks = array_map(fn (Placed $one) => $one->piece->mark, $placed);
        $keys = array_map(fn (Placed $one) => $one->piece->key, $placed);
        self::assertSame($marks, array_values(array_unique($marks)));
        self::assertSame($keys, array_values(array_unique($keys)));
        foreach ($placed as $one) {
            [$length, $width] = self::sized($one->piece);
            [$minX, $maxX, $minY, $maxY] = $one->piece->outline->bounds();
            // What is left of a piece lies within its blank, and so do its holes.
            self::assertGreaterThanOrEqual(-1e-6, min($minX, $minY), $one->piece->mark);
            self::assertLessThanOrEqual($length + 1e-6, $maxX, $one->piece->mark);
            self::assertLessThanOrEqual($width + 1e-6, $maxY, $one->piece->mark);
            self::assertTrue($one->piece->outline->outer->isSimple(), $one->piece->mark);
            foreach ($one->piece->outline->holes as $hole) {
                self::assertGreaterThanOrEqual(-1e-6, min($hole->bounds()), $one->piece->mark);
                self::assertLessThanOrEqual($length + 1e-6, $hole->bounds()[1]);
            }
        }
        // No two pieces of any kind stand in one another.
        foreach ($placed as $i => $one) {
            foreach (array_slice($placed, $i + 1) as $other) {
                self::assertLessThanOrEqual(0.5, $one->solid()->overlap($other->solid(), 0.5), $one->piece->mark.' in '.$other->piece->mark);
            }
        }
    }

    public function test_pieces_are_alike_only_where_all_that_is_cut_is(): void
    {
        $piece = fn (array $but = []): Piece => new Piece(...$but + [
            'key' => 'a', 'mark' => 'B1-side-L', 'name' => 'Side', 'length' => Working::start('height', Length::ofMillimetres(720)), 'width' => Working::start('depth', Length::ofMillimetres(400)),
            'thickness' => Length::ofMillimetres(18), 'purpose' => Purpose::Carcass, 'material' => new SheetGood('carcass', 'ply', Length::ofMillimetres(18), 680.0), 'grain' => Grain::Length, 'outline' => Outline::rectangle(0.0, 0.0, 720.0, 400.0),
        ]);
        $bevel = new Bevelled('top', 36.87, bevels: [new Bevel([new Point(720.0, 0.0), new Point(720.0, 400.0)], 0.75, true)]);
        self::assertTrue($piece()->likeness()->isEqualTo($piece(['key' => 'b', 'mark' => 'B2-side-L'])->likeness()));
        foreach ([['works' => [$bevel]], ['joints' => ['dado 9 mm deep']], ['grain' => Grain::Width], ['thickness' => Length::ofMillimetres(15)], ['name' => 'Divider']] as $other) {
            self::assertFalse($piece()->likeness()->isEqualTo($piece($other)->likeness()), (string) array_key_first($other));
        }
    }
}
