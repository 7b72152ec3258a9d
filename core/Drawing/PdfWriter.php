<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/**
 * Writes pages of a PDF in exact millimetres: headings, paragraphs, tables, and drawings at a true scale. Every page
 * carries a line to hold a rule against, 100 mm or 4 in long.
 */
final class PdfWriter
{
    private const MARGIN = 15.0;

    private const FONT = 'dejavusans';

    /** Size of letters in drawings, points. */
    private const LETTERS = 7.5;

    /** Scales a person can reckon with; the first that fits is taken. */
    private const SCALES = [1, 2, 5, 10, 12, 15, 20, 25, 50];

    private \TCPDF $pdf;

    public function __construct(string $title, private readonly string $foot, private readonly bool $inches)
    {
        $this->pdf = new \TCPDF('P', 'mm', 'A4', true, 'UTF-8');
        $this->pdf->setPrintHeader(false);
        $this->pdf->setPrintFooter(false);
        $this->pdf->SetTitle($title);
        $this->pdf->SetCreator('Incastro');
        $this->pdf->SetMargins(self::MARGIN, self::MARGIN, self::MARGIN);
        $this->pdf->setAutoPageBreak(false);
    }

    public function page(string $heading): void
    {
        $this->pdf->AddPage();
        $this->pdf->SetFont(self::FONT, 'B', 15);
        $this->pdf->SetXY(self::MARGIN, self::MARGIN);
        $this->pdf->Cell(0, 9, $heading, 0, 1);
        $this->checkLine();
    }

    /** Begins another page where there is less room than this, mm. */
    public function room(float $least, string $heading): void
    {
        if ($this->pdf->GetY() > 268 - $least) {
            $this->page($heading);
        }
    }

    public function paragraph(string $text, float $size = 9.5): void
    {
        $this->pdf->SetFont(self::FONT, '', $size);
        $this->pdf->SetX(self::MARGIN);
        $this->pdf->MultiCell(0, 0, $text, 0, 'L');
        $this->pdf->Ln(1.5);
    }

    /**
     * A table that goes on over as many pages as it needs, with its head on each.
     *
     * @param  list<string>  $head
     * @param  list<float>  $widths  mm
     * @param  list<list<string>>  $rows
     */
    public function table(string $heading, array $head, array $widths, array $rows): void
    {
        $this->tableRow($head, $widths, true);
        foreach ($rows as $row) {
            if ($this->pdf->GetY() > 262) {
                $this->page($heading);
                $this->tableRow($head, $widths, true);
            }
            $this->tableRow($row, $widths, false);
        }
        $this->pdf->Ln(3);
    }

    /** A drawing at the largest true scale at which it fits the rest of the page; 1:n stands under it. */
    public function drawing(Drawing $drawing): void
    {
        [$left, $bottom, $right, $top] = $drawing->bounds();
        $room = [210 - 2 * self::MARGIN, 268 - $this->pdf->GetY()];
        // Long things lie along the page.
        $turned = ($right - $left) > ($top - $bottom);
        [$across, $up] = $turned ? [$top - $bottom, $right - $left] : [$right - $left, $top - $bottom];
        $scale = self::SCALES[count(self::SCALES) - 1];
        foreach (array_reverse(self::SCALES) as $candidate) {
            if ($across / $candidate <= $room[0] && $up / $candidate <= $room[1]) {
                $scale = $candidate;
            }
        }
        $x0 = self::MARGIN + ($room[0] - $across / $scale) / 2;
        $y0 = $this->pdf->GetY();
        $place = fn (DrawnPoint $point): array => $turned
            ? [$x0 + ($point->y - $bottom) / $scale, $y0 + ($point->x - $left) / $scale]
            : [$x0 + ($point->x - $left) / $scale, $y0 + ($top - $point->y) / $scale];
        foreach (self::linesFirst($drawing->shapes()) as $shape) {
            $this->shape($shape, $place, $turned, $scale);
        }
        $this->pdf->SetY($y0 + $up / $scale + 2);
        $this->paragraph("Drawn 1:$scale.", 8);
    }

    /**
     * Texts of dimensions lie over every line.
     *
     * @param  list<Shape>  $shapes
     * @return list<Shape>
     */
    private static function linesFirst(array $shapes): array
    {
        $lines = array_map(fn (Shape $shape) => $shape instanceof Dimension ? new Dimension($shape->from, $shape->to, '', $shape->ref, $shape->style) : $shape, $shapes);
        $texts = array_filter($shapes, fn (Shape $shape) => $shape instanceof Dimension && $shape->text !== '');

        return [...$lines, ...array_values($texts)];
    }

    public function output(): string
    {
        return $this->pdf->Output('', 'S');
    }

