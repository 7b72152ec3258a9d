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
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\SheetGood;
use Incastro\Units\Assembly;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Placed;
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
}
