<?php

declare(strict_types=1);

namespace Tests\Core\Survey;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Planning\TakenPlace;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\SpaceSurvey;
use Incastro\Survey\Take;
use Incastro\Survey\TakenAt;
use Incastro\Trial\HiddenRoom;
use PHPUnit\Framework\TestCase;

/** A reading counts where it was taken, wherever the sheet would have it taken today. */
final class PlacesKeptTest extends TestCase
{
    public function test_moving_where_to_measure_moves_no_reading(): void
    {
        $hidden = new HiddenRoom(SpaceShape::of(SpaceKind::Alcove), 21);
        $space = (new TestSpace($hidden->shape))->read($hidden->truth(...));
        $placed = array_map(fn (Take $take) => new Take($take->id, $take->slot, $take->value, $take->end, $take->typed, $take->takenAt, TakenAt::of($space->slot($take->slot))), $space->takes);
        $room = fn (SheetChoices $choices, array $takes) => (new SpaceSurvey(new Sheet($hidden->shape, $choices), $takes, [], LengthFormat::millimetres()))->solve()->room;
        $usual = SheetChoices::defaults(Unit::Millimetre);
        // The lowest widths are asked for 250 up now, and a level of 900 is at hand.
        $moved = new SheetChoices(Length::ofMillimetres(250), $usual->middle, $usual->high, $usual->back, $usual->front, Length::ofMillimetres(900), $usual->format);
        [$before, $after, $lost] = [$room($usual, $placed), $room($moved, $placed), $room($moved, $space->takes)];
        self::assertNotNull($before);
        self::assertNotNull($after);
        self::assertNotNull($lost);
        foreach ([100.0, 800.0, 1600.0, 2200.0] as $z) {
            self::assertEqualsWithDelta($before->wallOffset(1, 300.0, $z), $after->wallOffset(1, 300.0, $z), 0.3, "at $z");
        }
        // Read as if they had been taken there, they would make another wall.
        self::assertGreaterThan(0.3, abs($before->wallOffset(1, 300.0, 2200.0) - $lost->wallOffset(1, 300.0, 2200.0)));
    }

    public function test_a_place_comes_back_from_its_document_as_it_went(): void
    {
        $place = new TakenAt(1150.5, 20.0, 300.0, 1200.0, [[10.0, 20.0], [30.0, 40.0]], [900.0, 1200.0]);
        self::assertEquals($place, TakenPlace::read(TakenPlace::write($place)));
        self::assertSame(['height' => 100_000_000], TakenPlace::write(new TakenAt(100.0)));
        self::assertEquals(new TakenAt(), TakenPlace::read([]));
    }
}
