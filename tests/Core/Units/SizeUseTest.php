<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Piece;
use Incastro\Rules\Schools\BoxJoint;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Insides\Drawers;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Pull;
use Incastro\Units\SizeUse;
use PHPUnit\Framework\TestCase;

/** A size that was cut otherwise is judged by what it is good for: as planned it is good, and beyond its limits it is not. */
final class SizeUseTest extends TestCase
{
    /** @return array<string, Piece> */
    private static function pieces(Assembly $box): array
    {
        return array_map(fn ($placed) => $placed->piece, $box->byKey());
    }

    public function test_a_shelf_drops_in_as_planned_and_not_when_it_is_cut_too_long(): void
    {
        foreach ([BoxJoint::Pocket, BoxJoint::Dado] as $joint) {
            $box = UnitBox::metric($joint)->build(new Shelves(0, 2));
            self::assertCount(2, $box->uses);
            $use = $box->uses[0];
            $pieces = self::pieces($box);
            // 764 between the sides, 761 of shelf: the bottom, in dadoes too, says how far the sides stand apart.
            self::assertEqualsWithDelta(3.0, $use->value($pieces), 0.65);
            self::assertTrue(self::isGood($use, $pieces));
            $key = 'tier:shelf-1';
            $pieces[$key] = self::longer($pieces[$key], 3.0);
            self::assertFalse(self::isGood($use, $pieces));
        }
    }

    public function test_drawers_and_doors_are_good_as_planned(): void
    {
        $drawers = UnitBox::metric()->build(new Drawers(3, Length::zero(), 20, Pull::Bar));
        $pair = UnitBox::metric()->build(new Shelves(0, 0), UnitBox::door(2, Hand::Left, Pull::Bar));
        self::assertSame(['play of drawer slides', 'play of drawer slides', 'play of drawer slides', 'gaps beside a door'], array_map(fn (SizeUse $use) => $use->name, [...$drawers->uses, ...$pair->uses]));
        foreach ([$drawers, $pair] as $box) {
            foreach ($box->uses as $use) {
                self::assertTrue(self::isGood($use, self::pieces($box)), sprintf('%s: %.2f of %.2f to %.2f', $use->name, $use->value(self::pieces($box)), $use->least, $use->most));
            }
        }
    }

    public function test_of_pieces_that_are_not_there_nothing_is_said(): void
    {
        self::assertNull(UnitBox::metric()->build(new Shelves(0, 1))->uses[0]->value([]));
    }

    /** @param array<string, Piece> $pieces */
    private static function isGood(SizeUse $use, array $pieces): bool
    {
        $value = $use->value($pieces);

        return $value !== null && $value >= $use->least && $value <= $use->most;
    }

    private static function longer(Piece $piece, float $by): Piece
    {
        return new Piece(...['length' => Working::start('as it was cut', Length::ofDouble($piece->length->result->toDouble() + $by))] + get_object_vars($piece));
    }
}
