<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Rules\Schools\BoxJoint;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\Schools;
use Incastro\Units\Insides\RaisedFloor;
use PHPUnit\Framework\TestCase;

final class RaisedFloorTest extends TestCase
{
    private static function length(string $typed, Unit $unit = Unit::Millimetre): Length
    {
        return (new LengthReader($unit))->read($typed);
    }

    public function test_a_bag_of_520_under_754(): void
    {
        // 563.15 × 754 × 533 clear, boards of 17.9: 754 − 520 − 25 = 209.
        $box = new UnitBox('598.95', '789.8', '539', schools: new Schools(edges: Edges::Band), board: '17.9');
        $built = $box->build(new RaisedFloor(self::length('520'), self::length('25'), true));
        $pieces = $box->pieces($built);
        self::assertSame([563.0, 533.0], array_slice($pieces['floor'], 0, 2));
        self::assertEqualsWithDelta([191.1, 209.0], array_slice($pieces['floor'][2], 4), 1e-6);
        // 209 − 17.9 = 191.1, down.
        self::assertSame([563.0, 191.0], array_slice($pieces['strip'], 0, 2));
        self::assertSame([563.0, 30.0], array_slice($pieces['cleat-back'], 0, 2));
        self::assertEqualsWithDelta([161.1, 191.1], array_slice($pieces['cleat-back'][2], 4), 1e-6);
        self::assertSame([], $built->findings);
    }

    public function test_in_inches_with_dadoes(): void
    {
        // 20 59/64 × 30 clear between boards of 23/32: 30 − 18 − 1 = 11; the floor goes 7/32 into both sides: 21 23/64, down to 21 5/16.
        $box = new UnitBox('22 23/64', '31 7/16', '21 23/32', Unit::Inch, BoxJoint::Dado, schools: new Schools(edges: Edges::Band, boxJoint: BoxJoint::Dado));
        $pieces = $box->pieces($box->build(new RaisedFloor(self::length('18', Unit::Inch), self::length('1', Unit::Inch), true)));
        self::assertSame([21.3125, 21.5], array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($pieces['floor'], 0, 2)));
        self::assertEqualsWithDelta(11.0, $pieces['floor'][2][5] / 25.4, 1e-6);
        // 11 − 23/32 = 10 9/32, down to 10 1/4.
        self::assertSame([20.875, 10.25], array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($pieces['strip'], 0, 2)));
        self::assertSame([20.875, 1.25], array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($pieces['cleat-back'], 0, 2)));
    }

    public function test_a_bag_that_would_drag_is_said_with_one_that_does_not(): void
    {
        $box = new UnitBox('600', '700', '539', schools: new Schools(edges: Edges::Band), board: '18');
        // 664 clear: 664 − 600 − 25 = 39, 21 under what a floor needs; 664 − 25 − 60 = 579 would do.
        $built = $box->build(new RaisedFloor(self::length('600'), self::length('25'), true));
        self::assertSame('What stands on the floor is 21 mm too high for B1.', $built->findings[0]->sentence);
        self::assertSame('Take one of 579 mm', $built->findings[0]->waysOut[0]->label);
    }
}