    /**
     * @param  list<string>  $cells
     * @param  list<float>  $widths
     */
    private function tableRow(array $cells, array $widths, bool $isHead): void
    {
        $this->pdf->SetLineStyle(['width' => 0.15, 'dash' => 0, 'color' => [150, 145, 135]]);
        $this->pdf->SetFont(self::FONT, $isHead ? 'B' : '', 8.5);
        $this->pdf->SetX(self::MARGIN);
        foreach ($cells as $i => $cell) {
            $this->pdf->Cell($widths[$i], 5.6, $cell, 'B', 0, 'L', false, '', 1);
        }
        $this->pdf->Ln();
    }

    /** @param \Closure(DrawnPoint): array{float, float} $place */
    private function shape(Shape $shape, \Closure $place, bool $turned, int $scale): void
    {
        if ($shape instanceof Outline) {
            [$width, $fill, $dash] = match ($shape->style) {
                Style::House, Style::Sheet => [0.6, [], ''],
                Style::Hidden, Style::Plumb => [0.2, [], '2,1'],
                Style::Thing => [0.3, [236, 241, 247], ''],
                Style::Board, Style::Plinth, Style::Worktop, Style::Cut => [0.25, [246, 238, 216], ''],
                Style::Cell, Style::Field => [0.0, [], ''],
                Style::Offcut, Style::Trimmed, Style::BoardBehind => [0.15, [], '2,1'],
                default => [0.15, [], ''],
            };
            $flat = array_merge([], ...array_map($place, $shape->points()));
            $line = ['width' => $width, 'dash' => $dash === '' ? 0 : $dash, 'color' => [35, 38, 43]];
            if ($shape->closed) {
                $this->pdf->Polygon($flat, $fill === [] ? 'D' : 'DF', ['all' => $line], $fill);
            } else {
                $this->pdf->PolyLine($flat, 'D', $line);
            }
        } elseif ($shape instanceof Label) {
            $this->pdf->SetFont(self::FONT, '', self::LETTERS);
            $fits = fn (string $text) => $shape->room === null || $this->pdf->GetStringWidth($text) <= $shape->room / $scale;
            $this->text($place($shape->at), $fits($shape->text) ? $shape->text : ($fits($shape->short) ? $shape->short : ''), $shape->turned xor $turned, $shape->anchor);
        } elseif ($shape instanceof Dimension) {
            [$x1, $y1] = $place($shape->from);
            [$x2, $y2] = $place($shape->to);
            $this->pdf->Line($x1, $y1, $x2, $y2, ['width' => 0.15, 'dash' => 0, 'color' => [35, 38, 43]]);
            $isUpright = abs($y2 - $y1) > abs($x2 - $x1);
            // Off the middle, so that upright and level lines do not write over each other.
            $share = $isUpright ? 0.4 : 0.5;
            $this->text([$x1 + ($x2 - $x1) * $share, $y1 + ($y2 - $y1) * $share], $shape->text, $isUpright, 'middle', true);
        }
    }

    /** @param array{float, float} $at */
    private function text(array $at, string $text, bool $upwards, string $anchor, bool $onLine = false): void
    {
        $this->pdf->SetFont(self::FONT, '', self::LETTERS);
        $width = $this->pdf->GetStringWidth($text);
        $shift = ['start' => 0.0, 'middle' => $width / 2, 'end' => $width][$anchor];
        $this->pdf->StartTransform();
        if ($upwards) {
            $this->pdf->Rotate(90, $at[0], $at[1]);
        }
        if ($text !== '' && $onLine) {
            // Legible where lines cross.
            $this->pdf->Rect($at[0] - $shift - 0.6, $at[1] - 1.7, $width + 1.2, 3.4, 'F', [], [255, 255, 255]);
        }
        $this->pdf->Text($at[0] - $shift, $at[1] - 1.9, $text);
        $this->pdf->StopTransform();
    }

    private function checkLine(): void
    {
        $length = $this->inches ? 101.6 : 100.0;
        $y = 281.0;
        $style = ['width' => 0.4, 'dash' => 0, 'color' => [0, 0, 0]];
        $this->pdf->Line(self::MARGIN, $y, self::MARGIN + $length, $y, $style);
        foreach ([0.0, $length] as $x) {
            $this->pdf->Line(self::MARGIN + $x, $y - 2, self::MARGIN + $x, $y + 2, $style);
        }
        $position = [$this->pdf->GetX(), $this->pdf->GetY()];
        $this->pdf->SetFont(self::FONT, '', 7.5);
        $this->pdf->Text(self::MARGIN, $y + 2, $this->inches
            ? 'This line is 4 in long. If a rule says otherwise, print again at 100 %.'
            : 'This line is 100 mm long. If a rule says otherwise, print again at 100 %.');
        $this->pdf->SetXY(210 - self::MARGIN - 60, $y - 3);
        $this->pdf->Cell(60, 5, $this->foot.'  ·  '.$this->pdf->getPage(), 0, 0, 'R');
        $this->pdf->SetXY($position[0], $position[1]);
    }
}
