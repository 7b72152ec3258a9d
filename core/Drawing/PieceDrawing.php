<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Bevel;

/**
 * A piece lying flat with the face up that carries most marks: its blank, its true outline and its grain; and, to be marked out by, where every
 * corner lies. All places along the length are told from one end and all across from one edge, so that the tape stays
 * hooked and no error adds to the next.
 */
final class PieceDrawing
{
    /** A point of an outline at which it turns by less is part of a curve or of a scribe line, not a corner; rad. */
    private const CORNER = 0.07;

    /** A round part turns by less at each of its points, and by the same within this; rad. */
    private const ROUND = 0.4;

    private const ALIKE = 0.01;

    /** A corner nearer to the far end than this is at it, mm. */
    private const SAME = 0.4;

    /** Shares of the longer side: between two texts, from the piece to its places, and to its whole sizes. */
    private const TEXTS_APART = 0.024;

    private const TO_PLACES = 0.03;

    private const TO_SIZES = 0.06;

    public static function of(Piece $piece): Drawing
    {
        return new Drawing($piece->mark, self::lying($piece, Style::Field, fn (float $across) => $across));
    }

    /** The same with both sizes, the places of its corners, the widths along an edge that bends, and the other line of every bevel. */
    public static function measured(Piece $piece, LengthFormat $format): Drawing
    {
        $length = $piece->length->result->toDouble();
        $width = $piece->width->result->toDouble();
        $out = self::TO_SIZES * max($length, $width);
        $text = fn (float $at): string => $format->withoutUnit(Length::ofDouble($at));
        $marks = new MarksDrawing($piece);
        $turns = fn (callable $side): array => array_merge($marks->places($side), ...array_map(fn (Polygon $outline) => self::turns($outline, $side), [$piece->outline->outer, ...$piece->outline->holes]));

        return new Drawing("$piece->mark $piece->name", [
            ...self::lying($piece, Style::House, $marks->up(...)),
            'marks' => $marks->shapes(),
            'bevels' => self::bevels($piece, $marks->up(...)),
            'widths' => self::widths($piece, $text, $marks->up(...)),
            'corners' => [
                ...self::places($turns(fn (Point $point) => $point->x), $length, max($length, $width), fn (float $along, float $away): DrawnPoint => new DrawnPoint($along, $width + $away), $text, true),
                ...self::places($turns(fn (Point $point) => $point->y), $width, max($length, $width), fn (float $along, float $away): DrawnPoint => new DrawnPoint($length + $away, $marks->up($along)), $text, false),
            ],
            'sizes' => [
                new Dimension(new DrawnPoint(0.0, -$out), new DrawnPoint($length, -$out), $format->writeCut($piece->length->result)),
                new Dimension(new DrawnPoint(-$out, 0.0), new DrawnPoint(-$out, $width), $format->writeCut($piece->width->result)),
            ],
        ]);
    }

    /**
     * @param  callable(float): float  $up  how far up a place across the piece is drawn
     * @return array<string, list<Shape>> blank, outline and grain
     */
    private static function lying(Piece $piece, Style $hole, callable $up): array
    {
        $shape = $piece->outline->mapped(fn (Point $point) => new Point($point->x, $up($point->y)));
        $length = $piece->length->result->toDouble();
        $width = $piece->width->result->toDouble();
        $grain = match ($piece->grain) {
            Grain::Length => [new DrawnPoint(0.1 * $length, $width / 2), new DrawnPoint(0.9 * $length, $width / 2)],
            Grain::Width => [new DrawnPoint($length / 2, 0.1 * $width), new DrawnPoint($length / 2, 0.9 * $width)],
            Grain::Any => [],
        };

        return [
            'blank' => [Outline::rectangle(0.0, 0.0, $length, $width, Style::Offcut)],
            'piece' => [Outline::polygon($shape->outer, Style::Board, $piece->key), ...array_map(fn (Polygon $cut) => Outline::polygon($cut, $hole, $piece->key), $shape->holes)],
            'grain' => $grain === [] ? [] : [new Outline($grain, false, Style::Grain)],
        ];
    }

