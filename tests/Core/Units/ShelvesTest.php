<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Fit\Box;
use Incastro\Fit\BoxTop;
use Incastro\Fit\Column;
use Incastro\Fit\Opening;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\SheetGood;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Joint;
use Incastro\Units\Placed;
use Incastro\Units\Pull;
use Incastro\Units\ShelfForm;
use Incastro\Units\ShelfLip;
use Incastro\Units\ShelfSupport;
use Incastro\Units\Shell\BoxBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;
use Tests\Core\TestTerms;

final class ShelvesTest extends TestCase
{
    private function box(int $fixed, int $adjustable, float $height = 2000.0): Assembly
    {
        $size = fn (float $mm) => Working::start('chosen', Length::ofDouble($mm));
        $opening = new Opening('box', $size($height - 36.0), 18.0, new Shelves($fixed, $adjustable));
        $box = new Box('box', 'B1', 0.0, 0.0, 70.0, $size(800.0), $size($height), $size(400.0), BoxTop::flat($height), [new Column('bay', $size(764.0), 18.0, [$opening])]);
        $material = fn (string $id, float $mm) => new SheetGood($id, 'ply', Length::ofDouble($mm), 680.0);
        $materials = new Catalogue([$material('carcass', 18.0), $material('frame', 18.0), $material('back', 6.0)], ['carcass' => 'carcass', 'frame' => 'frame', 'back' => 'back']);

        $room = TestAlcove::leaning()->survey()->room;
        self::assertNotNull($room);

        return (new BoxBuilder($box, new Terms($room, new HouseRules(Unit::Millimetre), $materials, LengthFormat::millimetres())))->build();
    }

    /** @return list<Placed> */
    private function shelves(Assembly $box): array
    {
        return array_values(array_filter($box->placed, fn (Placed $placed) => str_contains($placed->piece->mark, 'shelf')));
    }

    /** @return array<string, array{int, int, list<int>}> */
    public static function counts(): array
    {
        return [
            'one in the middle of five' => [1, 4, [3]],
            'two among seven' => [2, 5, [3, 5]],
            'all fixed' => [3, 0, [1, 2, 3]],
            'none fixed' => [0, 3, []],
        ];
    }

    /** @param list<int> $places */
    #[DataProvider('counts')]
    public function test_fixed_shelves_stand_as_evenly_as_they_can(int $fixed, int $adjustable, array $places): void
    {
        $found = [];
        foreach ($this->shelves($this->box($fixed, $adjustable)) as $i => $shelf) {
            if ($shelf->piece->name === 'Fixed shelf') {
                $found[] = $i + 1;
            }
        }
        self::assertSame($places, $found);
    }

    public function test_openings_are_equal_and_the_top_one_takes_what_is_left(): void
    {
        // (2000 − 2 · 18 − 5 · 18) / 6 = 312.33, down to 312; the top opening is 2000 − 36 − 90 − 5 · 312 = 314.
        $shelves = $this->shelves($this->box(1, 4));
        $below = 70.0 + 18.0;
        foreach ($shelves as $shelf) {
            self::assertEqualsWithDelta(312.0, $shelf->bounds->z0 - $below, 1e-6);
            $below = $shelf->bounds->z1;
        }
        self::assertEqualsWithDelta(314.0, 70.0 + 2000.0 - 18.0 - $below, 1e-6);
    }

    public function test_too_many_shelves_are_a_clash(): void
    {
        self::assertSame([], $this->box(1, 4)->findings);
        $findings = $this->box(0, 20)->findings;
        self::assertSame('shelves-too-close', $findings[0]->code->value);
        // (2000 − 36 − 360) / 21 = 76
        self::assertStringContainsString('openings of 76 mm', $findings[0]->sentence);
    }

    public function test_a_box_without_shelves_has_its_shell_back_and_nailers(): void
    {
        $marks = array_map(fn (Placed $placed) => $placed->piece->mark, $this->box(0, 0)->placed);
        self::assertSame(['B1-side-L', 'B1-side-R', 'B1-bottom', 'B1-top', 'B1-back', 'B1-nailer-top', 'B1-nailer-bottom'], $marks);
    }

    public function test_pins_and_screws_are_counted(): void
    {
        $count = fn (Assembly $box, string $name) => array_sum(array_map(fn ($item) => $item->name === $name ? $item->quantity : 0, TestTerms::joined($box)->hardware));
        self::assertSame(16, $count($this->box(1, 4), 'shelf pin'));
        // Bottom and top 4 · 3, the fixed shelf 2 · 3, nailers 8.
        self::assertSame(26, $count($this->box(1, 4), 'pocket screw, 32 mm'));
        self::assertSame(0, $count($this->box(1, 0), 'shelf pin'));
    }

