<?php

declare(strict_types=1);

namespace Tests\Core;

use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Material;
use Incastro\Rules\MaterialRole;
use Incastro\Rules\Materials;
use Incastro\Survey\Room\Room;

/** What things are fitted by in tests: boards of 18, backs of 6, the usual rules, and tenths of a millimetre. */
final class TestTerms
{
    public static function of(?Room $room, bool $topOverSides = false): Terms
    {
        $room ?? throw new \LogicException('The survey of this test makes no room.');
        $material = fn (MaterialRole $role, float $mm) => new Material($role, 'ply', Length::ofDouble($mm), 680.0);
        $materials = new Materials($material(MaterialRole::Carcass, 18.0), $material(MaterialRole::Frame, 18.0), $material(MaterialRole::Back, 6.0));

        return new Terms($room, new HouseRules(Unit::Millimetre, [], false, true, $topOverSides), $materials, LengthFormat::millimetres('0.1'));
    }
}
