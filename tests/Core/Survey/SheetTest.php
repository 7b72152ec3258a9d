<?php

declare(strict_types=1);

namespace Tests\Core\Survey;

use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Survey\Reading;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Take;
use Incastro\Survey\Tool;
use PHPUnit\Framework\TestCase;

final class SheetTest extends TestCase
{
    /** @param array<string, Reading> $known */
    private static function alcove(?SheetChoices $choices = null, array $known = []): Sheet
    {
        return new Sheet(SpaceShape::of(SpaceKind::Alcove), $choices ?? SheetChoices::defaults(Unit::Millimetre), known: $known);
    }

    private function slot(string $id, Sheet $sheet): Slot
    {
        foreach ($sheet->slots() as $slot) {
            if ($slot->id === $id) {
                return $slot;
            }
        }
        self::fail("There is no slot $id.");
    }

    /** @return array<string, Reading> */
    private function known(float $left, float $right, float $depth): array
    {
        $sheet = self::alcove();
        $read = fn (string $id, float $mm) => new Reading($this->slot($id, $sheet), [new Take($id, $id, Length::ofDouble($mm))]);

        return ['height-left' => $read('height-left', $left), 'height-right' => $read('height-right', $right), 'depth-left' => $read('depth-left', $depth)];
    }

    public function test_an_alcove_is_done_in_at_most_thirty_takes_and_each_says_how(): void
    {
        $slots = self::alcove()->slots();
        self::assertLessThanOrEqual(30, count($slots));
        self::assertSame(count($slots), count(array_unique(array_map(fn (Slot $slot) => $slot->id, $slots))));
        foreach ($slots as $slot) {
            self::assertNotSame('', $slot->how, $slot->id);
            self::assertSame($slot->kind->takesEnd(), $slot->ends !== [], $slot->id);
        }
        // 21 that every alcove needs; of diagonals and corners one is asked for besides.
        self::assertCount(21, array_filter($slots, fn (Slot $slot) => $slot->required));
    }

    public function test_heights_at_the_front_are_asked_for_in_new_spaces_and_offered_in_those_that_were_begun(): void
    {
        $front = ['height-mouth', 'height-front', 'floor-rise'];
        foreach ($front as $id) {
            self::assertTrue($this->slot($id, self::alcove())->required, $id);
        }
        $before = new SheetChoices(...array_replace((array) get_object_vars(SheetChoices::defaults(Unit::Millimetre)), ['asksFront' => false]));
        foreach ($front as $id) {
            self::assertFalse($this->slot($id, self::alcove($before))->required, $id);
        }
    }

    public function test_widths_are_taken_100_up_half_way_and_100_below_the_lower_side_of_the_ceiling(): void
    {
        $sheet = self::alcove(known: $this->known(2403.0, 2398.0, 412.0));
        self::assertSame(100.0, $this->slot('width-low-back', $sheet)->height);
        // Half of 2398 is 1199: the full 10 below it.
        self::assertSame(1190.0, $this->slot('width-middle-back', $sheet)->height);
        self::assertSame(2298.0, $this->slot('width-high-back', $sheet)->height);
        self::assertSame(20.0, $this->slot('width-low-back', $sheet)->depth);
        self::assertSame(392.0, $this->slot('width-low-front', $sheet)->depth);
    }

    public function test_the_level_is_held_from_the_lowest_widths_up_and_from_the_highest_down(): void
    {
        $sheet = self::alcove(known: $this->known(2400.0, 2400.0, 600.0));
        self::assertSame([100.0, 1200.0], [$this->slot('plumb-left-low', $sheet)->height, $this->slot('plumb-left-low', $sheet)->span]);
        self::assertSame([1100.0, 1200.0], [$this->slot('plumb-right-high', $sheet)->height, $this->slot('plumb-right-high', $sheet)->span]);
        self::assertSame(Tool::Level1200, $this->slot('plumb-left-low', $sheet)->tool);
        $short = new SheetChoices(...array_replace((array) get_object_vars(SheetChoices::defaults(Unit::Millimetre)), ['level' => Length::ofMillimetres(600)]));
        self::assertSame(Tool::Level600, $this->slot('plumb-left-low', self::alcove($short))->tool);
    }

    public function test_inches_have_places_of_their_own(): void
    {
        $choices = SheetChoices::defaults(Unit::Inch);
        self::assertSame([101.6, 1219.2], [$choices->low->toDouble(), $choices->level->toDouble()]);
    }

    public function test_takes_are_signed_by_their_end(): void
    {
        $slot = new Slot('plumb', ReadingKind::Plumb, 'Plumb', 'how', Tool::Level1200, true, span: 1200.0, ends: ['bottom', 'top']);
        $take = fn (string $end) => (new Take('t', 'plumb', Length::ofMillimetres(4), $end))->signed($slot);
        // A gap at the bottom: the wall leans into the room.
        self::assertSame(4.0, $take('bottom'));
        self::assertSame(-4.0, $take('top'));
    }

    public function test_several_takes_count_as_their_mean_and_are_surer(): void
    {
        $slot = new Slot('w', ReadingKind::Width, 'Width', 'how', Tool::Inside, true);
        $takes = fn (float ...$values) => new Reading($slot, array_map(fn (float $value) => new Take('t', 'w', Length::ofDouble($value)), $values));
        self::assertSame(903.0, $takes(902.0, 904.0)->value());
        // √(2² + (0.3 · 0.903)²) / √2
        self::assertEqualsWithDelta(hypot(2.0, 0.2709) / sqrt(2), $takes(902.0, 904.0)->sigma(), 1e-9);
        self::assertFalse($takes(900.0, 905.0)->takesDiffer());
        self::assertTrue($takes(900.0, 906.0)->takesDiffer());
        // A third take settles it: the mean is used, and nothing more is asked.
        self::assertFalse($takes(900.0, 906.0, 905.0)->takesDiffer());
    }
}
