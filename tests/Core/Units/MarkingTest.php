<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Geometry\Point;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Pieces\Marks\Mark;
use Incastro\Pieces\Marks\MarkKind;
use Incastro\Pieces\Piece;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Schools\BoxJoint;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Marking;
use Incastro\Units\Pull;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestTerms;

/** The box is 800 × 900 × 560 of boards of 17.7, with a back of 6 and a face of 18: its boards are 536 deep. */
final class MarkingTest extends TestCase
{
    private static function made(Shelves $shelves, BoxJoint $joint = BoxJoint::Pocket): Assembly
    {
        return TestTerms::joined(UnitBox::metric($joint)->build($shelves));
    }

    private static function piece(Assembly $box, string $mark): Piece
    {
        foreach ($box->placed as $placed) {
            if ($placed->piece->mark === "B1-$mark") {
                return $placed->piece;
            }
        }
        self::fail("There is no $mark.");
    }

    private static function mark(Piece $piece, MarkKind $kind, string $partner): Mark
    {
        foreach ($piece->marks as $mark) {
            if ($mark->kind === $kind && $mark->partner === "B1-$partner") {
                return $mark;
            }
        }
        self::fail("$piece->mark has no $kind->value for $partner.");
    }

    /** @return array{list<float>, list<float>} its places along and across, each once */
    private static function places(Mark $mark): array
    {
        $of = fn (callable $side): array => array_values(array_unique(array_map(fn (Point $point) => round($side($point), 1), $mark->at)));

        return [$of(fn (Point $point) => $point->x), $of(fn (Point $point) => $point->y)];
    }

    public function test_pockets_stand_evenly_between_the_ends_of_their_joint(): void
    {
        // 536 long: 1 + ⌈436/150⌉ = 4, at 50 and every 436/3.
        self::assertEqualsWithDelta([50.0, 195.333, 340.667, 486.0], Marking::pockets(536.0, Unit::Millimetre), 1e-3);
        // 21 25/32 in long: 2 in from its ends, 6 in apart at most.
        self::assertEqualsWithDelta([2.0, 7.927, 13.854, 19.78125], array_map(fn (float $mm) => $mm / 25.4, Marking::pockets(21.78125 * 25.4, Unit::Inch)), 1e-3);
        // A rail of 45 has room for one, one of 90 for two.
        self::assertSame([22.5], Marking::pockets(45.0, Unit::Millimetre));
        self::assertSame([22.5, 67.5], Marking::pockets(90.0, Unit::Millimetre));
    }

    public function test_a_bottom_is_bored_from_below_and_its_side_shows_where_it_stands(): void
    {
        $box = self::made(new Shelves(1, 0));
        $pockets = self::mark(self::piece($box, 'bottom'), MarkKind::Pocket, 'side-L');
        // 1.866 · 17.7 = 33.0 from the end.
        self::assertSame([[33.0], [50.0, 195.3, 340.7, 486.0]], self::places($pockets));
        // Its length goes right and its width away from the back: seen so, its upper face is up. The top is bored from above.
        self::assertFalse($pockets->isUp);
        self::assertTrue(self::mark(self::piece($box, 'top'), MarkKind::Pocket, 'side-L')->isUp);
        self::assertFalse(self::mark(self::piece($box, 'shelf-1'), MarkKind::Pocket, 'side-R')->isUp);
        // The middle of its 17.7 on the side, from back to front.
        $line = self::mark(self::piece($box, 'side-R'), MarkKind::Line, 'bottom');
        self::assertSame([[8.9], [0.0, 536.0]], self::places($line));
        self::assertContains('4 pocket holes Ø 9.5 mm for B1-side-L: 33 along; 50 · 195 · 341 · 486 across', self::piece($box, 'bottom')->markings(LengthFormat::millimetres()));
    }

