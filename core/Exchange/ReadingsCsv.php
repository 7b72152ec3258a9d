<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Planning\TakeReader;
use Incastro\Survey\Slot;
use Incastro\Survey\Survey;
use Incastro\Survey\Take;

/**
 * The readings of a space as CSV: a line a take, blank where a slot has none, so that the file is also a sheet to fill in.
 * Columns: number, slot, reading, value, end, taken_at. Coming in, `slot` and `value` are enough; lines without a value are
 * passed over.
 */
final readonly class ReadingsCsv
{
    /** More lines than this are no tape book. */
    private const MOST = 1000;

    public function __construct(private LengthFormat $format)
    {
    }

    public function write(Survey $survey): string
    {
        $lines = [['number', 'slot', 'reading', 'value', 'end', 'taken_at']];
        foreach ($survey->slots as $i => $slot) {
            $takes = $survey->readings[$slot->id]->takes ?? [null];
            foreach ($takes as $take) {
                $lines[] = [(string) ($i + 1), $slot->id, $slot->label, $take === null ? '' : $this->typed($take), $take->end ?? '', $take->takenAt ?? ''];
            }
        }

        return CsvRows::write($lines, "\n");
    }

    private function typed(Take $take): string
    {
        return match (true) {
            $take->typed !== '' => $take->typed,
            $take->value instanceof Length => $this->format->finest()->write($take->value),
            default => $take->value->write(),
        };
    }

    /**
     * @param  list<Slot>  $slots
     * @return list<array{slot: string, text: string, end: ?string, taken_at: ?string}>
     *
     * @throws BadFile with a line and a field of every fault; then none is taken
     */
    public function read(string $csv, string $name, array $slots): array
    {
        $table = CsvTable::parse($name, $csv, ['slot', 'value'], self::MOST);
        $bySlot = [];
        foreach ($slots as $slot) {
            $bySlot[$slot->id] = $slot;
        }
        $reader = new TakeReader($this->format);
        $takes = $faults = [];
        foreach ($table->rows as [$line, $row]) {
            $text = ltrim(trim($row['value']), "'");
            if ($text === '') {
                continue;
            }
            $slot = $bySlot[trim($row['slot'])] ?? null;
            if ($slot === null) {
                $faults[] = new Fault("$name:$line:slot", sprintf('“%s” is not a reading of this space.', $row['slot']));
                continue;
            }
            $end = trim($row['end'] ?? '') ?: null;
            $taken = trim($row['taken_at'] ?? '') ?: null;
            if ($taken !== null && ! Moment::isOne($taken)) {
                $faults[] = new Fault("$name:$line:taken_at", sprintf(Moment::SENTENCE, $taken));
                continue;
            }
            try {
                $reader->read($slot, $text, $end);
                $takes[] = ['slot' => $slot->id, 'text' => $text, 'end' => $end, 'taken_at' => $taken];
            } catch (Unreadable $unreadable) {
                $faults[] = new Fault("$name:$line:value", $slot->label.': '.$unreadable->getMessage());
            }
        }
        if ($faults !== []) {
            throw new BadFile($faults);
        }

        return $takes;
    }
}
