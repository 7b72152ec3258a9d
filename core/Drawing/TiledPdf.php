<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/**
 * Prints drawings at full size over as many pages as they need. Pages overlap by 10 mm: cut one along its dashed line and lay
 * it on the other so that the crosses meet. Every page says where in the map it lies and carries a line to check its scale.
 *
 * @implements ShapeVisitor<null>
 */
final class TiledPdf implements ShapeVisitor
{
    private const MARGIN = 10.0;

    private const OVERLAP = 10.0;

    private const FOOT = 14.0;

    private const FONT = 'dejavusans';

    /** Size of letters, points. */
    private const LETTERS = 9.0;

    /** How wide a letter is, mm. */
    private const LETTER = 1.9;

    private \TCPDF $pdf;

    /** @var array{float, float, float} where the page at hand begins in the drawing, and how much of it it shows */
    private array $corner = [0.0, 0.0, 0.0];

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
                $this->corner = [$x0, $y0, $high];
                foreach ($drawing->shapes() as $shape) {
                    $shape->accept($this);
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

    public function outline(Outline $outline): mixed
    {
        $this->line($outline->points(), $outline->style, $outline->closed);

        return null;
    }

    public function dimension(Dimension $dimension): mixed
    {
        [$from, $to] = [$dimension->from, $dimension->to];
        $this->line([$from, $to], $dimension->style, false);
        $this->text(new DrawnPoint(($from->x + $to->x) / 2, ($from->y + $to->y) / 2), $dimension->text, 'middle', abs($to->y - $from->y) > abs($to->x - $from->x));

        return null;
    }

    public function label(Label $label): mixed
    {
        $this->text($label->at, $label->fitting(self::LETTER), $label->anchor, $label->turned);

        return null;
    }

    /** A text along x of the drawing, which goes up the page, or, turned, along y. */
    private function text(DrawnPoint $at, string $text, string $anchor, bool $isTurned): void
    {
        [$x, $y] = $this->placed($at);
        $lettering = new PdfLettering($this->pdf, self::LETTERS);
        $this->pdf->StartTransform();
        $this->pdf->Rotate($isTurned ? 0 : 90, $x, $y);
        $share = ['start' => 0.0, 'middle' => 0.5, 'end' => 1.0][$anchor] ?? 0.0;
        $lettering->write($x - $share * $lettering->width($text), $y, $text);
        $this->pdf->StopTransform();
    }

    /** @param list<DrawnPoint> $points */
    private function line(array $points, Style $style, bool $isClosed): void
    {
        $flat = array_merge([], ...array_map($this->placed(...), $points));
        $line = match ($style) {
            Style::House => ['width' => 0.35, 'dash' => 0, 'color' => [0, 0, 0]],
            Style::Offcut => ['width' => 0.15, 'dash' => '3,2', 'color' => [120, 120, 120]],
            default => ['width' => 0.12, 'dash' => 0, 'color' => [90, 90, 90]],
        };
        $isClosed ? $this->pdf->Polygon($flat, 'D', ['all' => $line]) : $this->pdf->PolyLine($flat, 'D', $line);
    }

    /** @return array{float, float} x of the drawing goes up the page, y to the right */
    private function placed(DrawnPoint $point): array
    {
        [$x0, $y0, $high] = $this->corner;

        return [self::MARGIN + $point->y - $y0, self::MARGIN + $high - ($point->x - $x0)];
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
        $line = new CheckLine($this->inches);
        $solid = ['width' => 0.4, 'dash' => 0, 'color' => [0, 0, 0]];
        $this->pdf->Line(self::MARGIN, $foot + 9.0, self::MARGIN + $line->length, $foot + 9.0, $solid);
        foreach ([0.0, $line->length] as $x) {
            $this->pdf->Line(self::MARGIN + $x, $foot + 7.5, self::MARGIN + $x, $foot + 10.5, $solid);
        }
        $this->pdf->Text(self::MARGIN, $foot + 10.0, $line->words());
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