    public function test_shelves_of_another_material_are_as_thick_as_it(): void
    {
        // 864.6 of clear height: (864.6 − 2 · 12)/3 = 280.2, down to 280, where those of 17.7 have 276.
        $box = UnitBox::metric();
        $shelf = $box->pieces($box->build(new Shelves(0, 2, 'drawer')))['shelf-1'];
        self::assertSame([280.0, 292.0], array_slice($shelf[2], 4));
        self::assertSame('drawer', $box->build(new Shelves(0, 2, 'drawer'))->pieces()[4]->material->id);
        // A material that the job no longer has: as usual.
        self::assertSame([276.0, 293.7], array_slice($box->pieces($box->build(new Shelves(0, 2, 'gone')))['shelf-1'][2], 4));
    }

    public function test_pieces_stand_inside_their_box_and_do_not_overlap(): void
    {
        $placed = $this->box(1, 3)->placed;
        foreach ($placed as $i => $a) {
            self::assertGreaterThanOrEqual(-1e-6, $a->bounds->u0);
            self::assertLessThanOrEqual(800.0 + 1e-6, $a->bounds->u1);
            self::assertLessThanOrEqual(2070.0 + 1e-6, $a->bounds->z1);
            foreach (array_slice($placed, $i + 1) as $b) {
                self::assertFalse($a->bounds->meets($b->bounds, 1e-6), $a->piece->mark.' and '.$b->piece->mark);
            }
        }
    }

    private static function movable(int $count, ShelfSupport $support = ShelfSupport::Pins, ShelfForm $form = ShelfForm::Plain, ShelfLip $lip = ShelfLip::None, Unit $unit = Unit::Millimetre): Shelves
    {
        $inch = $unit === Unit::Inch;
        $size = fn (float $mm, float $inches): Length => Length::ofDouble($inch ? 25.4 * $inches : $mm);

        return new Shelves(0, $count, null, $support, $form, $size(45, 1.75), $size(20, 0.75), $lip, $size(38, 1.5));
    }

    public function test_shelves_with_a_strip_before_them_by_hand(): void
    {
        // Behind inset doors of 18 boards end at 554 − 18 − 6 = 530; (900 − 2 · 17.7 − 3 · 17.7)/4 = 202.875, down to 202.
        $box = UnitBox::metric();
        $pieces = $box->pieces($box->build(self::movable(3, lip: ShelfLip::Front), UnitBox::door(2, Hand::Left, Pull::Bar)));
        self::assertSame([761.0, 512.0, [1.8, 762.8, 0.0, 512.0, 202.0, 219.7]], $pieces['shelf-1']);
        // Its upper edge is flush with the shelf: 219.7 − 38.
        self::assertSame([761.0, 38.0, [1.8, 762.8, 512.0, 530.0, 181.7, 219.7]], $pieces['shelf-1-lip']);
        $under = $box->pieces($box->build(self::movable(3, lip: ShelfLip::Under), UnitBox::door(2, Hand::Left, Pull::Bar)));
        self::assertSame([530.0, [512.0, 530.0, 164.0, 202.0]], [$under['shelf-1'][1], array_slice($under['shelf-1-lip'][2], 2)]);
    }

    public function test_slatted_shelves_by_hand(): void
    {
        // 530 deep: ⌈(530 + 20)/(45 + 20)⌉ = 9 slats of 764.6 − 2 = 762.6, down to 762; (530 − 9 · 45)/8 = 15.625 between.
        $box = UnitBox::metric();
        $built = $box->build(self::movable(1, form: ShelfForm::Slatted), UnitBox::door(2, Hand::Left, Pull::Bar));
        $pieces = $box->pieces($built);
        $slats = array_filter($built->placed, fn (Placed $placed) => $placed->piece->name === 'Slat');
        self::assertCount(9, $slats);
        self::assertSame([762.0, 45.0], array_slice($pieces['shelf-1-1'], 0, 2));
        self::assertEqualsWithDelta(45.0 + 15.625, $pieces['shelf-1-2'][2][2] - $pieces['shelf-1-1'][2][2], 1e-6);
        self::assertSame([530.0, 30.0], array_slice($pieces['shelf-1-cleat-L'], 0, 2));
        // A strip before them is glued to the foremost.
        $lipped = $box->build(self::movable(1, form: ShelfForm::Slatted, lip: ShelfLip::Front));
        $glued = array_values(array_filter($lipped->joints, fn (Joint $joint) => str_ends_with($joint->a, '-lip')));
        $byKey = $lipped->byKey();
        self::assertEqualsWithDelta($byKey[$glued[0]->a]->bounds->v0, $byKey[$glued[0]->b]->bounds->v1, 1e-6);
    }

