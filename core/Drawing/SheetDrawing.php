<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Cut\PlannedSheet;
use Incastro\Cut\Rectangle;
use Incastro\Cut\SawSetup;
use Incastro\Measure\LengthFormat;

/** A sheet to scale with its pieces, trim and offcuts; the sheet's length runs to the right. */
final readonly class SheetDrawing
{
    /** Offcuts narrower than this are dust, not named, mm. */
    private const WORTH_NAMING = 150.0;

    /** Lower pieces carry one line of text, mm. */
    private const TWO_LINES = 110.0;

    public function __construct(private SawSetup $saw, private LengthFormat $format)
    {
    }

    public function of(PlannedSheet $sheet, int $number): Drawing
    {
        $length = $sheet->stock->length->toDouble();
        $width = $sheet->stock->width->toDouble();
        $offcuts = $pieces = [];
        foreach ($sheet->offcuts as $offcut) {
            $offcuts[] = $this->rectangle($offcut, Style::Offcut, '');
            if (min($offcut->length()->toDouble(), $offcut->width()->toDouble()) > self::WORTH_NAMING) {
                $offcuts[] = $this->label($offcut, $this->size($offcut), Style::Label, 0.0, '');
            }
        }
        foreach ($sheet->pieces as $placed) {
            $name = $placed->piece->name;
            $pieces[] = $this->rectangle($placed->at, Style::Board, $name);
            $isNarrow = min($placed->at->length()->toDouble(), $placed->at->width()->toDouble()) < self::TWO_LINES;
            if ($isNarrow) {
                $pieces[] = $this->label($placed->at, $name.'  '.$this->size($placed->at), Style::Label, 0.0, $name, $name);
            } else {
                $pieces[] = $this->label($placed->at, $name, Style::Label, 26.0, $name);
                $pieces[] = $this->label($placed->at, $this->size($placed->at), Style::Measure, -30.0, $name);
            }
        }

        return new Drawing("Sheet $number", [
            'sheet' => [
                Outline::rectangle(0.0, 0.0, $length, $width, Style::Sheet, "sheet-$number"),
                Outline::rectangle(
                    $this->saw->on($sheet->stock)->trimStart->toDouble(),
                    $this->saw->on($sheet->stock)->trimLow->toDouble(),
                    $this->saw->usableLength($sheet->stock)->toDouble(),
                    $this->saw->usableWidth($sheet->stock)->toDouble(),
                    Style::Trimmed,
                ),
            ],
            'offcuts' => $offcuts,
            'pieces' => $pieces,
        ]);
    }

    private function rectangle(Rectangle $at, Style $style, string $ref): Outline
    {
        return Outline::rectangle($at->x / 1e6, $at->y / 1e6, $at->alongX / 1e6, $at->alongY / 1e6, $style, $ref);
    }

    private function label(Rectangle $at, string $text, Style $style, float $above, string $ref, string $short = ''): Label
    {
        $x = ($at->x + $at->alongX / 2) / 1e6;
        $y = ($at->y + $at->alongY / 2) / 1e6;
        $turned = $at->alongY > $at->alongX;

        return new Label(new DrawnPoint($turned ? $x - $above : $x, $turned ? $y : $y + $above), $text, $style, $ref, 'middle', $turned, max($at->alongX, $at->alongY) / 1e6, $short);
    }

    private function size(Rectangle $at): string
    {
        return $this->format->writeSize($at->length(), $at->width());
    }
}
