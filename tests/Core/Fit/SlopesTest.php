<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Incastro\Fit\Box;
use Incastro\Fit\BoxTop;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\Column;
use Incastro\Fit\LayoutFitter;
use Incastro\Fit\Marks;
use Incastro\Fit\Opening;
use Incastro\Geometry\Axis;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Layout\LayoutReader;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\CeilingKind;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Trial\HiddenRoom;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Placed;
use Incastro\Units\Shell\BoxBuilder;
use PHPUnit\Framework\TestCase;
use Tests\Core\Survey\TestSpace;
use Tests\Core\TestAlcove;
use Tests\Core\TestLayout;
use Tests\Core\TestTerms;

/**
 * A bay under a rake by hand: 800 wide, 900 high at its left and 1500 at its right: slope 600 over 800, θ = 36.87°, cos θ 0.8,
 * tan θ 0.75. Boards are 18.
 */
final class SlopesTest extends TestCase
{
    /** @return array<string, Placed> by mark */
    private static function pieces(BoxTop $top, bool $over): array
    {
        $size = fn (float $mm) => Working::start('chosen', Length::ofDouble($mm));
        $opening = new Opening('box', $size(864.0), 18.0, new Shelves(0, 2));
        $box = new Box('box', 'B1', 0.0, 0.0, 70.0, $size(800.0), $size($top->highest()), $size(400.0), $top, [new Column('bay', $size(764.0), 18.0, [$opening])]);
        $pieces = [];
        foreach ((new BoxBuilder($box, TestTerms::of(TestAlcove::leaning()->survey()->room, $over)))->build()->placed as $placed) {
            $pieces[$placed->piece->mark] = $placed;
        }

        return $pieces;
    }

    public function test_sides_full_height_with_the_top_between_them(): void
    {
        $pieces = self::pieces(BoxTop::raked(900.0, 1500.0), false);
        // Blanks to the long point: low side 900 + 18 · 0.75 = 913.5; high side its outer face, 1500.
        self::assertSame(913.5, $pieces['B1-side-L']->piece->length->result->toDouble());
        self::assertSame(1500.0, $pieces['B1-side-R']->piece->length->result->toDouble());
        // Top between: (800 − 36)/0.8 = 955 along each face; its ends are plumb: 18 · 0.75 = 13.5 more to the long points.
        self::assertSame(968.5, $pieces['B1-top']->piece->length->result->toDouble());
        self::assertStringContainsString('bevelled 36.9°', implode(', ', array_map(fn ($work) => $work->words(LengthFormat::millimetres()), $pieces['B1-side-L']->piece->works)));
    }

    public function test_the_top_over_the_sides(): void
    {
        $pieces = self::pieces(BoxTop::raked(900.0, 1500.0), true);
        // Sides' outer faces are less by 18/0.8 = 22.5: 877.5 (+ 13.5 to its long point) and 1477.5.
        self::assertSame(891.0, $pieces['B1-side-L']->piece->length->result->toDouble());
        self::assertSame(1477.5, $pieces['B1-side-R']->piece->length->result->toDouble());
        // Top 800/0.8 = 1000 along each face, + 18 · 0.75 to the long points of both bevels.
        self::assertSame(1013.5, $pieces['B1-top']->piece->length->result->toDouble());
    }

    public function test_the_back_follows_the_rake(): void
    {
        $back = self::pieces(BoxTop::raked(900.0, 1500.0), false)['B1-back']->piece;
        // A trapezium 798 wide, 898 and 1498 high.
        self::assertEqualsWithDelta(798.0 * (898.0 + 1498.0) / 2, $back->outline->area(), 0.1);
        self::assertTrue($back->isShaped());
    }

