<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Fit\Terms;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Work;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\SheetGood;
use Incastro\Units\Make\Trim\TrimCorner;
use Incastro\Units\Make\Trim\TrimStrip;
use Incastro\Units\Make\Workshop;
use Incastro\Units\Placed;
use Incastro\Units\TrimEnd;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;
use Tests\Core\TestLayout;

/** A skirting or a cornice round what stands 340 out of the wall and is 1180 wide, by hand. */
final class TrimAroundTest extends TestCase
{
    /**
     * @param  list<array<string, mixed>>  $bays
     * @param  array<string, mixed>  $with
     */
    private static function layout(array $bays, array $with = [], float $wide = 2600.0): TestLayout
    {
        $layout = TestLayout::of($bays, ['depth' => TestLayout::mm(340)], $wide);
        $around = array_replace(Doc::member('round', 'trim-around', array_column($bays, 'id')), ['with' => $with]);

        return $layout->with(['members' => [...$layout->layout['members'], $around]]);
    }

    /** @return array<string, mixed> */
    private static function box(string $id, float $wide, float $high = 900.0): array
    {
        return TestLayout::bay($id, ['size' => TestLayout::mm($wide), 'top' => 'below'], [Doc::tier("$id-1", ['holds' => Recipe::box(0, 2), 'size' => TestLayout::mm($high)]), Doc::tier("$id-2", ['holds' => Recipe::gap(), 'joined' => false])]);
    }

    /** @return array<string, mixed> */
    private static function free(string $id): array
    {
        return TestLayout::bay($id, [], [Doc::tier("$id-1", ['holds' => Recipe::gap()])]);
    }

    /** @return array<string, Placed> strips by their keys */
    private static function strips(SpacePlan $plan): array
    {
        $strips = [];
        foreach ($plan->assemblies as $assembly) {
            foreach ($assembly->placed as $one) {
                if (str_starts_with($one->piece->key, 'round')) {
                    $strips[$one->piece->key] = $one;
                }
            }
        }

        return $strips;
    }

    public function test_it_is_mitred_at_its_corners_and_coped_over_the_skirting_of_the_wall(): void
    {
        $layout = self::layout([self::free('a'), self::box('b', 1180), self::free('c')]);
        self::assertSame([], $layout->clashes());
        $strips = self::strips($layout->plan());
        self::assertSame(['round:front', 'round:side-L', 'round:side-R'], array_keys($strips));
        // 1180 + 18·tan 45° + 18·tan 45° in front; 340 + 18·tan 45° at each side, where the cope adds nothing.
        self::assertSame([1216.0, 358.0, 358.0], array_map(fn (Placed $one) => $one->piece->length->result->toDouble(), array_values($strips)));
        self::assertSame([145.0, 18.0], [$strips['round:front']->piece->width->result->toDouble(), $strips['round:front']->piece->thickness->toDouble()]);
        self::assertSame(['left end: bevelled 45.0°, longest on the face', 'right end: bevelled 45.0°, longest on the face'], self::words($strips['round:front']));
        // Seen from its own side each is coped at the wall: the left one at its left.
        self::assertSame(['left end: bevelled 45.0°, longest at its back, then coped', 'right end: bevelled 45.0°, longest on the face'], self::words($strips['round:side-L']));
        self::assertSame(['left end: bevelled 45.0°, longest on the face', 'right end: bevelled 45.0°, longest at its back, then coped'], self::words($strips['round:side-R']));
        [$front, $left, $right] = [$strips['round:front']->bounds, $strips['round:side-L']->bounds, $strips['round:side-R']->bounds];
        self::assertEqualsWithDelta([340.0, 358.0, 0.0, 145.0], [$front->v0, $front->v1, $front->z0, $front->z1], 1e-6);
        self::assertEqualsWithDelta([$front->u0, 18.0, 358.0, $front->u1], [$left->u0, $left->v0, $left->v1, $right->u1], 1e-6);
    }

