<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/**
 * Prints drawings at full size over as many pages as they need. Pages overlap by 10 mm: cut one along its dashed line and lay
 * it on the other so that the crosses meet. Every page says where in the map it lies and carries a line to check its scale.
 */
final class TiledPdf
{
    private const MARGIN = 10.0;

    private const OVERLAP = 10.0;

    private const FOOT = 14.0;

    private const FONT = 'dejavusans';

    private \TCPDF $pdf;

    public function __construct(string $title, private readonly Paper $paper, private readonly bool $inches)
    {
        $this->pdf = new \TCPDF('P', 'mm', 'A4', true, 'UTF-8');
        $this->pdf->setPrintHeader(false);
        $this->pdf->setPrintFooter(false);
        $this->pdf->SetTitle($title);
        $this->pdf->SetCreator('Incastro');
        $this->pdf->SetMargins(0, 0, 0);
        $this->pdf->setAutoPageBreak(false);
    }

    /** @return array{int, int} how many pages across and up a drawing takes */
    public function pages(Drawing $drawing): array
    {
        [$left, $bottom, $right, $top] = $drawing->bounds();
        [$wide, $high] = $this->tile($drawing);
        $count = fn (float $length, float $tile): int => max(1, (int) ceil(($length - self::OVERLAP - 1e-6) / ($tile - self::OVERLAP)));

        return [$count($top - $bottom, $wide), $count($right - $left, $high)];
    }

    /** @return array{float, float} what a page shows; long things run along the paper's length */
    private function tile(Drawing $drawing): array
    {
        [$left, , $right] = $drawing->bounds();
        [$width, $height] = $this->paper->size($right - $left + 2 * self::MARGIN + self::FOOT + 1.0);

        return [$width - 2 * self::MARGIN, $height - 2 * self::MARGIN - self::FOOT];
    }

    public function add(Drawing $drawing): void
    {
        [$across, $up] = $this->pages($drawing);
        [$left, $bottom, $right] = $drawing->bounds();
        [$wide, $high] = $this->tile($drawing);
        [$width, $height] = $this->paper->size($right - $left + 2 * self::MARGIN + self::FOOT + 1.0);
        for ($row = 0; $row < $up; $row++) {
            for ($column = 0; $column < $across; $column++) {
                $this->pdf->AddPage($height > $width ? 'P' : 'L', [$width, $height]);
                $x0 = $left + $row * ($high - self::OVERLAP);
                $y0 = $bottom + $column * ($wide - self::OVERLAP);
                $this->pdf->StartTransform();
                $this->pdf->Rect(self::MARGIN, self::MARGIN, $wide, $high, 'CNZ');
                foreach ($drawing->shapes() as $shape) {
                    // x of the drawing goes up the page, y to the right.
                    $this->shape($shape, fn (DrawnPoint $point): array => [self::MARGIN + $point->y - $y0, self::MARGIN + $high - ($point->x - $x0)]);
                }
                $this->pdf->StopTransform();
                $this->frame($drawing->name, $row, $column, $up, $across, $wide, $high, $height);
            }
        }
    }

    public function output(): string
    {
        return $this->pdf->Output('', 'S');
    }

    /** @param \Closure(DrawnPoint): array{float, float} $place */
    private function shape(Shape $shape, \Closure $place): void
    {
        if ($shape instanceof Label) {
            $this->pdf->SetFont(self::FONT, '', 9);
            [$x, $y] = $place($shape->at);
            $this->pdf->StartTransform();
            $this->pdf->Rotate(90, $x, $y);
            $wide = $shape->anchor === 'middle' ? $this->pdf->GetStringWidth($shape->text) / 2 : 0.0;
            $this->pdf->Text($x - $wide, $y - 2.2, $shape->text);
            $this->pdf->StopTransform();

            return;
        }
        $flat = array_merge([], ...array_map($place, $shape->points()));
        $line = match ($shape->style) {
            Style::House => ['width' => 0.35, 'dash' => 0, 'color' => [0, 0, 0]],
            Style::Offcut => ['width' => 0.15, 'dash' => '3,2', 'color' => [120, 120, 120]],
            default => ['width' => 0.12, 'dash' => 0, 'color' => [90, 90, 90]],
        };
        $isClosed = $shape instanceof Outline && $shape->closed;
        $isClosed ? $this->pdf->Polygon($flat, 'D', ['all' => $line]) : $this->pdf->PolyLine($flat, 'D', $line);
    }

