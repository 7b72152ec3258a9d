<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Geometry\Polygon;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;

/** A piece lying flat: its blank, its true outline, and its grain. */
final class PieceDrawing
{
    public static function of(Piece $piece): Drawing
    {
        $length = $piece->length->result->toDouble();
        $width = $piece->width->result->toDouble();
        $grain = match ($piece->grain) {
            Grain::Length => [new DrawnPoint(0.1 * $length, $width / 2), new DrawnPoint(0.9 * $length, $width / 2)],
            Grain::Width => [new DrawnPoint($length / 2, 0.1 * $width), new DrawnPoint($length / 2, 0.9 * $width)],
            Grain::Any => [],
        };

        return new Drawing($piece->mark, [
            'blank' => [Outline::rectangle(0.0, 0.0, $length, $width, Style::Offcut)],
            'piece' => [Outline::polygon($piece->outline->outer, Style::Board, $piece->key), ...array_map(fn (Polygon $hole) => Outline::polygon($hole, Style::Field, $piece->key), $piece->outline->holes)],
            'grain' => $grain === [] ? [] : [new Outline($grain, false, Style::Grain)],
        ]);
    }
}