    public function test_with_the_skirting_of_its_wall_it_goes_round_everything(): void
    {
        $layout = self::layout([self::free('a'), self::box('b', 1180), self::free('c')]);
        $layout = $layout->with(['surfaces' => [['id' => 'wall'] + Doc::holds('trim-run', ['width' => TestLayout::mm(145)]) + ['on' => ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]]]]);
        self::assertSame([], $layout->clashes());
        $own = array_values(array_filter($layout->plan()->pieces(), fn (Piece $piece) => str_starts_with($piece->key, 'wall:')));
        // The wall of 2600 less the furniture of 1180: from corner to its left side, and from its right side to the corner.
        self::assertSame([710.0, 710.0], array_map(fn (Piece $piece) => $piece->length->result->toDouble(), $own));
        self::assertSame(['right: square', 'left: square'], [$own[0]->joints[1], $own[1]->joints[0]]);
    }

    public function test_at_a_wall_it_ends_square_and_beside_a_shallower_box_at_its_face(): void
    {
        $shallow = self::box('b', 800);
        $shallow['tiers'][0]['depth'] = TestLayout::mm(250);
        $layout = self::layout([self::box('a', 900), $shallow, self::free('c')]);
        self::assertSame([], $layout->clashes());
        $strips = self::strips($layout->plan());
        // One row for each face: the deep one ends at the left wall, and its right side comes back 340 − 250 to the other's strip.
        self::assertSame(['round:front', 'round:side-R', 'round/b-1:front', 'round/b-1:side-R'], array_keys($strips));
        self::assertSame([90.0 + 18.0, 250.0 + 18.0], [$strips['round:side-R']->piece->length->result->toDouble(), $strips['round/b-1:side-R']->piece->length->result->toDouble()]);
        self::assertSame(['right end: bevelled 45.0°, longest on the face'], self::words($strips['round:front']));
    }

    public function test_a_cornice_leans_out_at_the_head(): void
    {
        $strips = self::strips(self::layout([self::free('a'), self::box('b', 1180, 1800), self::free('c')], ['edge' => 'head', 'isCrown' => true, 'width' => TestLayout::mm(70)])->plan());
        $bounds = $strips['round:front']->bounds;
        // It comes out by 70·sin 38° + 18·cos 38°; at its outer corners mitre 31.6°, bevel 33.9°.
        self::assertEqualsWithDelta(340.0 + 70 * sin(deg2rad(38)) + 18 * cos(deg2rad(38)), $bounds->v1, 1e-6);
        self::assertStringContainsString('31.6°', implode(' ', self::words($strips['round:front'])));
        self::assertStringContainsString('33.9°', implode(' ', self::words($strips['round:front'])));
    }

    public function test_a_skirting_reaches_what_stands_over_an_open_foot(): void
    {
        $low = self::layout([self::free('a'), self::box('b', 1180), self::free('c')], ['width' => TestLayout::mm(60)]);
        $clash = $low->clashes()[0];
        self::assertStringContainsString('has nothing to be nailed to', $clash->sentence);
        self::assertSame([], $low->edited($clash->waysOut[0]->edit)->clashes());
    }

    /** Three sides of an octagon, each end returned or turning by 45°; trim of 3/4 in. */
    public function test_round_an_octagon_in_inches(): void
    {
        $inch = fn (float $inches): float => $inches * 25.4;
        $material = new SheetGood('trim', 'Trim', Length::ofDouble($inch(0.75)), 500.0);
        $terms = new Terms((new TestAlcove(fn () => 0.0, fn () => 1200.0, 600.0))->survey()->room ?? throw new \LogicException('The alcove makes a room.'), new HouseRules(Unit::Inch), new Catalogue([$material], ['carcass' => 'trim', 'frame' => 'trim', 'back' => 'trim']), LengthFormat::inches(16));
        $strip = new TrimStrip(new Workshop('o', 'O1', $terms->materials, $terms->format), $terms, 'Base', Length::ofDouble($inch(3)));
        [$turn, $returned] = [new TrimCorner(TrimEnd::Mitred, 180.0 + 45.0), new TrimCorner(TrimEnd::Returned)];
        $long = fn (float $inches, TrimCorner $left, TrimCorner $right): string => $terms->format->write($strip->build('s', 0.0, $inch($inches), $left, $right, new Vector(0.0, 0.0, 0.0), Way::Right->vector(), Way::Out->vector(), 'o')[0]->piece->length->result);
        // 17 + 3/4 + 3/4·tan 22.5° = 18.061; 30 1/2 + 2·3/4·tan 22.5° = 31.121.
        self::assertSame(['18 1/16 in', '31 1/8 in', '18 1/16 in'], [$long(17, $returned, $turn), $long(30.5, $turn, $turn), $long(17, $turn, $returned)]);
    }

    /** @return list<string> what is done to its ends */
    private static function words(Placed $strip): array
    {
        return array_map(fn (Work $work) => $work->edge().': '.$work->words(LengthFormat::millimetres()), $strip->piece->works);
    }
}
