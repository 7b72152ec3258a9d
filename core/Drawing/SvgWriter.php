<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/**
 * Writes a drawing as an SVG file in true millimetres, divided by a scale: 1:10 is 10. A line on it checks the printer, in the
 * person's own unit.
 *
 * @implements ShapeVisitor<string>
 */
final class SvgWriter implements ShapeVisitor
{
    private const MARGIN = 15.0;

    /** How wide a letter is on paper, mm. */
    private const LETTER = 1.9;

    private float $left = 0.0;

    private float $top = 0.0;

    public function __construct(private readonly float $scale = 1.0, private readonly float $exaggeration = 1.0, private readonly bool $inches = false)
    {
    }

    public function write(Drawing $drawing): string
    {
        [$this->left, $bottom, $right, $this->top] = $drawing->bounds($this->exaggeration);
        $check = new CheckLine($this->inches);
        $width = max($check->length, ($right - $this->left) / $this->scale) + 2 * self::MARGIN;
        $height = ($this->top - $bottom) / $this->scale + 3 * self::MARGIN;
        $body = '';
        foreach ($drawing->layers as $name => $shapes) {
            $body .= sprintf('<g id="%s">%s</g>'."\n", self::escape((string) $name), implode('', array_map(fn (Shape $shape) => $shape->accept($this), $shapes)));
        }
        $y = $height - self::MARGIN;

        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%1$.3fmm" height="%2$.3fmm" viewBox="0 0 %1$.3f %2$.3f">', $width, $height)
            .sprintf('<title>%s</title><style>%s</style>'."\n", self::escape($drawing->name), self::css())
            .$body
            .sprintf('<g id="check"><path class="check" d="M%1$.3f %2$.3fh%3$.3f"/><text x="%1$.3f" y="%4$.3f">%5$s on paper; drawn 1:%6$s</text></g>', self::MARGIN, $y, $check->length, $y + 5, $check->size, $this->scale)
            .'</svg>';
    }

    public function outline(Outline $outline): string
    {
        $path = implode('L', array_map(fn (DrawnPoint $point) => vsprintf('%.3f %.3f', $this->at($point)), $outline->points()));

        return sprintf('<path class="%s" data-ref="%s" d="M%s%s"/>', $outline->style->value, self::escape($outline->ref), $path, $outline->closed ? 'Z' : '');
    }

    public function dimension(Dimension $dimension): string
    {
        [$x1, $y1] = $this->at($dimension->from);
        [$x2, $y2] = $this->at($dimension->to);
        [$x, $y] = [($x1 + $x2) / 2, ($y1 + $y2) / 2 - 1];
        $turn = abs($y2 - $y1) > abs($x2 - $x1) ? sprintf(' transform="rotate(-90 %.3f %.3f)"', $x, $y) : '';

        return sprintf('<path class="%s" d="M%.3f %.3fL%.3f %.3f"/><text text-anchor="middle" x="%.3f" y="%.3f"%s>%s</text>', $dimension->style->value, $x1, $y1, $x2, $y2, $x, $y, $turn, self::escape($dimension->text));
    }

    public function label(Label $label): string
    {
        [$x, $y] = $this->at($label->at);
        $turn = $label->turned ? sprintf(' transform="rotate(-90 %.3f %.3f)"', $x, $y) : '';

        return sprintf('<text class="%s" text-anchor="%s" x="%.3f" y="%.3f"%s>%s</text>', $label->style->value, $label->anchor, $x, $y, $turn, self::escape($label->fitting(self::LETTER * $this->scale)));
    }

    /** @return array{float, float} */
    private function at(DrawnPoint $point): array
    {
        $drawn = $point->exaggerated($this->exaggeration);

        return [self::MARGIN + ($drawn->x - $this->left) / $this->scale, self::MARGIN + ($this->top - $drawn->y) / $this->scale];
    }

    private static function css(): string
    {
        return 'path{fill:none;stroke:#23262b;stroke-width:.25}text{font:3.5px sans-serif;fill:#23262b}.house{stroke-width:.7}'
            .'.board,.plinth,.worktop,.cut{fill:#f3e8cf}.board-top{fill:#f9f1df}.board-side{fill:#e6d8b6}.cell,.field{stroke:none}.thing{fill:#e4ebf2}.gap{fill:#cfdbe6;stroke:none}.offcut,.trimmed{fill:#eee;stroke-dasharray:2 1}.grain{stroke:#bea878}.measure,.reading{stroke-width:.15}.marked{stroke-width:.35}.hidden{stroke-dasharray:1.5 1}.check{stroke-width:.4}';
    }

    private static function escape(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_XML1);
    }
}
