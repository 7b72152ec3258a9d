<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/** Writes texts on a page of a PDF with their fractions stacked; y is the middle of the line. All in mm, letters in points. */
final readonly class PdfLettering
{
    private const FONT = 'dejavusans';

    /** Figures of a fraction beside other letters. */
    private const FIGURES = 0.7;

    /** One point, mm. */
    private const POINT = 25.4 / 72;

    public function __construct(private \TCPDF $pdf, private float $letters)
    {
    }

    public function width(string $text): float
    {
        return array_sum(array_map($this->wide(...), Lettering::of($text)));
    }

    public function write(float $x, float $y, string $text): void
    {
        foreach (Lettering::of($text) as $part) {
            $wide = $this->wide($part);
            if ($part->isFraction()) {
                $this->fraction($part, $x + $wide / 2, $y, $wide);
            } else {
                $this->text($x, $y, $part->plain, $this->letters);
            }
            $x += $wide;
        }
    }

    /** One row of figures over the other and a bar between them. */
    private function fraction(Lettering $part, float $middle, float $y, float $wide): void
    {
        $figures = self::FIGURES * $this->letters;
        $off = 0.52 * $figures * self::POINT;
        foreach ([[$part->over, $y - $off], [$part->under, $y + $off]] as [$row, $at]) {
            $this->pdf->SetFont(self::FONT, '', $figures);
            $this->text($middle - $this->pdf->GetStringWidth($row) / 2, $at, $row, $figures);
        }
        $this->pdf->Line($middle - 0.4 * $wide, $y, $middle + 0.4 * $wide, $y, ['width' => 0.12, 'dash' => 0, 'color' => [35, 38, 43]]);
    }

    private function text(float $x, float $y, string $text, float $letters): void
    {
        $this->pdf->SetFont(self::FONT, '', $letters);
        // A cell of one line of this font is 1.25 letters high, with its text in the middle; it begins with its padding.
        $this->pdf->Text($x - $this->pdf->getCellPaddings()['L'], $y - 0.625 * $letters * self::POINT, $text);
    }

    private function wide(Lettering $part): float
    {
        $this->pdf->SetFont(self::FONT, '', $part->isFraction() ? self::FIGURES * $this->letters : $this->letters);

        return $part->isFraction()
            ? max($this->pdf->GetStringWidth($part->over), $this->pdf->GetStringWidth($part->under)) + 0.08 * $this->letters
            : $this->pdf->GetStringWidth($part->plain);
    }
}
