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
        $y0 = $this->pdf->GetY();
        $plate = new PdfPlate($this->pdf, self::MARGIN + ($room[0] - $across / $scale) / 2, $y0, [$left, $bottom, $top], $turned, $scale);
        $plate->draw($drawing);
        $this->pdf->SetY($y0 + $up / $scale + 2);
        $this->paragraph("Drawn 1:$scale.", 8);
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

    private function checkLine(): void
    {
        $line = new CheckLine($this->inches);
        $y = 281.0;
        $style = ['width' => 0.4, 'dash' => 0, 'color' => [0, 0, 0]];
        $this->pdf->Line(self::MARGIN, $y, self::MARGIN + $line->length, $y, $style);
        foreach ([0.0, $line->length] as $x) {
            $this->pdf->Line(self::MARGIN + $x, $y - 2, self::MARGIN + $x, $y + 2, $style);
        }
        $position = [$this->pdf->GetX(), $this->pdf->GetY()];
        $this->pdf->SetFont(self::FONT, '', 7.5);
        $this->pdf->Text(self::MARGIN, $y + 2, $line->words());
        $this->pdf->SetXY(210 - self::MARGIN - 60, $y - 3);
        $this->pdf->Cell(60, 5, $this->foot.'  ·  '.$this->pdf->getPage(), 0, 0, 'R');
        $this->pdf->SetXY($position[0], $position[1]);
    }
}
