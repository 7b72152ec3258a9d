<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Measure\Unreadable;
use Incastro\Planning\TakeReader;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TakeReaderTest extends TestCase
{
    private function slot(string $id): Slot
    {
        foreach ((new Sheet(SpaceShape::of(SpaceKind::Alcove), SheetChoices::defaults(Unit::Inch)))->slots() as $slot) {
            if ($slot->id === $id) {
                return $slot;
            }
        }
        self::fail("There is no slot $id.");
    }

    public function test_what_was_typed_is_kept_beside_what_was_understood(): void
    {
        $reader = new TakeReader(LengthFormat::inches());
        self::assertSame(['value' => ['nm' => 803_275_000, 'typed' => '31 5/8'], 'end' => null], $reader->read($this->slot('width-low-back'), ' 31 5/8 ', 'top'));
        self::assertSame(['value' => ['nm' => 3_175_000, 'typed' => '1/8'], 'end' => 'top'], $reader->read($this->slot('plumb-left-low'), '1/8', 'top'));
        self::assertSame(['value' => ['microdegrees' => 90_400_000, 'typed' => '90.4'], 'end' => null], $reader->read($this->slot('corner-left'), '90.4', null));
    }

    public function test_nothing_leans_at_no_end(): void
    {
        $take = (new TakeReader(LengthFormat::inches()))->read($this->slot('fall-across'), '0', null);
        self::assertSame('right', $take['end']);
        self::assertSame(0, $take['value']['nm']);
    }

    /** @return list<array{string, string, ?string, string}> */
    public static function refused(): array
    {
        return [
            ['width-low-back', '0', null, 'was understood as nothing'],
            ['width-low-back', '', null, 'Nothing was typed'],
            ['plumb-left-low', '1/8', null, '1/8 in was understood, but not at which end. Say bottom or top.'],
            ['plumb-left-low', '1/8', 'left', 'Say bottom or top.'],
            ['fall-depth', '2 ft', 'back', '“2 ft” was understood as 24 in. A lean or a fall is at most 6 in: type the gap alone'],
            ['corner-left', '31 5/8', null, 'is not an angle'],
        ];
    }

    #[DataProvider('refused')]
    public function test_what_cannot_be_a_reading_is_refused(string $slot, string $typed, ?string $end, string $sentence): void
    {
        $this->expectException(Unreadable::class);
        $this->expectExceptionMessage($sentence);
        (new TakeReader(LengthFormat::inches()))->read($this->slot($slot), $typed, $end);
    }

    public function test_skirting_may_be_nothing(): void
    {
        self::assertSame(0, (new TakeReader(LengthFormat::millimetres()))->read($this->slot('skirting-height'), '0', null)['value']['nm']);
    }
}
