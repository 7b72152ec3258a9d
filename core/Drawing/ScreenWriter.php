<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/** Writes a drawing for the screen: points as [x, y, cx, cy], so that the crookedness slider is a transform there. */
final class ScreenWriter
{
    /** @return array{name: string, bounds: list<float>, layers: list<array{name: string, shapes: list<array<string, mixed>>}>} */
    public static function write(Drawing $drawing): array
    {
        $layers = [];
        foreach ($drawing->layers as $name => $shapes) {
            $layers[] = ['name' => $name, 'shapes' => array_map(self::shape(...), $shapes)];
        }

        return ['name' => $drawing->name, 'bounds' => array_map(fn (float $value) => round($value, 2), $drawing->bounds()), 'layers' => $layers];
    }

    /** @return array<string, mixed> */
    private static function shape(Shape $shape): array
    {
        $common = ['style' => $shape->style->value, 'ref' => $shape->ref];

        return $common + match (true) {
            $shape instanceof Outline => ['kind' => 'outline', 'closed' => $shape->closed, 'points' => array_map(self::point(...), $shape->points())],
            $shape instanceof Label => ['kind' => 'label', 'text' => $shape->text, 'at' => self::point($shape->at), 'anchor' => $shape->anchor, 'turned' => $shape->turned, 'room' => $shape->room, 'short' => $shape->short],
            $shape instanceof Dimension => ['kind' => 'dimension', 'text' => $shape->text, 'from' => self::point($shape->from), 'to' => self::point($shape->to)],
            default => throw new \LogicException('A shape without a writer: '.$shape::class),
        };
    }

    /** @return array{float, float, float, float} */
    private static function point(DrawnPoint $point): array
    {
        return [round($point->x, 2), round($point->y, 2), round($point->cx, 3), round($point->cy, 3)];
    }
}
