<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Drawing\PdfWriter;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Measure\WorkingStep;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Sums\Answer;
use Incastro\Sums\Around;
use Incastro\Sums\Worked;

/** A quick sum as a card for the wall of the workshop: drawing, answers, formula, and a table for lengths near the typed one. */
final readonly class SumCardPdf
{
    /** Height of the drawing, and width of a page between its margins; mm. */
    private const DRAWING = 52.0;

    private const PAGE = 180.0;

    public function __construct(private LengthFormat $format)
    {
    }

    /** @param array<string, mixed> $typed */
    public function write(Blueprint $sum, array $typed, Worked $worked): string
    {
        $pdf = new PdfWriter($sum->about->label, $sum->about->label, ! $this->format->unit->isMetric());
        $pdf->page($sum->about->label);
        $pdf->paragraph($worked->formula);
        $pdf->paragraph(' ');
        $pdf->filling($worked->drawing, self::DRAWING);
        $pdf->table($sum->about->label, ['Typed', ''], [80, 100], $this->fields($sum, $typed));
        $pdf->table($sum->about->label, ['Answer', '', 'How it came about'], [45, 45, 90], array_map(fn (Answer $one) => [$one->label, $one->text, $one->working === null ? '' : $this->working($one->working)], array_values(array_filter($worked->answers, fn (Answer $one) => $one->marks === []))));
        foreach (array_filter($worked->answers, fn (Answer $one) => $one->marks !== []) as $marks) {
            $pdf->paragraph("$marks->label: $marks->text");
        }
        array_map(fn (string $says) => $pdf->paragraph($says), $worked->says);
        $around = Around::of($sum, $typed, $this->format);
        if ($around !== null) {
            $pdf->table($sum->about->label, $around->head, array_fill(0, count($around->head), self::PAGE / count($around->head)), $around->rows);
        }

        return $pdf->output();
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return list<array{string, string}> what counted, typed or as in the example
     */
    private function fields(Blueprint $sum, array $typed): array
    {
        $rows = [];
        $rules = new HouseRules($this->format->unit);
        $described = array_column($sum->described($rules, $this->format->finest()), null, 'name');
        foreach ($described as $name => $field) {
            if (! $sum->means($name, $typed, $rules, $this->format)) {
                continue;
            }
            $given = ($typed[$name] ?? '') !== '' ? $typed[$name] : null;
            $text = match (true) {
                $given === null => (string) $field['default_text'],
                isset($field['choices']) => (string) (array_column($field['choices'], 'label', 'value')[$given] ?? $given),
                default => is_scalar($given) ? (string) $given : '',
            };
            $rows[] = [(string) $field['label'], $text];
        }

        return $rows;
    }

    /** In one line: (1203 − 3 × 18.1) ÷ 4. */
    private function working(Working $working): string
    {
        return array_reduce($working->steps, fn (string $line, WorkingStep $step): string => match (true) {
            str_starts_with($step->sign, '÷') => "($line) $step->sign",
            $step->sign === '→' => $line,
            default => trim("$line $step->sign ".$this->format->finest()->withoutUnit($step->value)),
        }, '');
    }
}
