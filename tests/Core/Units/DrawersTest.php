<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Geometry\Solid;
use Incastro\Measure\Length;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\Article;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Schools\DrawerCorner;
use Incastro\Rules\Schools\DrawerRun;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\Mount;
use Incastro\Rules\Schools\Schools;
use Incastro\Units\Assembly;
use Incastro\Units\DrawerFill;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\Insides\Drawers;
use Incastro\Units\Options\NoBottom;
use Incastro\Units\Pull;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class DrawersTest extends TestCase
{
    public function test_three_drawers_graduated_by_40_by_hand(): void
    {
        // 764.6 × 864.6 clear, frame 20.3 at the sides and 27.3 at foot and top: face opening 724 × 810; face at 554.
        $box = UnitBox::metric();
        $built = $box->build(new Drawers(3, Length::ofMillimetres(40), 25, Pull::Bar));
        $pieces = $box->pieces($built);
        // (810 − 2 · 2.5 − 2 · 2.5 − 3 · 40)/3 = 226.67, down to 226.5; then 40 more; the lowest takes the rest.
        self::assertSame([719.0, 226.5, [22.8, 741.8, 536.0, 554.0, 608.3, 834.8]], $pieces['drawer-3-face']);
        self::assertSame([719.0, 266.5], array_slice($pieces['drawer-2-face'], 0, 2));
        self::assertSame([719.0, 307.0], array_slice($pieces['drawer-1-face'], 0, 2));
        // Box 724 − 2 · 12.7 − 1 = 697.6, down to 697.5; slides 536 − 17.7 − 10 = 508.3: 500; heights of the fronts less 25, down.
        self::assertSame([500.0, 282.0, [33.55, 45.55, 36.0, 536.0, 41.8, 323.8]], $pieces['drawer-1-side-L']);
        self::assertSame([241.0, 201.0], [$pieces['drawer-2-side-R'][1], $pieces['drawer-3-side-R'][1]]);
        self::assertSame([673.5, 282.0, [45.55, 719.05, 524.0, 536.0, 41.8, 323.8]], $pieces['drawer-1-front']);
        self::assertSame([45.55, 719.05, 36.0, 48.0, 41.8, 323.8], $pieces['drawer-1-back'][2]);
        // 697.5 − 24 + 2 · 6 − 2 = 683.5 by 500 − 24 + 12 − 2 = 486, its underside 10 over the foot, 5 in each groove.
        self::assertSame([683.5, 486.0, [40.55, 724.05, 43.0, 529.0, 51.8, 57.8]], $pieces['drawer-1-bottom']);
        // The frame stands 20.3 in: a board of 17.7 and a shim of 2.6 on each side.
        self::assertSame([500.0, 60.0, [0.0, 17.7, 33.0, 533.0]], [...array_slice($pieces['drawer-1-packer-L'], 0, 2), array_slice($pieces['drawer-1-packer-L'][2], 0, 4)]);
        self::assertSame([], $built->findings);
        $slides = array_values(array_filter($built->hardware, fn (Hardware $one) => str_contains($one->name, 'slides')));
        // 25 kg and a box of some 10 kg, and a quarter more: 45 kg.
        self::assertSame(array_fill(0, 3, 'pair of drawer slides 500 mm, 45 kg'), array_map(fn (Hardware $one) => $one->name, $slides));
        // A front of 719 has two pulls.
        self::assertSame(6, array_sum(array_map(fn (Hardware $one) => $one->name === 'bar' ? $one->quantity : 0, $built->hardware)));
    }

    public function test_slides_are_those_that_the_job_can_buy(): void
    {
        $sold = fn (int ...$lengths) => array_map(fn (int $length) => new Article("$length", ArticleKind::Slides, Length::ofMillimetres($length), 45.0, 1, null), array_values($lengths));
        // 508.3 is free: of 350, 450 and 550 it is the second.
        $box = new UnitBox('800', '900', '560', articles: $sold(350, 450, 550));
        self::assertSame(450.0, $box->pieces($box->build(new Drawers(3, Length::zero(), 25, Pull::Bar)))['drawer-1-side-L'][0]);
        $none = (new UnitBox('800', '900', '560', articles: $sold(550)))->build(new Drawers(3, Length::zero(), 25, Pull::Bar));
        self::assertStringContainsString('the shortest is 550 mm', $none->findings[0]->sentence);
    }

    public function test_the_same_in_inches_by_hand(): void
    {
        // 32 × 36 × 22 of 23/32: face opening 32 − 2 · 1 1/2 = 29 by 36 − 2 · 1 3/4 = 32 1/2.
        $box = new UnitBox('32', '36', '22', Unit::Inch);
        $built = $box->build(new Drawers(3, self::inches('1 1/2'), 25, Pull::Bar));
        $pieces = array_map(fn (array $piece) => array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($piece, 0, 2)), $box->pieces($built));
        // (32 1/2 − 2 · 3/32 − 2 · 3/32 − 3 · 1 1/2)/3 = 9.208, down to 9 3/16; then 1 1/2 more; the lowest takes the rest, 12 1/4.
        self::assertSame([28.8125, 9.1875], $pieces['drawer-3-face']);
        self::assertSame([28.8125, 10.6875], $pieces['drawer-2-face']);
        self::assertSame([28.8125, 12.25], $pieces['drawer-1-face']);
        // 29 − 2 · 1/2 − 1/32 = 27 31/32, less two sides of 15/32; 21 − 23/32 − 3/8 = 19 29/32 leaves slides of 18; 12 1/4 − 1.
        self::assertSame([27.03125, 11.25], $pieces['drawer-1-front']);
        self::assertSame([18.0, 11.25], $pieces['drawer-1-side-L']);
        // 27 1/32 + 2 · 3/16 − 1/16 by 18 − 2 · 15/32 + 2 · 3/16 − 1/16.
        self::assertSame([27.34375, 17.375], $pieces['drawer-1-bottom']);
        self::assertContains('pair of drawer slides 18 in, 45 kg', array_map(fn (Hardware $one) => $one->name, $built->hardware));
        self::assertSame([], $built->findings);
    }

    public function test_what_it_is_filled_with_chooses_its_slides(): void
    {
        $box = new UnitBox('800', '900', '560');
        $names = fn (DrawerFill $fill, int $load = 25): array => array_values(array_unique(array_map(fn (Hardware $one) => $one->name, array_filter($box->build(new Drawers(2, Length::zero(), $load, Pull::Bar, fill: $fill))->hardware, fn (Hardware $one) => $one->kind === ArticleKind::Slides))));
        // 673.5 × 476 × 376 inside: 120.5 litres, 85 % of them filled; at 0.25 kg a litre 25.6 kg. 1.25 times that and the box: 45.
        self::assertSame(['pair of drawer slides 500 mm, 45 kg'], $names(DrawerFill::Kitchen, 100));
        self::assertSame(['pair of drawer slides 500 mm, 70 kg'], $names(DrawerFill::Stated, 45));
        // Of paper 61.5 kg: more than slides of 12.7 carry.
        $heavy = $box->build(new Drawers(2, Length::zero(), 25, Pull::Bar, fill: DrawerFill::Paper))->findings;
        self::assertSame(Code::SlidesWeak, $heavy[0]->code);
        self::assertStringContainsString('carry 56 kg', $heavy[0]->sentence);
        self::assertSame('Keep clothes in it', $heavy[0]->waysOut[0]->label);
    }

    public function test_fronts_over_banded_edges_by_hand(): void
    {
        $box = UnitBox::banded();
        $built = $box->build(new Drawers(3, Length::zero(), 25, Pull::Bar, Mount::Overlay));
        $pieces = array_map(fn (array $piece) => array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($piece, 0, 2)), $box->pieces($built));
        // (33 5/16 + 2 · 21/32 − 2 · 1/8)/3 = 11.458, down to 11 7/16; the lowest takes the rest. 28 9/16 + 2 · 21/32 wide.
        self::assertSame([[29.875, 11.4375], [29.875, 11.4375], [29.875, 11.5]], [$pieces['drawer-3-face'], $pieces['drawer-2-face'], $pieces['drawer-1-face']]);
        // 28 9/16 − 2 · 1/2 − 1/32 = 27 17/32, less two sides of 15/32; 21 25/32 − 23/32 − 3/8 = 20 11/16 leaves slides of 20.
        self::assertSame([26.59375, 9.8125], $pieces['drawer-1-front']);
        // Of the opening each has its front, less the lap at the foot and the head: 10 27/32, 11 7/16, 10 25/32; less 1, down.
        self::assertSame([[20.0, 9.75], [20.0, 10.4375], [20.0, 9.8125]], [$pieces['drawer-3-side-L'], $pieces['drawer-2-side-L'], $pieces['drawer-1-side-L']]);
        // No frame, no packers.
        self::assertArrayNotHasKey('drawer-1-packer-L', $pieces);
        self::assertSame([], $built->findings);
    }

    public function test_corners_in_rabbets_by_hand(): void
    {
        $box = new UnitBox('30', '34 3/4', '22', Unit::Inch, schools: new Schools(edges: Edges::Band, drawerCorner: DrawerCorner::Rabbet));
        $built = $box->build(new Drawers(3, Length::zero(), 25, Pull::Bar, Mount::Overlay));
        $pieces = array_map(fn (array $piece) => array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($piece, 0, 2)), $box->pieces($built));
        // 27 17/32 − 2 · 15/32 + 2 · 3/16 = 26 31/32: rabbets of half a side, down to 1/16; the bottom 1/16 less.
        self::assertSame([26.96875, 9.8125], $pieces['drawer-1-front']);
        self::assertSame([26.90625, 19.375], $pieces['drawer-1-bottom']);
        self::assertOwnRoom($built);
    }

    public function test_drawers_on_slides_under_them_by_hand(): void
    {
        $box = UnitBox::banded();
        $built = $box->build(new Drawers(3, Length::zero(), 25, Pull::Bar, Mount::Overlay, DrawerRun::Under));
        $pieces = array_map(fn (array $piece) => array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($piece, 0, 2)), $box->pieces($built));
        // Inside 28 9/16 − 1 21/32 = 26 29/32, and two sides of 15/32; slides of 20, sides 3/8 shorter.
        self::assertSame([19.625, 9.75], $pieces['drawer-3-side-L']);
        self::assertSame([26.90625, 9.75], $pieces['drawer-3-front']);
        // The back stands on the bottom, which lies 1/2 up: 9 3/4 − 1/2 − 7/32 = 9 1/32.
        self::assertSame([26.90625, 9.03125], $pieces['drawer-3-back']);
        // (28 9/16 − 27 27/32)/2 = 23/64 at each side.
        self::assertEqualsWithDelta(23 / 64, $box->pieces($built)['drawer-3-side-L'][2][0] / 25.4, 1e-4);
        self::assertContains('pair of undermount slides 20 in', array_map(fn (Hardware $one) => $one->name, $built->hardware));
        self::assertOwnRoom($built);
    }

    public function test_map_trays_by_hand(): void
    {
        // 864.6 × 304.6 clear, banded, face at 634.
        $box = new UnitBox('900', '340', '640', schools: new Schools(edges: Edges::Band), panelBoards: '8.8');
        $built = $box->build(new Drawers(5, Length::zero(), 5, Pull::Knob, Mount::Inset, DrawerRun::Tray));
        $pieces = $box->pieces($built);
        // (304.6 − 2 · 2.5 − 4 · 2.5)/5 = 57.92, down to 57.5; the lowest 59.5.
        self::assertSame([[859.5, 57.5], [859.5, 59.5]], [array_slice($pieces['drawer-5-face'], 0, 2), array_slice($pieces['drawer-1-face'], 0, 2)]);
        // 864.6 − 3 = 861.6, down to 861.5; 634 − 18 − 17.7 − 10 = 588.3, down to 588.
        self::assertSame([861.5, 588.0], array_slice($pieces['drawer-1-base'], 0, 2));
        self::assertSame([576.0, 25.0], array_slice($pieces['drawer-1-side-L'], 0, 2));
        self::assertSame([861.5, 25.0], array_slice($pieces['drawer-1-back'], 0, 2));
        self::assertSame([585.0, 10.0], array_slice($pieces['drawer-1-strip-L'], 0, 2));
        // From the front's foot at 2.5 a strip of 10, and the base on it.
        self::assertSame([12.5, 21.3], array_slice($pieces['drawer-1-base'][2], 4));
        self::assertSame([], $built->findings);
        self::assertOwnRoom($built);
    }

    public function test_dividers_are_half_lapped_where_they_cross(): void
    {
        $box = UnitBox::metric();
        $built = $box->build(new Drawers(2, Length::zero(), 25, Pull::Bar, Mount::Inset, DrawerRun::Side, 2, 1));
        $pieces = $box->pieces($built);
        // 697.5 − 24 − 1 = 672.5 by 376 − 10 − 6 − 10; 500 − 24 − 1 = 475.
        self::assertSame([672.5, 350.0], array_slice($pieces['drawer-2-divider-across-1'], 0, 2));
        self::assertSame([475.0, 350.0], array_slice($pieces['drawer-2-divider-along-1'], 0, 2));
        // (476 − 2 · 12)/3 = 150.67 between them.
        self::assertEqualsWithDelta(150.667 + 12.0, $pieces['drawer-2-divider-across-2'][2][2] - $pieces['drawer-2-divider-across-1'][2][2], 0.01);
        self::assertOwnRoom($built);
    }

    public function test_on_runners_and_wax_by_hand(): void
    {
        $box = UnitBox::metric(drawer: '15');
        $built = $box->build(new Drawers(2, Length::zero(), 25, Pull::Bar, Mount::Inset, DrawerRun::Runner));
        $pieces = $box->pieces($built);
        // (810 − 2 · 2.5 − 2.5)/2 = 401.25, down to 401, the lower one 401.5; 724 − 3 = 721 wide; 536 − 17.7 − 10 = 508.3, down to 508 deep.
        self::assertSame([401.5, 401.0], [$pieces['drawer-1-face'][1], $pieces['drawer-2-face'][1]]);
        self::assertSame([691.0, 508.0], [$pieces['drawer-1-front'][0], $pieces['drawer-1-side-L'][0]]);
        // Runners reach up to 29.8 + 2 = 31.8 and 433.8 + 2 = 435.8; boxes 413.8 − 31.8 = 382 and 812.8 − 435.8 = 377 high.
        self::assertEqualsWithDelta([31.8, 435.8], [$pieces['drawer-1-runner-L'][2][5], $pieces['drawer-2-runner-L'][2][5]], 1e-6);
        self::assertSame([382.0, 377.0], [$pieces['drawer-1-side-L'][1], $pieces['drawer-2-side-L'][1]]);
        // From 18 before the back to the frame: 536 − (536 − 508) = 508, as wide as the frame stands in and 20 more.
        self::assertSame([508.0, 40.0], array_slice($pieces['drawer-1-runner-R'], 0, 2));
        self::assertSame([508.0, 20.0], array_slice($pieces['drawer-1-guide-R'], 0, 2));
        // The top one has kickers, 20 under where its front ends.
        self::assertEqualsWithDelta(834.8 - 20.0, $pieces['drawer-2-kicker-L'][2][4], 1e-6);
        self::assertArrayNotHasKey('drawer-1-kicker-L', $pieces);
        self::assertSame([], $built->findings);
        self::assertOwnRoom($built);
    }

    public function test_on_castors_by_hand(): void
    {
        // 900 × 350 clear without a bottom, 600 to the face.
        $box = new UnitBox('935.4', '367.7', '606', schools: new Schools(edges: Edges::Band));
        $built = $box->build(new Drawers(1, Length::zero(), 25, Pull::Bar, Mount::Inset, DrawerRun::Castor), null, new NoBottom(false));
        $pieces = $box->pieces($built);
        // 900 − 2 · 6 = 888 by 350 − 44 − 12 = 294; the strip at the head of the back stands in its way: 600 − 18 − 17.7 − 10 = 554.3, down to 554.
        self::assertSame([864.0, 294.0, 554.0], [$pieces['drawer-1-front'][0], $pieces['drawer-1-side-L'][1], $pieces['drawer-1-side-L'][0]]);
        // 900 − 2 · 2.5 = 895 by 350 − 2.5 − 12 = 335.5, 12 over the floor; places are told from 17.7 over it.
        self::assertSame([895.0, 335.5], array_slice($pieces['drawer-1-face'], 0, 2));
        self::assertEqualsWithDelta([12.0 - 17.7, 44.0 - 17.7], [$pieces['drawer-1-face'][2][4], $pieces['drawer-1-side-L'][2][4]], 1e-6);
        self::assertSame([], $built->findings);
        self::assertSame(4, array_sum(array_map(fn (Hardware $one) => str_contains($one->name, 'castor') ? $one->quantity : 0, $built->hardware)));
        self::assertOwnRoom($built);
    }

    public function test_castors_want_the_floor_and_one_drawer(): void
    {
        $found = fn (int $count, ?NoBottom $option): array => array_map(fn (Finding $finding) => $finding->sentence, UnitBox::metric()->build(new Drawers($count, Length::zero(), 25, Pull::Bar, Mount::Inset, DrawerRun::Castor), null, $option)->findings);
        self::assertSame(['A drawer on castors rolls on the floor: its box has no bottom and stands on no plinth.'], $found(1, null));
        self::assertSame(['On castors there is one drawer, on the floor; others stand in openings of their own.'], $found(2, new NoBottom(true)));
    }

    public function test_heights_that_were_given_come_from_the_top(): void
    {
        $box = UnitBox::metric();
        $heights = array_map(Length::ofMillimetres(...), [120, 200]);
        $pieces = $box->pieces($box->build(new Drawers(4, Length::zero(), 25, Pull::Bar, heights: $heights)));
        // 810 − 2 · 2.5 − 3 · 2.5 = 797.5, less 320: 238.75 each, down to 238.5, and the lowest 239.
        self::assertSame([120.0, 200.0, 238.5, 239.0], array_map(fn (int $i) => $pieces["drawer-$i-face"][1], [4, 3, 2, 1]));
    }

    public function test_without_fronts_they_pass_the_open_doors_before_them(): void
    {
        $box = UnitBox::metric();
        $built = $box->build(new Drawers(3, Length::zero(), 25, Pull::Bar, fronts: false), UnitBox::door(2, Hand::Left, Pull::Bar));
        $pieces = $box->pieces($built);
        // Open, a leaf stands 18 + 2.5 + 3 inside the frame at each side: 724 − 2 · 23.5 = 677; less two slides and 1: 650.6, down to 650.5.
        self::assertEqualsWithDelta(650.5, $pieces['drawer-1-side-R'][2][1] - $pieces['drawer-1-side-L'][2][0], 1e-6);
        // Packed 20.3 + 23.5 = 43.8 from the sides: two boards of 17.7 and more, so a strip on edge.
        self::assertSame(43.0, $pieces['drawer-1-packer-L'][1]);
        self::assertArrayNotHasKey('drawer-1-face', $pieces);
        self::assertSame([], $built->findings);
        self::assertOwnRoom($built);
        // And their way out meets neither leaf when it is open.
        $swept = $built->movements[0]->swept[0]->bounds;
        self::assertGreaterThanOrEqual(17.7 + 22.8 + 18.0 + 3.0 - 1e-6, $swept->u0);
    }

    public function test_fronts_behind_a_door_are_left_out_at_a_press(): void
    {
        $found = UnitBox::metric()->build(new Drawers(3, Length::zero(), 25, Pull::Bar), UnitBox::door(2, Hand::Left, Pull::Bar))->findings;
        $way = array_values(array_filter(array_merge(...array_map(fn (Finding $finding) => $finding->waysOut, $found)), fn ($way) => $way->label === 'Leave their own fronts out'));
        self::assertSame(['fronts' => false], $way[0]->edit->value);
    }

    private static function assertOwnRoom(Assembly $built): void
    {
        $grants = $built->grants();
        foreach ($built->placed as $i => $one) {
            foreach (array_slice($built->placed, $i + 1) as $other) {
                self::assertLessThan(0.05 + ($grants[$one->piece->key.'|'.$other->piece->key] ?? 0.0), $one->overlap($other, 0.01), $one->piece->key.' in '.$other->piece->key);
            }
        }
    }

    public function test_a_drawer_sweeps_its_way_out(): void
    {
        $built = UnitBox::metric()->build(new Drawers(3, Length::ofMillimetres(40), 25, Pull::Bar));
        self::assertSame(['Drawer 3 of B1', 'Drawer 2 of B1', 'Drawer 1 of B1'], array_map(fn ($one) => $one->name, $built->movements));
        [$box, $front] = array_map(fn (Solid $solid) => $solid->bounds, $built->movements[2]->swept);
        // 500 out from 6 + 536; the front 18 more, and a pull of 35.
        self::assertEqualsWithDelta([6.0 + 36.0, 6.0 + 1036.0], [$box->v0, $box->v1], 1e-6);
        self::assertEqualsWithDelta(6.0 + 554.0 + 500.0 + 35.0, $front->v1, 1e-6);
    }

    private static function inches(string $typed): Length
    {
        return (new LengthReader(Unit::Inch))->read($typed);
    }

    /** @return list<string> codes of what is found, with three drawers unless said otherwise */
    private static function codes(TestLayout $layout): array
    {
        return array_values(array_unique(array_map(fn (Finding $finding) => $finding->code->value, array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->severity->value !== 'note'))));
    }

    private static function layout(array $with = [], array $size = [], float $deep = 560.0): TestLayout
    {
        return TestLayout::of([
            TestLayout::bay('a', $size, [Doc::tier('low', ['size' => TestLayout::mm(700), 'holds' => Doc::holds('drawers', $with)]), Doc::tier('high', ['joined' => false])]),
            TestLayout::bay('b'),
        ], ['depth' => TestLayout::mm($deep)]);
    }

    public function test_what_cannot_be_says_why_and_how_far(): void
    {
        self::assertSame([], self::codes(self::layout()));
        self::assertSame(['drawer-low'], self::codes(self::layout(['count' => 9])));
        self::assertSame(['no-slide-fits'], self::codes(self::layout([], [], 280.0)));
        self::assertContains('drawer-racks', self::codes(self::layout([], ['size' => TestLayout::mm(760)], 380.0)));
        self::assertSame(['too-small'], self::codes(self::layout([], ['size' => TestLayout::mm(120)])));
        // 280 − 18 − 6 + 18 − 18 − 18 − 10 = 228 left; 22 more bring the shortest slide of 250 in.
        $clash = array_values(self::layout([], [], 280.0)->clashes())[0];
        self::assertStringContainsString('228 mm of depth is left for slides; the shortest is 250 mm.', $clash->sentence);
        self::assertSame('Make the box 302 mm deep', $clash->waysOut[0]->label);
        foreach (['drawer-low' => self::layout(['count' => 9]), 'no-slide-fits' => self::layout([], [], 280.0)] as $code => $layout) {
            $after = $layout->edited($layout->clashes()[0]->waysOut[0]->edit);
            self::assertNotContains($code, self::codes($after));
        }
    }

    public function test_a_drawer_that_strikes_something_is_named_with_what_it_strikes(): void
    {
        // A radiator on the left wall, from 20 to 180 behind the front line, stands 120 out; the face is at 400, and the first
        // drawer front begins some 45 from the wall.
        $layout = self::layout(deep: 400.0)->thing('radiator', 'radiator', 20, 100, 160, 500, 120, 'may-be-covered', ['wall' => 1]);
        $strikes = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code->value === 'strikes'));
        self::assertNotSame([], $strikes);
        self::assertStringContainsString('strikes radiator on its way', $strikes[0]->sentence);
        self::assertSame('low', $strikes[0]->place);
        // Away with it, every drawer comes out.
        self::assertNotContains('strikes', self::codes($layout->edited(new \Incastro\Rules\Edit('things.radiator.rule', 'removed'))));
    }
}