    private function frame(string $name, int $row, int $column, int $up, int $across, float $wide, float $high, float $height): void
    {
        $dashed = ['width' => 0.15, 'dash' => '2,2', 'color' => [110, 110, 110]];
        $right = self::MARGIN + $wide;
        $foot = self::MARGIN + $high;
        if ($column < $across - 1) {
            $this->pdf->Line($right - self::OVERLAP, self::MARGIN, $right - self::OVERLAP, $foot, $dashed);
            $this->cross($right - self::OVERLAP / 2, self::MARGIN + 20.0);
            $this->cross($right - self::OVERLAP / 2, $foot - 20.0);
        }
        if ($column > 0) {
            $this->cross(self::MARGIN + self::OVERLAP / 2, self::MARGIN + 20.0);
            $this->cross(self::MARGIN + self::OVERLAP / 2, $foot - 20.0);
        }
        if ($row < $up - 1) {
            $this->pdf->Line(self::MARGIN, self::MARGIN + self::OVERLAP, $right, self::MARGIN + self::OVERLAP, $dashed);
            $this->cross(self::MARGIN + 20.0, self::MARGIN + self::OVERLAP / 2);
            $this->cross($right - 20.0, self::MARGIN + self::OVERLAP / 2);
        }
        if ($row > 0) {
            $this->cross(self::MARGIN + 20.0, $foot - self::OVERLAP / 2);
            $this->cross($right - 20.0, $foot - self::OVERLAP / 2);
        }
        $this->map($row, $column, $up, $across, $right, $height);
        $this->pdf->SetFont(self::FONT, '', 8);
        $this->pdf->Text(self::MARGIN, $foot + 1.0, sprintf('%s · page %d of %d: row %d from the foot, column %d from the left · full size', $name, $row * $across + $column + 1, $up * $across, $row + 1, $column + 1));
        $length = $this->inches ? 101.6 : 100.0;
        $solid = ['width' => 0.4, 'dash' => 0, 'color' => [0, 0, 0]];
        $this->pdf->Line(self::MARGIN, $foot + 9.0, self::MARGIN + $length, $foot + 9.0, $solid);
        foreach ([0.0, $length] as $x) {
            $this->pdf->Line(self::MARGIN + $x, $foot + 7.5, self::MARGIN + $x, $foot + 10.5, $solid);
        }
        $this->pdf->Text(self::MARGIN, $foot + 10.0, $this->inches ? 'This line is 4 in long. If a rule says otherwise, print again at 100 %.' : 'This line is 100 mm long. If a rule says otherwise, print again at 100 %.');
    }

    private function cross(float $x, float $y): void
    {
        $style = ['width' => 0.2, 'dash' => 0, 'color' => [0, 0, 0]];
        $this->pdf->Line($x - 3.0, $y, $x + 3.0, $y, $style);
        $this->pdf->Line($x, $y - 3.0, $x, $y + 3.0, $style);
    }

    /** Where the page lies among all of them. */
    private function map(int $row, int $column, int $up, int $across, float $right, float $height): void
    {
        $size = min(4.0, 11.0 / $up, 30.0 / $across);
        for ($r = 0; $r < $up; $r++) {
            for ($c = 0; $c < $across; $c++) {
                $isHere = $r === $row && $c === $column;
                $this->pdf->Rect($right - ($across - $c) * $size, $height - self::MARGIN - ($r + 1) * $size, $size, $size, $isHere ? 'DF' : 'D', ['all' => ['width' => 0.15, 'dash' => 0, 'color' => [60, 60, 60]]], $isHere ? [60, 60, 60] : []);
            }
        }
    }
}
