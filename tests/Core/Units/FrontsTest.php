<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Fit\Holds\ClosesOpenings;
use Incastro\Measure\Length;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\LeafBuild;
use Incastro\Rules\Schools\Mount;
use Incastro\Rules\Schools\Schools;
use Incastro\Units\Assembly;
use Incastro\Units\Channel;
use Incastro\Units\Fixing;
use Incastro\Units\FlapForm;
use Incastro\Units\Fronts\DropDown;
use Incastro\Units\Fronts\FalseFront;
use Incastro\Units\Fronts\LiftUp;
use Incastro\Units\Fronts\Sliding;
use Incastro\Units\Hardware;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Pull;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** Fronts that are no doors: flaps, sliding leaves, and those that do not open. */
final class FrontsTest extends TestCase
{
    private static function length(string $typed, Unit $unit = Unit::Millimetre): Length
    {
        return (new LengthReader($unit))->read($typed);
    }

    private static function banded(string $width, string $height, string $depth, Unit $unit = Unit::Millimetre, string $panel = ''): UnitBox
    {
        return new UnitBox($width, $height, $depth, $unit, schools: new Schools(edges: Edges::Band), panelBoards: $panel);
    }

    /** @return list<string> */
    private static function bought(Assembly $built, string $use): array
    {
        return array_values(array_map(fn (Hardware $one) => "$one->quantity × $one->name", array_filter($built->hardware, fn (Hardware $one) => $one->use === $use)));
    }

    private static function build(UnitBox $box, ClosesOpenings $front): Assembly
    {
        return $box->build(new Shelves(0, 0), $front);
    }

    public function test_a_lift_up_flap_by_hand(): void
    {
        // 764.6 × 364.6 clear, banded; laps 17.7 − 1.5 = 16.2, down to 16: 796.6, down to 796.5, by 396.6, down to 396.5.
        $box = self::banded('800', '400', '320');
        $built = self::build($box, new LiftUp(Mount::Overlay, Pull::Hole, LeafBuild::Slab, self::length('45')));
        self::assertSame([396.5, 796.5], array_slice($box->pieces($built)['lift-up'], 0, 2));
        // 0.3965 · 0.7965 · 0.018 · 680 = 3.87 kg; 3.87 · 9.81 · 396.5/(2 · 2 · 45) = 83.5 N: 100 each.
        self::assertSame(['2 × concealed hinge for a leaf over its board', '2 × gas stay 100 N'], self::bought($built, 'flaps'));
        // Swept by a quarter round of √(396.5² + 20²) before the face, a little larger between its steps.
        $bounds = array_map(fn ($solid) => $solid->bounds, $built->movements[0]->swept);
        self::assertEqualsWithDelta(6.0 + 314.0 + hypot(396.5, 20.0) / cos(M_PI / 24), max(array_column($bounds, 'v1')), 5.0);
        self::assertSame([], $built->findings);
    }

