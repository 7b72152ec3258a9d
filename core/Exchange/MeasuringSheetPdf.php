<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Drawing\PdfWriter;
use Incastro\Drawing\PlanDrawing;
use Incastro\Drawing\ReadingText;
use Incastro\Drawing\WallDrawing;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Survey\Slot;
use Incastro\Survey\Survey;
use Incastro\Survey\Take;

/**
 * The measuring sheet of a space on paper: the plan and every wall with numbered lines, and a table of the readings by
 * number; blank to fill in with a pencil, or filled with what was read.
 */
final readonly class MeasuringSheetPdf
{
    private PdfWriter $pdf;

    /** @var array<string, int> */
    private array $numbers;

    public function __construct(private string $name, private Survey $survey, private LengthFormat $format, private bool $isBlank)
    {
        $this->pdf = new PdfWriter($name.': measuring sheet', $name, $format->unit === Unit::Inch);
        $numbers = [];
        foreach ($survey->slots as $i => $slot) {
            $numbers[$slot->id] = $i + 1;
        }
        $this->numbers = $numbers;
    }

    public function write(): string
    {
        $room = $this->survey->room ?? $this->survey->draft;
        $title = $this->name.': measuring sheet';
        $this->pdf->page($title);
        $this->pdf->paragraph($this->isBlank
            ? 'Numbers on the lines are those of the table. Write what the tape says; for a plumb or a fall also at which end the gap is.'
            : 'As read. Numbers on the lines are those of the table.');
        if ($room !== null) {
            $texts = new ReadingText($this->survey, $this->format, $this->numbers);
            $this->pdf->drawing((new PlanDrawing($this->survey, $room, $texts))->draw());
            foreach ($room->shape->walls() as $wall) {
                $drawing = (new WallDrawing($this->survey, $room, $wall, $texts, $this->format))->draw();
                if ($drawing->layers['readings'] !== [] || $drawing->layers['things'] !== []) {
                    $this->pdf->page($drawing->name);
                    $this->pdf->drawing($drawing);
                }
            }
        }
        $this->pdf->page('Readings');
        $this->pdf->table('Readings', ['', 'Reading', 'Up', 'Tool', $this->isBlank ? 'Value' : 'Read', ''], [9, 71, 24, 34, 32, 12], array_map($this->row(...), $this->survey->slots));

        return $this->pdf->output();
    }

    /** @return list<string> */
    private function row(Slot $slot): array
    {
        $takes = $this->isBlank ? [] : array_values(array_filter($this->survey->readings[$slot->id]->takes ?? [], fn (Take $take) => ! in_array($take->id, $this->survey->struck, true)));

        return [
            (string) $this->numbers[$slot->id],
            $slot->label,
            $slot->height === null ? '' : $this->format->write(Length::ofDouble($slot->height)),
            $slot->tool->label(),
            $this->isBlank ? '[                ]' : implode(', ', array_map($this->value(...), $takes)),
            $slot->ends === [] ? '' : ($this->isBlank ? $slot->ends[0][0].' / '.$slot->ends[1][0] : ($takes[0]->end ?? '')),
        ];
    }

    private function value(Take $take): string
    {
        return $take->value instanceof Length ? $this->format->finest()->write($take->value) : $take->value->write();
    }
}