    /**
     * The places along one side of a piece at which an outline turns, and between which its round parts lie.
     *
     * @param  callable(Point): float  $side
     * @return list<float>
     */
    private static function turns(Polygon $outline, callable $side): array
    {
        $points = $outline->points;
        $count = count($points);
        $turns = array_map(fn (int $i): float => self::turn($points, $i), array_keys($points));
        $at = [];
        foreach ($points as $i => $point) {
            [$before, $after] = [($i + $count - 1) % $count, ($i + 1) % $count];
            // Round parts come as many short edges that turn alike.
            $isRound = abs($turns[$i]) < self::ROUND && (abs($turns[$i] - $turns[$before]) < self::ALIKE || abs($turns[$i] - $turns[$after]) < self::ALIKE);
            $isOutermost = ($side($points[$before]) - $side($point)) * ($side($points[$after]) - $side($point)) > 0.0;
            if (abs($turns[$i]) >= self::CORNER && (! $isRound || $isOutermost)) {
                $at[] = $side($point);
            }
        }

        return $at;
    }

    /**
     * By how much an outline turns at a point, rad.
     *
     * @param  list<Point>  $points
     */
    private static function turn(array $points, int $i): float
    {
        $count = count($points);
        [$before, $point, $after] = [$points[($i + $count - 1) % $count], $points[$i], $points[($i + 1) % $count]];
        $turn = atan2($after->y - $point->y, $after->x - $point->x) - atan2($point->y - $before->y, $point->x - $before->x);

        return atan2(sin($turn), cos($turn));
    }

    /**
     * The places of corners between the ends of a side, and the 0 they are told from, each with a line to its text; texts that
     * would stand on each other move on.
     *
     * @param  list<float>  $at
     * @param  callable(float, float): DrawnPoint  $point  of a place along the side and a distance away from it
     * @param  callable(float): string  $text
     * @return list<Shape>
     */
    private static function places(array $at, float $side, float $longer, callable $point, callable $text, bool $turned): array
    {
        $written = [];
        foreach ($at as $place) {
            // What reads alike on the tape is one place.
            if ($side - $place >= self::SAME) {
                $written[$text($place)] ??= $place;
            }
        }
        unset($written[$text(0.0)]);
        asort($written);
        $shapes = [];
        $free = -INF;
        $away = self::TO_PLACES * $longer;
        foreach ($written === [] ? [] : ['0' => 0.0] + $written as $words => $place) {
            $stands = max($place, $free);
            $free = $stands + self::TEXTS_APART * $longer;
            $shapes[] = new Outline([$point($place, 0.0), $point($place, $away / 3), $point($stands, 2 * $away / 3), $point($stands, $away)], false, Style::Measure);
            $shapes[] = new Label($point($stands, 1.2 * $away), (string) $words, Style::Measure, anchor: 'start', turned: $turned);
        }

        return $shapes;
    }

    /**
     * Where an edge bends, how wide the piece is along it.
     *
     * @param  callable(float): string  $text
     * @param  callable(float): float  $up
     * @return list<Shape>
     */
    private static function widths(Piece $piece, callable $text, callable $up): array
    {
        $outline = $piece->outline->outer;
        $isBent = fn (int $i): bool => abs(self::turn($outline->points, $i)) < self::CORNER;
        if (array_filter(array_keys($outline->points), $isBent) === []) {
            return [];
        }

        return array_map(
            fn (array $row): Dimension => new Dimension(new DrawnPoint($row['at'], $up($row['from'])), new DrawnPoint($row['at'], $up($row['to'])), $text($row['to'] - $row['from'])),
            TemplateDrawing::stations($outline, $piece->length->result->toDouble()),
        );
    }

    /**
     * The line in which a bevel ends on the other face: as far inside its longer arris as its slope takes through the thickness.
     *
     * @param  callable(float): float  $up
     * @return list<Shape>
     */
    private static function bevels(Piece $piece, callable $up): array
    {
        $thick = $piece->thickness->toDouble();

        return array_map(function (Bevel $bevel) use ($piece, $thick, $up): Outline {
            [$x, $y] = Bevel::outwards($bevel->line[0], $bevel->line[count($bevel->line) - 1], $piece->middle());
            $by = $bevel->slope * $thick;

            return new Outline(array_map(fn (Point $point) => new DrawnPoint($point->x - $by * $x, $up($point->y - $by * $y)), $bevel->line), false, Style::Hidden);
        }, $piece->bevels());
    }
}
