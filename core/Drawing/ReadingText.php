<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\Slot;
use Incastro\Survey\Survey;

/** What a drawing writes beside the line of a reading: its value, nothing while it has none. */
final readonly class ReadingText
{
    /** @param array<string, int> $numbers of the slots, written instead of values: for a sheet to fill in by hand */
    public function __construct(private Survey $survey, private LengthFormat $format, private array $numbers = [])
    {
    }

    public function of(Slot $slot): string
    {
        if ($this->numbers !== []) {
            return isset($this->numbers[$slot->id]) ? (string) $this->numbers[$slot->id] : '';
        }
        $reading = $this->survey->readings[$slot->id] ?? null;
        if ($reading === null) {
            return '';
        }
        $value = $reading->standing($this->survey->struck);

        return $slot->kind->isAngle() ? sprintf('%.1f°', $value) : $this->format->write(Length::ofDouble(abs($value)));
    }
}