    public function test_a_slope_that_rises_from_the_wall_cuts_the_sides_and_shallows_the_shelves(): void
    {
        // 600 high at the back, 1000 from 200 out: 400 over 200.
        $pieces = self::pieces(BoxTop::sloped(600.0, 1000.0, 200.0), false);
        $side = $pieces['B1-side-L']->piece;
        // The side is 376 deep behind the frame and before the back, which is 6: there the slope, 2 a mm, is 612 high, and it
        // reaches 1000 at 194 from the side's back edge.
        self::assertSame(376.0, $side->width->result->toDouble());
        self::assertEqualsWithDelta(1000.0 * 376.0 - 194.0 * 388.0 / 2, $side->outline->area(), 0.1);
        self::assertSame(598.0, $pieces['B1-back']->piece->length->result->toDouble());
        // Two shelves (1000 − 4 · 18)/3 = 309.3 apart: the upper one's top is 18 + 2 · 309.3 + 2 · 18 = 672.6 up. The sloped top
        // is 18/cos 63.43° = 40.25 thick, measured plumb: at 712.85 the slope is (712.85 − 600)/400 · 200 = 56.42 out, less
        // 6 for the back: 376 − 50.42 = 325.58, down.
        self::assertSame(376.0, $pieces['B1-shelf-1']->piece->width->result->toDouble());
        self::assertSame(325.5, $pieces['B1-shelf-2']->piece->width->result->toDouble());
        self::assertSame(Axis::U, $pieces['B1-top-slope']->prism()->axis);
    }

    public function test_a_slope_that_goes_on_past_the_face_cuts_the_side_to_its_front(): void
    {
        // 600 high at the back, 1000 from 400 out: 1 a mm. The side lies from 6 to 382 out: from 606 to 982 high.
        $pieces = self::pieces(BoxTop::sloped(600.0, 1000.0, 400.0), false);
        $side = $pieces['B1-side-L'];
        self::assertEqualsWithDelta(376.0 * (606.0 + 982.0) / 2, $side->piece->outline->area(), 0.1);
        self::assertEqualsWithDelta(70.0 + 982.0, $side->bounds->z1, 1e-6);
    }

    public function test_a_top_knows_its_height_everywhere(): void
    {
        $raked = BoxTop::raked(900.0, 1500.0);
        self::assertSame(1200.0, $raked->at(0.5, 0.0));
        self::assertEqualsWithDelta(36.87, rad2deg($raked->angle(800.0)), 0.01);
        $sloped = BoxTop::sloped(600.0, 1000.0, 200.0);
        self::assertSame(800.0, $sloped->at(0.3, 100.0));
        self::assertSame(1000.0, $sloped->at(0.3, 300.0));
        self::assertSame(100.0, $sloped->reaches(800.0));
        self::assertSame(0.0, $sloped->reaches(500.0));
    }

    public function test_the_gap_above_is_read_where_the_ceiling_bends(): void
    {
        // Rising 0.65 from 700, flat from 2300 along: the kink lies over the third of three boxes.
        $hidden = new HiddenRoom(SpaceShape::of(SpaceKind::UnderStair, CeilingKind::RakeAndFlat), 7);
        $read = fn (Sheet $sheet, Slot $slot) => match (true) {
            $slot->kind === ReadingKind::Height && $slot->spots !== [] => 700.0 + 0.65 * min(2300.0, $slot->spots[0]->along),
            $slot->kind === ReadingKind::Slope => rad2deg(atan(0.65)),
            $slot->kind === ReadingKind::Fall => 0.0,
            default => $hidden->truth($sheet, $slot),
        };
        $room = (new TestSpace($hidden->shape))->read($read)->survey()->room;
        self::assertNotNull($room);
        $bays = array_map(fn (string $id) => Doc::bay($id, [Doc::tier("$id-1")]), ['a', 'b', 'c']);
        $layout = LayoutReader::division(['runs' => [Doc::run('r', 0, $bays, ['depth' => TestLayout::mm(500)])]] + Doc::none());
        $run = (new LayoutFitter(TestTerms::of($room)))->fit($layout, new Marks())->runs[0];
        foreach ($run->boxes as $box) {
            $most = max(array_map(fn (float $u) => $run->frame->ceilingAt($u, $box->face()) - $box->topAt($u, $box->face()), range($box->u, $box->right(), 1.0)));
            $edge = $run->edge(Side::Top, $box->id);
            if ($edge !== null) {
                self::assertEqualsWithDelta($most, $edge->gap->most, 0.7, $box->mark);
            }
        }
        self::assertNotNull($run->edge(Side::Top, $run->boxes[2]->id));
    }
}
