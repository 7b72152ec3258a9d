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

    /** How wide a figure of a fraction is, and how far its figures stand over and under the line, mm. */
    private const FIGURE = 1.4;

    private const OVER = 1.3;

    private const UNDER = 0.9;

    /** How far the text of a dimension stands over its line, mm. */
    private const ABOVE = 1.4;

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
        $isUpright = abs($y2 - $y1) > abs($x2 - $x1);
        [$x, $y] = [($x1 + $x2) / 2 - ($isUpright ? self::ABOVE : 0.0), ($y1 + $y2) / 2 - ($isUpright ? 0.0 : self::ABOVE)];
        $turn = $isUpright ? sprintf(' transform="rotate(-90 %.3f %.3f)"', $x, $y) : '';
        $style = $dimension->style->value;

        return sprintf('<path class="%1$s" d="M%2$.3f %3$.3fL%4$.3f %5$.3f"/><text class="%1$s" text-anchor="middle" x="%6$.3f" y="%7$.3f"%8$s%9$s</text>', $style, $x1, $y1, $x2, $y2, $x, $y, $turn, self::lettered($dimension->text));
    }

    public function label(Label $label): string
    {
        [$x, $y] = $this->at($label->at);
        $turn = $label->turned ? sprintf(' transform="rotate(-90 %.3f %.3f)"', $x, $y) : '';

        return sprintf('<text class="%s" text-anchor="%s" x="%.3f" y="%.3f"%s%s</text>', $label->style->value, $label->anchor, $x, $y, $turn, self::lettered($label->fitting(self::LETTER * $this->scale)));
    }

    /** @return array{float, float} */
    private function at(DrawnPoint $point): array
    {
        $drawn = $point->exaggerated($this->exaggeration);

        return [self::MARGIN + ($drawn->x - $this->left) / $this->scale, self::MARGIN + ($this->top - $drawn->y) / $this->scale];
    }

    /** What a text holds, from the end of its first tag on: fractions stacked, and then the whole as a reader says it. */
    private static function lettered(string $text): string
    {
        $parts = Lettering::of($text);
        if (array_filter($parts, fn (Lettering $part) => $part->isFraction()) === []) {
            return '>'.self::escape($text);
        }
        $line = '';
        [$dx, $dy] = [0.0, 0.0];
        foreach ($parts as $part) {
            if (! $part->isFraction()) {
                $line .= sprintf('<tspan dx="%.2f" dy="%.2f">%s</tspan>', $dx, $dy, self::escape($part->plain));
                [$dx, $dy] = [0.0, 0.0];

                continue;
            }
            // Both rows have a width of their own, so that they stand over each other in whatever letters there are.
            [$over, $under] = [strlen($part->over) * self::FIGURE, strlen($part->under) * self::FIGURE];
            $row = '<tspan class="figure%s" dx="%.2f" dy="%.2f" textLength="%.2f" lengthAdjust="spacingAndGlyphs">%s</tspan>';
            $line .= sprintf($row, $over >= $under ? ' bar' : '', $dx + 0.4 + max(0.0, $under - $over) / 2, $dy - self::OVER, $over, $part->over);
            $line .= sprintf($row, $over >= $under ? '' : ' under bar', -($over + $under) / 2, self::OVER + self::UNDER, $under, $part->under);
            [$dx, $dy] = [max(0.0, $over - $under) / 2, -self::UNDER];
        }

        return sprintf(' aria-label="%s">%s', self::escape($text), $line);
    }

    private static function css(): string
    {
        return 'path{fill:none;stroke:#23262b;stroke-width:.25}text{font:3.5px sans-serif;fill:#23262b}.figure{font-size:2.3px}.bar{text-decoration:underline}.under.bar{text-decoration:overline}path.house{stroke-width:.7}'
            .'path.board,path.plinth,path.worktop,path.cut{fill:#f3e8cf}path.board-top{fill:#f9f1df}path.board-side{fill:#e6d8b6}path.cell,path.field{stroke:none}path.thing{fill:#e4ebf2}path.gap{fill:#cfdbe6;stroke:none}path.offcut,path.trimmed{fill:#eee;stroke-dasharray:2 1}path.grain{stroke:#bea878}path.measure,path.reading{stroke-width:.15}path.marked{stroke-width:.35}path.hidden{stroke-dasharray:1.5 1}path.check{stroke-width:.4}text.measure{paint-order:stroke;stroke:#fff;stroke-width:1}text .figure{stroke:none}';
    }

    private static function escape(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_XML1);
    }
}
