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

    /** No letters are smaller, points. */
    private const SMALL = 9.0;

    /** Scales a person can reckon with; the first that fits is taken. */
    private const SCALES = [1, 2, 5, 10, 12, 15, 20, 25, 50];

    private \TCPDF $pdf;

    /** Whether the page that is open lies on its side: what goes on does so too. */
    private bool $isWide = false;

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

    /** @param bool $isWide  a page that lies on its side, for a drawing that is wide */
    public function page(string $heading, bool $isWide = false): void
    {
        $this->isWide = $isWide;
        $this->pdf->AddPage($isWide ? 'L' : 'P');
        $this->pdf->SetFont(self::FONT, 'B', 15);
        $this->pdf->SetXY(self::MARGIN, self::MARGIN);
        $this->pdf->Cell(0, 9, $heading, 0, 1);
        $this->checkLine();
    }

    /** Begins another page where there is less room than this, mm. */
    public function room(float $least, string $heading): void
    {
        if ($this->pdf->GetY() > $this->bottom() - $least) {
            $this->page($heading, $this->isWide);
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
            if ($this->pdf->GetY() > $this->bottom() - 6) {
                $this->page($heading, $this->isWide);
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
        $room = $this->roomLeft();
        // Long things lie along the page.
        $turned = $room[1] > $room[0] && ($right - $left) > ($top - $bottom);
        [$across, $up] = $turned ? [$top - $bottom, $right - $left] : [$right - $left, $top - $bottom];
        $scale = self::SCALES[count(self::SCALES) - 1];
        foreach (array_reverse(self::SCALES) as $candidate) {
            if ($across / $candidate <= $room[0] && $up / $candidate <= $room[1]) {
                $scale = $candidate;
            }
        }
        $this->plate($drawing, (float) $scale, $turned);
        $this->paragraph("Drawn 1:$scale.", self::SMALL);
    }

    /** A drawing upright and as large as the rest of the page takes it, or this height of it, whatever scale that is: its sizes stand on it. */
    public function filling(Drawing $drawing, float $most = INF): void
    {
        [$left, $bottom, $right, $top] = $drawing->bounds();
        $room = $this->roomLeft();
        $this->plate($drawing, max(($right - $left) / $room[0], ($top - $bottom) / min($most, $room[1])), false);
    }

    private function plate(Drawing $drawing, float $scale, bool $isTurned): void
    {
        [$left, $bottom, $right, $top] = $drawing->bounds();
        [$across, $up] = $isTurned ? [$top - $bottom, $right - $left] : [$right - $left, $top - $bottom];
        $y0 = $this->pdf->GetY();
        (new PdfPlate($this->pdf, self::MARGIN + ($this->roomLeft()[0] - $across / $scale) / 2, $y0, [$left, $bottom, $top], $isTurned, $scale))->draw($drawing);
        $this->pdf->SetY($y0 + $up / $scale + 2);
    }

    /** @return array{float, float} across and down, mm */
    private function roomLeft(): array
    {
        return [$this->pdf->getPageWidth() - 2 * self::MARGIN, $this->bottom() - $this->pdf->GetY()];
    }

    /** Where the line to hold a rule against begins to need its room, mm from the top. */
    private function bottom(): float
    {
        return $this->pdf->getPageHeight() - 29;
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
        $this->pdf->SetFont(self::FONT, $isHead ? 'B' : '', self::SMALL);
        $this->pdf->SetX(self::MARGIN);
        foreach ($cells as $i => $cell) {
            $this->pdf->Cell($widths[$i], 5.6, $cell, 'B', 0, 'L', false, '', 1);
        }
        $this->pdf->Ln();
    }

    private function checkLine(): void
    {
        $line = new CheckLine($this->inches);
        $y = $this->pdf->getPageHeight() - 16;
        $style = ['width' => 0.4, 'dash' => 0, 'color' => [0, 0, 0]];
        $this->pdf->Line(self::MARGIN, $y, self::MARGIN + $line->length, $y, $style);
        foreach ([0.0, $line->length] as $x) {
            $this->pdf->Line(self::MARGIN + $x, $y - 2, self::MARGIN + $x, $y + 2, $style);
        }
        $position = [$this->pdf->GetX(), $this->pdf->GetY()];
        $this->pdf->SetFont(self::FONT, '', self::SMALL);
        $this->pdf->Text(self::MARGIN, $y + 2, $line->words());
        $this->pdf->SetXY($this->pdf->getPageWidth() - self::MARGIN - 100, $y - 3);
        $this->pdf->Cell(100, 5, $this->foot.'  ·  '.$this->pdf->getPage(), 0, 0, 'R');
        $this->pdf->SetXY($position[0], $position[1]);
    }
}
