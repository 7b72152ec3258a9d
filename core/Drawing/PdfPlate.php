<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/**
 * One drawing on a page of a PDF, divided by a scale; a turned one runs down the page. Texts of dimensions lie over every line.
 *
 * @implements ShapeVisitor<null>
 */
final class PdfPlate implements ShapeVisitor
{
    /** Size of letters, points. */
    private const LETTERS = 9.0;

    /** @var list<Dimension> whose texts are still to be written */
    private array $measured = [];

    private readonly PdfLettering $lettering;

    /** @param array{float, float, float} $bounds left, bottom and top of the drawing */
    public function __construct(
        private readonly \TCPDF $pdf,
        private readonly float $x0,
        private readonly float $y0,
        private readonly array $bounds,
        private readonly bool $isTurned,
        private readonly float $scale,
    ) {
        $this->lettering = new PdfLettering($pdf, self::LETTERS);
    }

    public function draw(Drawing $drawing): void
    {
        foreach ($drawing->shapes() as $shape) {
            $shape->accept($this);
        }
        foreach ($this->measured as $dimension) {
            $this->measure($dimension);
        }
        $this->measured = [];
    }

    public function outline(Outline $outline): mixed
    {
        [$width, $fill, $dash] = match ($outline->style) {
            Style::House, Style::Sheet => [0.6, [], ''],
            Style::Marked => [0.3, [], ''],
            Style::Hidden, Style::Plumb => [0.2, [], '2,1'],
            Style::Thing => [0.3, [236, 241, 247], ''],
            Style::Board, Style::Plinth, Style::Worktop, Style::Cut => [0.25, [246, 238, 216], ''],
            Style::Cell, Style::Field => [0.0, [], ''],
            Style::Offcut, Style::Trimmed, Style::BoardBehind => [0.15, [], '2,1'],
            default => [0.15, [], ''],
        };
        $flat = array_merge([], ...array_map($this->placed(...), $outline->points()));
        $line = ['width' => $width, 'dash' => $dash === '' ? 0 : $dash, 'color' => $outline->style === Style::Grain ? [190, 170, 120] : [35, 38, 43]];
        if ($outline->closed) {
            $this->pdf->Polygon($flat, $fill === [] ? 'D' : 'DF', ['all' => $line], $fill);
        } else {
            $this->pdf->PolyLine($flat, 'D', ['all' => $line]);
        }

        return null;
    }

    public function dimension(Dimension $dimension): mixed
    {
        $this->pdf->Line(...[...$this->placed($dimension->from), ...$this->placed($dimension->to)], style: ['width' => 0.15, 'dash' => 0, 'color' => [35, 38, 43]]);
        if ($dimension->text !== '') {
            $this->measured[] = $dimension;
        }

        return null;
    }

    public function label(Label $label): mixed
    {
        $text = $label->fitting(fn (string $text): float => $this->lettering->width($text) * $this->scale);
        // Along a page on which the drawing lies turned, a level text runs upwards: against its direction in the drawing.
        $anchor = $this->isTurned && ! $label->turned ? ['start' => 'end', 'middle' => 'middle', 'end' => 'start'][$label->anchor] : $label->anchor;
        $this->text($this->placed($label->at), $text, $label->turned xor $this->isTurned, $anchor);

        return null;
    }

    private function measure(Dimension $dimension): void
    {
        [$x1, $y1] = $this->placed($dimension->from);
        [$x2, $y2] = $this->placed($dimension->to);
        $isUpright = abs($y2 - $y1) > abs($x2 - $x1);
        // Off the middle, so that upright and level lines do not write over each other.
        $share = $isUpright ? 0.4 : 0.5;
        $this->text([$x1 + ($x2 - $x1) * $share, $y1 + ($y2 - $y1) * $share], $dimension->text, $isUpright, 'middle', true);
    }

    /** @param array{float, float} $at */
    private function text(array $at, string $text, bool $upwards, string $anchor, bool $onLine = false): void
    {
        $width = $this->lettering->width($text);
        $shift = ['start' => 0.0, 'middle' => $width / 2, 'end' => $width][$anchor];
        $this->pdf->StartTransform();
        if ($upwards) {
            $this->pdf->Rotate(90, $at[0], $at[1]);
        }
        if ($text !== '' && $onLine) {
            // Legible where lines cross.
            $this->pdf->Rect($at[0] - $shift - 0.6, $at[1] - 1.9, $width + 1.2, 3.8, 'F', [], [255, 255, 255]);
        }
        $this->lettering->write($at[0] - $shift, $at[1], $text);
        $this->pdf->StopTransform();
    }

    /** @return array{float, float} where on the page, mm */
    private function placed(DrawnPoint $point): array
    {
        [$left, $bottom, $top] = $this->bounds;

        return $this->isTurned
            ? [$this->x0 + ($point->y - $bottom) / $this->scale, $this->y0 + ($point->x - $left) / $this->scale]
            : [$this->x0 + ($point->x - $left) / $this->scale, $this->y0 + ($top - $point->y) / $this->scale];
    }
}
