<?php

declare(strict_types=1);

namespace Tests\Core;

use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Article;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\SheetGood;
use Incastro\Survey\Room\Room;
use Incastro\Units\Assembly;
use Incastro\Units\Make\Joinery;

/** What things are fitted by in tests: boards of 18, backs of 6, the usual rules, and tenths of a millimetre. */
final class TestTerms
{
    public static function of(?Room $room, bool $topOverSides = false): Terms
    {
        $room ?? throw new \LogicException('The survey of this test makes no room.');

        return new Terms($room, new HouseRules(Unit::Millimetre, [], false, true, $topOverSides), self::materials(), LengthFormat::millimetres('0.1'));
    }

    /** @param list<Article> $articles */
    public static function materials(array $articles = []): Catalogue
    {
        $material = fn (string $id, float $mm) => new SheetGood($id, 'ply', Length::ofDouble($mm), 680.0);

        return new Catalogue([$material('carcass', 18.0), $material('frame', 18.0), $material('back', 6.0)], ['carcass' => 'carcass', 'frame' => 'frame', 'back' => 'back'], $articles);
    }

    /** An assembly with what its joints take. */
    public static function joined(Assembly $assembly, Unit $unit = Unit::Millimetre): Assembly
    {
        return (new Joinery(new HouseRules($unit), self::materials(), $unit === Unit::Inch ? LengthFormat::inches() : LengthFormat::millimetres()))->made($assembly);
    }
}