    public function test_screws_through_the_sides_are_as_long_as_holds(): void
    {
        $box = self::made(new Shelves(0, 0), BoxJoint::Screws);
        // 536 − 80 = 456: 1 + ⌈456/200⌉ = 4, at 40 and every 152; the shortest of at least 17.7 + 25 = 42.7 is 45.
        $holes = self::mark(self::piece($box, 'side-L'), MarkKind::Screw, 'bottom');
        self::assertSame([[8.9], [40.0, 192.0, 344.0, 496.0]], self::places($holes));
        $pilots = self::mark(self::piece($box, 'bottom'), MarkKind::Pilot, 'side-L');
        self::assertSame([[0.0], [40.0, 192.0, 344.0, 496.0]], self::places($pilots));
        $bought = array_values(array_filter($box->hardware, fn ($one) => $one->use === 'bottom and top to the sides'));
        self::assertSame(['wood screw 4 × 45', 4], [$bought[0]->name, $bought[0]->quantity]);
        $inches = TestTerms::joined((new UnitBox('30', '34 3/4', '22', Unit::Inch, BoxJoint::Screws))->build(new Shelves(0, 0)), Unit::Inch);
        // 23/32 + 1 = 1 23/32: 2 in.
        self::assertContains('wood screw no. 8 × 2 in', array_map(fn ($one) => $one->name, $inches->hardware));
    }

    public function test_a_dado_lengthens_what_stands_in_it(): void
    {
        $box = self::made(new Shelves(1, 1), BoxJoint::Dado);
        // 17.7 / 3 = 5.9, down to 5.5; 764.6 + 2 · 5.5 = 775.6, down to 775.
        self::assertSame([775.0, 775.0, 761.0], array_map(fn (string $mark) => self::piece($box, $mark)->length->result->toDouble(), ['bottom', 'shelf-2', 'shelf-1']));
        $dado = self::mark(self::piece($box, 'side-L'), MarkKind::Dado, 'bottom');
        self::assertEqualsWithDelta([17.9, 5.5], [$dado->across, $dado->depth], 1e-9);
        self::assertSame([[8.9], [0.0, 536.0]], self::places($dado));
        self::assertSame([], array_filter($box->hardware, fn ($one) => $one->use === 'bottom and top to the sides'));
    }

    public function test_pins_go_in_rows_about_the_place_of_their_shelf(): void
    {
        $box = self::made(new Shelves(0, 2));
        $pins = self::mark(self::piece($box, 'side-L'), MarkKind::PinRow, 'shelf-1');
        // (864.6 − 2 · 17.7)/3 = 276.4, down to 276: the shelf stands at 17.7 + 276, its pins half a hole lower, every 32.
        self::assertSame([[227.2, 259.2, 291.2, 323.2, 355.2], [37.0, 499.0]], self::places($pins));
        self::assertSame([5.0, 10.0], [$pins->across, $pins->depth]);
    }

    public function test_cups_and_plates_of_a_door_share_their_heights(): void
    {
        $box = UnitBox::metric()->build(new Shelves(0, 0), UnitBox::door(2, Hand::Left, Pull::Bar));
        $byKey = $box->byKey();
        $hinge = array_values(array_filter($box->joints, fn (Joint $joint) => $joint->kind === JointKind::Hinge))[0];
        [[$cups], [$plates]] = (new Marking(new HouseRules(Unit::Millimetre)))->of($hinge, $byKey[$hinge->a], $byKey['tier:side-L'], null);
        // A leaf of 805: 100 from both its ends; its foot is 29.8 over the bottom board, whose upper face is at 17.7.
        self::assertSame([[100.0, 705.0], [22.5]], self::places($cups));
        self::assertSame([35.0, 13.0], [$cups->across, $cups->depth]);
        self::assertEqualsWithDelta([147.5 - 16.0, 147.5 + 16.0, 752.5 - 16.0, 752.5 + 16.0], array_map(fn (Point $point) => $point->x, $plates->at), 1e-6);
    }

    public function test_what_is_only_drawn_on_them_does_not_part_pieces_that_are_alike(): void
    {
        $plain = self::made(new Shelves(0, 0));
        // Both nailers are bored alike; a left and a right side differ by their faces alone, and only where they are bored.
        self::assertTrue(self::piece($plain, 'nailer-top')->likeness()->isEqualTo(self::piece($plain, 'nailer-bottom')->likeness()));
        self::assertTrue(self::piece($plain, 'side-L')->likeness()->isEqualTo(self::piece($plain, 'side-R')->likeness()));
        $pinned = self::made(new Shelves(0, 1));
        self::assertFalse(self::piece($pinned, 'side-L')->likeness()->isEqualTo(self::piece($pinned, 'side-R')->likeness()));
    }
}
