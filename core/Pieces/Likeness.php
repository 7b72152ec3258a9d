<?php

declare(strict_types=1);

namespace Incastro\Pieces;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Pieces\Marks\Mark;

/**
 * What two pieces must share to be exchanged for each other and to stand in one line of a list: all that is sawn, cut, worked
 * and joined. Pieces of a shape of their own are alike only where their outlines are.
 */
final readonly class Likeness
{
    private function __construct(private string $value)
    {
    }

    public static function of(Piece $piece): self
    {
        $points = fn (Polygon $polygon) => array_map(fn (Point $point) => [round($point->x, 3), round($point->y, 3)], $polygon->points);

        return new self(md5(serialize([
            $piece->name,
            $piece->length->result->nanometres(), $piece->width->result->nanometres(), $piece->thickness->nanometres(),
            $piece->material->id, $piece->grain, $piece->joints, $piece->works, array_map(fn (Mark $mark) => $mark->told(), $piece->marks),
            $piece->isShaped() ? array_map($points, [$piece->outline->outer, ...$piece->outline->holes]) : [],
        ])));
    }

    public function isEqualTo(self $that): bool
    {
        return $this->value === $that->value;
    }

    /** The same for like pieces, and for no others. */
    public function key(): string
    {
        return $this->value;
    }
}
