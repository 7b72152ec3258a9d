<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/**
 * Writes a drawing for the screen: points as [x, y, cx, cy], so that the crookedness slider is a transform there.
 *
 * @implements ShapeVisitor<array<string, mixed>>
 */
final class ScreenWriter implements ShapeVisitor
{
    /** @return array{name: string, bounds: list<float>, layers: list<array{name: string, shapes: list<array<string, mixed>>}>} */
    public static function write(Drawing $drawing): array
    {
        $writer = new self();
        $layers = [];
        foreach ($drawing->layers as $name => $shapes) {
            $layers[] = ['name' => $name, 'shapes' => array_map(fn (Shape $shape) => ['style' => $shape->style->value, 'ref' => $shape->ref] + $shape->accept($writer), $shapes)];
        }

        return ['name' => $drawing->name, 'bounds' => array_map(fn (float $value) => round($value, 2), $drawing->bounds()), 'layers' => $layers];
    }

    public function outline(Outline $outline): array
    {
        return ['kind' => 'outline', 'closed' => $outline->closed, 'points' => array_map(self::point(...), $outline->points())];
    }

    public function dimension(Dimension $dimension): array
    {
        return ['kind' => 'dimension', 'text' => $dimension->text, 'from' => self::point($dimension->from), 'to' => self::point($dimension->to)];
    }

    public function label(Label $label): array
    {
        return ['kind' => 'label', 'text' => $label->text, 'at' => self::point($label->at), 'anchor' => $label->anchor, 'turned' => $label->turned, 'room' => $label->room, 'short' => $label->short];
    }

    /** @return array{float, float, float, float} */
    private static function point(DrawnPoint $point): array
    {
        return [round($point->x, 2), round($point->y, 2), round($point->cx, 3), round($point->cy, 3)];
    }
}
