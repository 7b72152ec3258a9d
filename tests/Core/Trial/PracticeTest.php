<?php

declare(strict_types=1);

namespace Tests\Core\Trial;

use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Trial\Dice;
use Incastro\Trial\HiddenRoom;
use Incastro\Trial\Practice;
use PHPUnit\Framework\TestCase;
use Tests\Core\Survey\TestSpace;

final class PracticeTest extends TestCase
{
    public function test_dice_throw_the_same_from_the_same_seed_and_spread_as_they_should(): void
    {
        self::assertSame((new Dice(7))->fraction(), (new Dice(7))->fraction());
        $dice = new Dice(3);
        $throws = array_map(fn () => $dice->normal(2.0), range(1, 4000));
        $mean = array_sum($throws) / count($throws);
        $sigma = sqrt(array_sum(array_map(fn (float $throw) => ($throw - $mean) ** 2, $throws)) / count($throws));
        self::assertEqualsWithDelta(0.0, $mean, 0.1);
        self::assertEqualsWithDelta(2.0, $sigma, 0.1);
        foreach (range(1, 200) as $ignored) {
            $between = $dice->between(-3.0, 5.0);
            self::assertTrue($between >= -3.0 && $between < 5.0);
        }
    }

    public function test_the_same_take_reads_the_same_and_another_take_a_little_different(): void
    {
        $practice = new Practice($this->sheet(), 77, LengthFormat::millimetres());
        self::assertSame($practice->read('width-low-back', 0, []), $practice->read('width-low-back', 0, []));
        $texts = array_unique(array_map(fn (int $take) => $practice->read('width-low-back', $take, [])['text'] ?? '', range(0, 9)));
        self::assertGreaterThan(1, count($texts));
        self::assertNull($practice->read('no-such-slot', 0, []));
    }

    public function test_a_perfect_survey_of_the_hidden_room_comes_to_its_truth(): void
    {
        $hidden = new HiddenRoom(SpaceShape::of(SpaceKind::Alcove), 21);
        $survey = (new TestSpace($hidden->shape))->read($hidden->truth(...))->survey();
        $report = (new Practice($this->sheet(), 21, LengthFormat::millimetres()))->report($survey);
        self::assertNotNull($report);
        self::assertEqualsWithDelta($report['span']['true'], $report['span']['found'], 1.5);
        self::assertLessThan(1.5, $report['corner']);
        self::assertSame([], $report['slips']);
    }

    public function test_a_missed_slip_is_told(): void
    {
        $hidden = new HiddenRoom(SpaceShape::of(SpaceKind::Alcove), 21);
        $survey = (new TestSpace($hidden->shape))->read(fn ($sheet, $slot) => $hidden->truth($sheet, $slot) + ($slot->id === 'skirting-height' ? 40.0 : 0.0))->survey();
        $slips = (new Practice($this->sheet(), 21, LengthFormat::millimetres()))->report($survey)['slips'] ?? [];
        self::assertSame(['skirting-height'], array_column($slips, 'slot'));
        self::assertFalse($slips[0]['caught']);
    }

    public function test_without_a_room_there_is_nothing_to_compare(): void
    {
        self::assertNull((new Practice($this->sheet(), 1, LengthFormat::millimetres()))->report((new TestSpace(SpaceShape::of(SpaceKind::Alcove)))->survey()));
    }

    private function sheet(): Sheet
    {
        return new Sheet(SpaceShape::of(SpaceKind::Alcove), SheetChoices::defaults(Unit::Millimetre));
    }
}