    public function test_a_lift_up_flap_inside_its_edges_in_inches_by_hand(): void
    {
        $box = self::banded('30', '15', '12', Unit::Inch);
        $built = self::build($box, new LiftUp(Mount::Inset, Pull::Hole, LeafBuild::Slab, self::length('1 3/4', Unit::Inch)));
        // 28 9/16 − 2 · 3/32 by 13 9/16 − 2 · 3/32; 3.17 kg, 58.7 N: 60 each.
        self::assertSame([13.375, 28.375], array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($box->pieces($built)['lift-up'], 0, 2)));
        self::assertContains('2 × gas stay 60 N', self::bought($built, 'flaps'));
    }

    public function test_a_drop_down_flap_level_with_its_board_by_hand(): void
    {
        $box = self::banded('700', '560', '350');
        $built = self::build($box, new DropDown(FlapForm::Flush, 150, 2, self::length('200')));
        // 664.6 + 2 · 16 = 696.6, down to 696.5; 524.6 + 16 − 1 = 539.6, down to 539.5; from 1 over the board up, at the face.
        self::assertSame([539.5, 696.5, [-16.0, 680.5, 344.0, 362.0, 1.0, 540.5]], $box->pieces($built)['drop-down']);
        // Arm 200 · 269.75/√(200² + 269.75²) = 160.7; (150 · 539.5 + 4.6 · 9.81 · 269.75)/(2 · 160.7) = 290 N, and a quarter more.
        self::assertSame(['1 × piano hinge 686 mm', '2 × flap stay that holds 370 N', '2 × magnet catch'], self::bought($built, 'flaps'));
        // Open it lies over z −18 … 0, y 344 … 884.5: its knuckle reaches 1 farther.
        $open = $built->movements[0]->swept[6]->bounds;
        self::assertEqualsWithDelta([6.0 + 344.0, 6.0 + 884.5, 17.7 - 18.0, 17.7], [$open->v0, $open->v1, $open->z0, $open->z1], 0.01);
    }

    public function test_a_drop_down_flap_in_inches_by_hand(): void
    {
        $box = self::banded('30', '24', '16', Unit::Inch);
        $built = self::build($box, new DropDown(FlapForm::Flush, 150, 2, self::length('8', Unit::Inch)));
        // 28 9/16 + 2 · 21/32 by 22 9/16 + 21/32 − 1/32.
        self::assertSame([23.1875, 29.875], array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($box->pieces($built)['drop-down'], 0, 2)));
        // 314 N each, and a quarter more: 400.
        self::assertSame(['1 × piano hinge 29 1/2 in', '2 × flap stay that holds 400 N', '2 × magnet catch'], self::bought($built, 'flaps'));
    }

    public function test_flaps_that_cannot_be_say_why_with_a_way_out(): void
    {
        // A rail of the face frame stands 27.3 over the board.
        $framed = self::build(UnitBox::metric(), new DropDown(FlapForm::Flush, 150, 2, self::length('200'), false));
        self::assertSame([Code::FlapNotLevel], array_map(fn (Finding $finding) => $finding->code, $framed->findings));
        self::assertStringContainsString('27 mm', $framed->findings[0]->sentence);
        self::assertSame([['flush' => true], ['form' => 'overlay']], array_map(fn ($way) => $way->edit->value, array_slice($framed->findings[0]->waysOut, 0, 2)));
        self::assertNotContains(Code::FlapNotLevel, array_map(fn (Finding $finding) => $finding->code, self::build(UnitBox::metric(), new DropDown(FlapForm::Flush, 150, 2, self::length('200')))->findings));
        // One stay for 400 N at the edge: 400 · 539.5/160.7 = 1343 N and more.
        $weak = self::build(self::banded('700', '560', '350'), new DropDown(FlapForm::Flush, 400, 1, self::length('200')));
        self::assertSame([Code::StayWeak], array_map(fn (Finding $finding) => $finding->code, $weak->findings));
        self::assertSame(['stays' => 2], $weak->findings[0]->waysOut[0]->edit->value);
    }

    public function test_sliding_leaves_in_grooves_by_hand(): void
    {
        // 864.6 × 464.6 clear, leaves of 8.8: grooves 17.7 − 6 = 11.7, down to 11.5 above, 4 below.
        $box = self::banded('900', '500', '400', panel: '8.8');
        $built = self::build($box, new Sliding(2, 2, Channel::Groove, self::length('30')));
        $pieces = $box->pieces($built);
        // 464.6 + 11.5 − 2 · 1.5 = 473.1, down to 473; (864.6 + 30)/2 = 447.3, down to 447.
        self::assertSame([473.0, 447.0], array_slice($pieces['sliding-1'], 0, 2));
        // In the middle of channels of 10.3 at y 375.7 … 386 and 359.4 … 369.7; its foot 4 under the board.
        self::assertEqualsWithDelta([0.0, 447.0, 376.45, 385.25, -4.0, 469.0], $pieces['sliding-1'][2], 0.01);
        self::assertEqualsWithDelta([417.6, 864.6, 360.15, 368.95], array_slice($pieces['sliding-2'][2], 0, 4), 0.01);
        self::assertSame([], $built->findings);
        $grants = $built->grants();
        foreach ($built->placed as $i => $one) {
            foreach (array_slice($built->placed, $i + 1) as $other) {
                self::assertLessThan(0.05 + ($grants[$one->piece->key.'|'.$other->piece->key] ?? 0.0), $one->overlap($other, 0.01), $one->piece->key.' in '.$other->piece->key);
            }
        }
        // Shelves end behind the channels: 394 − 8 − 2 · 10.3 − 2 · 6 = 353.4, and 3 more, down.
        $shelved = $box->build(new Shelves(0, 1), new Sliding(2, 2, Channel::Groove, self::length('30')));
        self::assertSame(350.0, $box->pieces($shelved)['shelf-1'][1]);
    }

    public function test_sliding_leaves_between_strips_in_inches_by_hand(): void
    {
        $box = self::banded('36', '18', '14', Unit::Inch);
        $built = self::build($box, new Sliding(3, 3, Channel::Strips, self::length('1 1/4', Unit::Inch)));
        $pieces = array_map(fn (array $piece) => array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($piece, 0, 2)), $box->pieces($built));
        // 16 9/16 − 3/16 − 2 · 1/16 = 16 1/4; (34 9/16 + 2 · 1 1/4)/3 = 12.35, down to 12 11/32.
        self::assertSame([16.25, 12.34375], $pieces['sliding-3']);
        self::assertSame([34.5625, 0.1875], $pieces['sliding-lower-strip-1']);
        self::assertSame([34.5625, 0.5], $pieces['sliding-upper-strip-4']);
        self::assertSame([], $built->findings);
    }

    public function test_a_frame_whose_rails_are_flush_lets_sliding_leaves_in(): void
    {
        // Its rails are no higher than the bottom and the top are thick: 18 in the test alcove.
        $layout = TestLayout::of([TestLayout::bay('a')])->with(['fronts' => [Doc::member('f', 'sliding', ['a-1'])]]);
        $rails = array_filter($layout->plan()->pieces(), fn ($piece) => $piece->name === 'Rail');
        self::assertSame(18.0, min(array_map(fn ($piece) => $piece->width->result->toDouble(), $rails)));
        self::assertNotContains(Code::LeafOverRail, array_map(fn (Finding $finding) => $finding->code, $layout->plan()->findings));
    }

    public function test_sliding_leaves_that_cannot_be_put_in_say_why(): void
    {
        $framed = self::build(UnitBox::metric(), new Sliding(2, 2, Channel::Groove, self::length('30'), null, false));
        self::assertSame(Code::LeafOverRail, $framed->findings[0]->code);
        self::assertSame(['flush' => true], $framed->findings[0]->waysOut[0]->edit->value);
        // In inches 23/32 − 1/4 = 15/32 above and 5/32 below, less 2 · 1/16: held by 3/16. In boards of 15: 9 − 4 − 3 = 2.
        $box = new UnitBox('900', '500', '400', schools: new Schools(edges: Edges::Band), board: '15');
        $thin = self::build($box, new Sliding(2, 2, Channel::Groove, self::length('30')));
        self::assertSame(Code::LeafCannotLift, $thin->findings[0]->code);
        self::assertSame(['channel' => 'strips'], $thin->findings[0]->waysOut[0]->edit->value);
    }

    public function test_a_false_front_by_hand(): void
    {
        $box = UnitBox::metric();
        $built = self::build($box, new FalseFront(Fixing::Magnets, Mount::Inset, LeafBuild::Slab, Pull::Bar));
        $pieces = $box->pieces($built);
        // As a leaf: 724 − 5 by 810 − 5; cleats reach 20 behind it, 20.3 + 20 = 40.3, down to 40, and lie against its back.
        self::assertSame([805.0, 719.0], array_slice($pieces['false-front'], 0, 2));
        self::assertSame([40.0, [518.3, 536.0]], [$pieces['false-front-cleat-L'][1], array_slice($pieces['false-front-cleat-L'][2], 2, 2)]);
        self::assertSame(['4 × magnet catch', '1 × bar'], self::bought($built, 'false fronts'));
        $over = self::banded('800', '900', '560');
        self::assertSame([896.5, 796.5], array_slice($over->pieces(self::build($over, new FalseFront(Fixing::Screws, Mount::Overlay, LeafBuild::Slab, Pull::Bar)))['false-front'], 0, 2));
    }
}
