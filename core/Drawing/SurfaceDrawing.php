<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Fit\FittedSurface;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\LengthFormat;
use Incastro\Units\Assembly;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/** What lies on a wall, seen from before it: its pieces with what is cut out of them, battens dashed behind, and its two sizes. */
final readonly class SurfaceDrawing
{
    /** What ends so near behind the face is behind it, mm. */
    private const TOUCH = 0.5;

    public function __construct(private LengthFormat $format)
    {
    }

    public function of(FittedSurface $surface, Assembly $built): Drawing
    {
        $pieces = $battens = [];
        $front = min([INF, ...array_map(fn (Placed $one) => $one->bounds->v0, array_filter($built->placed, fn (Placed $one) => $one->part === Part::Face))]);
        foreach ($built->placed as $placed) {
            $isBehind = $placed->part === Part::Cleat || ($placed->part === Part::Lining && $placed->bounds->v1 < $front + self::TOUCH);
            foreach ([$placed->piece->outline->outer, ...$placed->piece->outline->holes] as $i => $polygon) {
                $shape = Outline::polygon(self::seen($placed, $polygon), $isBehind ? Style::Hidden : ($i === 0 ? Style::Board : Style::Field), $placed->piece->key);
                $isBehind ? $battens[] = $shape : $pieces[] = $shape;
            }
        }
        [$u, $z] = [$surface->u, $surface->z];
        [$wide, $high] = [$surface->width->result->toDouble(), $surface->height->result->toDouble()];
        $out = 0.06 * max($wide, $high);

        return new Drawing($surface->mark, [
            'wall' => [Outline::rectangle($u, $z, $wide, $high, Style::House)],
            'pieces' => $pieces,
            'battens' => $battens,
            'sizes' => [
                new Dimension(new DrawnPoint($u, $z - $out), new DrawnPoint($u + $wide, $z - $out), $this->format->write($surface->width->result)),
                new Dimension(new DrawnPoint($u - $out, $z), new DrawnPoint($u - $out, $z + $high), $this->format->write($surface->height->result)),
            ],
        ]);
    }

    private static function seen(Placed $placed, Polygon $polygon): Polygon
    {
        return new Polygon(array_map(function (Point $point) use ($placed): Point {
            $at = $placed->pose->place($point, 0.0);

            return new Point($at->x, $at->z);
        }, $polygon->points));
    }
}
