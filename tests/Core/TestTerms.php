<?php

declare(strict_types=1);

namespace Tests\Core;

use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\SheetGood;
use Incastro\Survey\Room\Room;

/** What things are fitted by in tests: boards of 18, backs of 6, the usual rules, and tenths of a millimetre. */
final class TestTerms
{
    public static function of(?Room $room, bool $topOverSides = false): Terms
    {
        $room ?? throw new \LogicException('The survey of this test makes no room.');
        $material = fn (string $id, float $mm) => new SheetGood($id, 'ply', Length::ofDouble($mm), 680.0);
        $materials = new Catalogue([$material('carcass', 18.0), $material('frame', 18.0), $material('back', 6.0)], ['carcass' => 'carcass', 'frame' => 'frame', 'back' => 'back']);

        return new Terms($room, new HouseRules(Unit::Millimetre, [], false, true, $topOverSides), $materials, LengthFormat::millimetres('0.1'));
    }
}
