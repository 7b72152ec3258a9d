<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/** Writes a drawing as an SVG file in true millimetres, divided by a scale: 1:10 is 10. */
final readonly class SvgWriter
{
    private const MARGIN = 15.0;

    private const CHECK = 100.0;

    public function __construct(private float $scale = 1.0, private float $exaggeration = 1.0)
    {
    }

    public function write(Drawing $drawing): string
    {
        [$left, $bottom, $right, $top] = $drawing->bounds($this->exaggeration);
        $width = max(self::CHECK, ($right - $left) / $this->scale) + 2 * self::MARGIN;
        $height = ($top - $bottom) / $this->scale + 3 * self::MARGIN;
        $body = '';
        foreach ($drawing->layers as $name => $shapes) {
            $body .= sprintf('<g id="%s">', self::escape((string) $name));
            foreach ($shapes as $shape) {
                $body .= $this->shape($shape, $left, $top);
            }
            $body .= "</g>\n";
        }
        $y = $height - self::MARGIN;

        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%1$.3fmm" height="%2$.3fmm" viewBox="0 0 %1$.3f %2$.3f">', $width, $height)
            .sprintf('<title>%s</title><style>%s</style>'."\n", self::escape($drawing->name), self::css())
            .$body
            .sprintf('<g id="check"><path class="check" d="M%1$.3f %2$.3fh%3$.3f"/><text x="%1$.3f" y="%4$.3f">100 mm on paper; drawn 1:%5$s</text></g>', self::MARGIN, $y, self::CHECK, $y + 5, $this->scale)
            .'</svg>';
    }

    private function shape(Shape $shape, float $left, float $top): string
    {
        $at = function (DrawnPoint $point) use ($left, $top): array {
            $drawn = $point->exaggerated($this->exaggeration);

            return [self::MARGIN + ($drawn->x - $left) / $this->scale, self::MARGIN + ($top - $drawn->y) / $this->scale];
        };
        $class = $shape->style->value;
        if ($shape instanceof Outline) {
            $path = implode('L', array_map(fn (DrawnPoint $point) => vsprintf('%.3f %.3f', $at($point)), $shape->points()));

            return sprintf('<path class="%s" data-ref="%s" d="M%s%s"/>', $class, self::escape($shape->ref), $path, $shape->closed ? 'Z' : '');
        }
        if ($shape instanceof Dimension) {
            [$x1, $y1] = $at($shape->from);
            [$x2, $y2] = $at($shape->to);

            return sprintf('<path class="%s" d="M%.3f %.3fL%.3f %.3f"/><text text-anchor="middle" x="%.3f" y="%.3f">%s</text>', $class, $x1, $y1, $x2, $y2, ($x1 + $x2) / 2, ($y1 + $y2) / 2 - 1, self::escape($shape->text));
        }
        assert($shape instanceof Label);
        [$x, $y] = $at($shape->at);
        $turn = $shape->turned ? sprintf(' transform="rotate(-90 %.3f %.3f)"', $x, $y) : '';

        return sprintf('<text class="%s" text-anchor="%s" x="%.3f" y="%.3f"%s>%s</text>', $class, $shape->anchor, $x, $y, $turn, self::escape($shape->text));
    }

    private static function css(): string
    {
        return 'path{fill:none;stroke:#23262b;stroke-width:.25}text{font:3.5px sans-serif;fill:#23262b}.house{stroke-width:.7}'
            .'.board,.plinth,.worktop,.cut{fill:#f3e8cf}.board-top{fill:#f9f1df}.board-side{fill:#e6d8b6}.cell,.field{stroke:none}.thing{fill:#e4ebf2}.gap{fill:#cfdbe6;stroke:none}.offcut,.trimmed{fill:#eee;stroke-dasharray:2 1}.measure,.reading{stroke-width:.15}.check{stroke-width:.4}';
    }

    private static function escape(string $text): string
    {
        return htmlspecialchars($text, ENT_QUOTES | ENT_XML1);
    }
}