    public function test_shelves_on_cleats_by_hand(): void
    {
        $box = UnitBox::metric();
        $pieces = $box->pieces($box->build(self::movable(1, ShelfSupport::Cleats)));
        // (864.6 − 17.7)/2 = 423.45, down to 423. 764.6 − 2 = 762.6, down to 762; cleats 536 − 20 long, that at the back between them.
        self::assertSame([762.0, 536.0, 423.0], [...array_slice($pieces['shelf-1'], 0, 2), $pieces['shelf-1'][2][4]]);
        self::assertSame([516.0, 30.0, [0.0, 17.7, 0.0, 516.0, 393.0, 423.0]], $pieces['shelf-1-cleat-L']);
        self::assertSame([729.0, 30.0, [17.7, 746.7, 0.0, 17.7, 393.0, 423.0]], $pieces['shelf-1-cleat-back']);
    }

    public function test_shelves_on_sawtooth_battens_in_inches_by_hand(): void
    {
        $box = UnitBox::banded();
        $built = $box->build(self::movable(2, ShelfSupport::Sawtooth, unit: Unit::Inch));
        $inches = fn (array $numbers): array => array_map(fn (float $mm) => round($mm / 25.4, 5), $numbers);
        $pieces = array_map(fn (array $piece) => [...$inches(array_slice($piece, 0, 2)), $inches($piece[2])], $box->pieces($built));
        // 33 5/16 − 1/32, down to 33 1/4; behind they begin before the nailers, at 23/32, in front they end with the boards, at 21 3/4.
        self::assertSame([33.25, 1.5], array_slice($pieces['batten-L-back'], 0, 2));
        self::assertEqualsWithDelta([0.71875, 2.21875], array_slice($pieces['batten-L-back'][2], 2, 2), 1e-4);
        self::assertEqualsWithDelta([20.25, 21.75], array_slice($pieces['batten-R-front'][2], 2, 2), 1e-4);
        // 21 3/4 − 23/32 − 2 · 1 1/2 + 2 · 7/16 − 1/16 = 18 27/32; 1 − 1/32.
        self::assertSame([18.84375, 0.96875], array_slice($pieces['shelf-1-bar-L'], 0, 2));
        // Wanted at 10 9/16; its bars lie in the hole at 3 + 5 · 1 1/2 = 10 1/2, half of 31/32 over its middle.
        self::assertEqualsWithDelta(10.5 + 0.484375, $pieces['shelf-1'][2][4], 1e-4);
        self::assertSame([28.4375, 21.75], array_slice($pieces['shelf-1'], 0, 2));
        // Notched 23/32 across its ends: 23/32 + 1 1/2 + 1/16 behind, 1 1/2 + 1/16 in front.
        self::assertEqualsWithDelta(28.4375 * 21.75 - 2 * 0.71875 * (2.28125 + 1.5625), $built->byKey()['tier:shelf-1']->piece->outline->area() / 645.16, 0.01);
        $grants = $built->grants();
        foreach ($built->placed as $i => $one) {
            foreach (array_slice($built->placed, $i + 1) as $other) {
                self::assertLessThan(0.05 + ($grants[$one->piece->key.'|'.$other->piece->key] ?? 0.0), $one->overlap($other, 0.01), $one->piece->key.' in '.$other->piece->key);
            }
        }
    }

    public function test_clear_heights_that_were_given_come_from_the_foot_up(): void
    {
        // 864.6 − 3 · 17.7 = 811.5, less 300 and 150: two of 180.75, down to 180; the top one keeps the rest.
        $box = UnitBox::metric();
        $heights = array_map(Length::ofMillimetres(...), [300, 150]);
        $pieces = $box->pieces($box->build(new Shelves(1, 2, spacing: $heights)));
        self::assertSame([300.0, 300.0 + 17.7 + 150.0, 300.0 + 17.7 + 150.0 + 17.7 + 180.0], array_map(fn (int $i) => round($pieces["shelf-$i"][2][4], 6), [1, 2, 3]));
        $close = $box->build(new Shelves(0, 2, spacing: array_map(Length::ofMillimetres(...), [500, 300])))->findings;
        self::assertSame(Code::ShelvesTooClose, $close[0]->code);
        self::assertSame(['spacing' => null], $close[0]->waysOut[0]->edit->value);
    }
}
