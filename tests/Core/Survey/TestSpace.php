<?php

declare(strict_types=1);

namespace Tests\Core\Survey;

use Incastro\Measure\Angle;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Survey\Reading;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\ExtraSlot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\SpaceSurvey;
use Incastro\Survey\Survey;
use Incastro\Survey\Take;
use Incastro\Survey\Things\Thing;

/** A space of any shape and the readings of it, given slot by slot as a person takes them. */
final class TestSpace
{
    /** @var list<Take> */
    public array $takes = [];

    /** @var array<string, Reading> */
    private array $known = [];

    public readonly Sheet $sheet;

    /** @param list<ExtraSlot> $extras */
    public function __construct(SpaceShape $shape, array $extras = [])
    {
        $this->sheet = new Sheet($shape, SheetChoices::defaults(Unit::Millimetre), $extras);
    }

    /**
     * Takes every slot of the sheet in its order.
     *
     * @param  \Closure(Sheet, Slot): ?float  $read  mm or degrees, signed as the slot's first end; null: not taken
     */
    public function read(\Closure $read): self
    {
        foreach (array_map(fn (Slot $slot) => $slot->id, $this->sheet->slots()) as $id) {
            $now = $this->sheet->knowing($this->known);
            foreach ($now->slots() as $slot) {
                $value = $slot->id === $id ? $read($now, $slot) : null;
                if ($value !== null) {
                    $this->take($slot, $value);
                }
            }
        }

        return $this;
    }

    public function take(Slot $slot, float $value, ?string $id = null): self
    {
        $take = new Take($id ?? $slot->id, $slot->id, $slot->kind->isAngle() ? Angle::ofDegrees($value) : Length::ofDouble(abs($value)), $slot->ends === [] ? null : $slot->ends[$value < 0 ? 1 : 0], sprintf('%.0f', abs($value)));
        $this->takes[] = $take;
        $this->known[$slot->id] = new Reading($slot, [$take]);

        return $this;
    }

    public function slot(string $id): Slot
    {
        foreach ($this->sheet->knowing($this->known)->slots() as $slot) {
            if ($slot->id === $id) {
                return $slot;
            }
        }

        throw new \OutOfBoundsException("There is no slot $id.");
    }

    /** @param list<Thing> $things */
    public function survey(array $things = []): Survey
    {
        return (new SpaceSurvey($this->sheet, $this->takes, $things, LengthFormat::millimetres()))->solve();
    }
}
