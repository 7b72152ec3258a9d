<?php

declare(strict_types=1);

namespace Incastro\Exchange;

/**
 * Labels for pieces: mark, name and sizes, which edges are worked, where it belongs, and a code (ISO/IEC 18004, level M) that opens the piece
 * on a phone.
 */
final readonly class LabelsPdf
{
    private const FONT = 'dejavusans';

    /** Clear of the edge of a label, mm. */
    private const CLEAR = 2.5;

    /** Side of the code with its quiet zone, mm: 29 modules and 8 of half a millimetre. */
    private const CODE = 18.5;

    /**
     * @param  list<array<string, mixed>>  $pieces  as a release has them, with their codes
     * @param  string  $base  address of the application
     * @param  int  $first  label of the first sheet that is not used yet, from 1
     */
    public function __construct(private array $pieces, private string $job, private string $base, private LabelGrid $grid, private int $first = 1)
    {
    }

    public function write(): string
    {
        $pdf = new \TCPDF('P', 'mm', $this->grid->paper(), true, 'UTF-8');
        $pdf->setPrintHeader(false);
        $pdf->setPrintFooter(false);
        $pdf->SetTitle("$this->job: labels");
        $pdf->SetMargins(0, 0, 0);
        $pdf->setAutoPageBreak(false);
        ['columns' => $columns, 'rows' => $rows, 'high' => $high, 'left' => $left, 'top' => $top, 'step' => $step] = $this->grid->measures();
        foreach ($this->pieces as $i => $piece) {
            $at = $i + $this->first - 1;
            $on = $at % ($columns * $rows);
            if ($i === 0 || $on === 0) {
                $pdf->AddPage();
            }
            $this->label($pdf, $piece, $left + $on % $columns * $step, $top + intdiv($on, $columns) * $high);
        }

        return $pdf->Output('', 'S');
    }

    /** @param array<string, mixed> $piece */
    private function label(\TCPDF $pdf, array $piece, float $x, float $y): void
    {
        ['wide' => $wide, 'high' => $high] = $this->grid->measures();
        [$left, $top] = [$x + self::CLEAR, $y + self::CLEAR];
        $room = $wide - 3 * self::CLEAR - self::CODE;
        $pdf->write2DBarcode("$this->base/p/{$piece['code']}", 'QRCODE,M', $x + $wide - self::CLEAR - self::CODE, $top, self::CODE, self::CODE, ['padding' => 4]);
        $line = function (string $text, float $size, string $style = '') use ($pdf, $left, $room, &$top): void {
            $pdf->SetFont(self::FONT, $style, $size);
            $pdf->SetXY($left, $top);
            // What is too wide is set narrower, never cut off.
            $pdf->Cell($room, $size * 0.42, $text, 0, 0, 'L', false, '', 1);
            $top += $size * 0.42;
        };
        $line((string) $piece['mark'], 18, 'B');
        $line((string) $piece['name'], 9);
        $line(sprintf('%s × %s × %s', $piece['length']['text'], $piece['width']['text'], $piece['thickness']['text']), 9);
        $room = $wide - 2 * self::CLEAR;
        if ($high > 30.0) {
            $top = max($top, $y + self::CLEAR + self::CODE);
            $line($piece['edges'] === [] ? '' : implode('; ', $piece['edges']), 9);
            $line(implode(' · ', [$this->job, $piece['space'], $piece['unit'], $piece['code']]), 9);
        } else {
            $room = $wide - 3 * self::CLEAR - self::CODE;
            $line("{$piece['unit']} · {$piece['code']}", 9);
        }
    }
}
