<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Fit\Box;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Piece;
use Incastro\Survey\Room\RunFrame;

/**
 * A full-size template: the finished outline of a scribed or notched piece with the blank around it, its holes, and marks
 * every 200 mm; or the opening that a sloped box goes into, to be cut from cardboard and tried before the good piece.
 */
final class TemplateDrawing
{
    private const MARKS = 200.0;

    public static function of(Piece $piece, LengthFormat $format): Drawing
    {
        $length = $piece->length->result->toDouble();
        $width = $piece->width->result->toDouble();

        return new Drawing($piece->mark.' '.$piece->name, [
            'blank' => [Outline::rectangle(0.0, 0.0, $length, $width, Style::Offcut)],
            'cut' => [Outline::polygon($piece->outline->outer, Style::House, $piece->key), ...array_map(fn (Polygon $hole) => Outline::polygon($hole, Style::House, $piece->key), $piece->outline->holes)],
            'marks' => self::marks($piece->outline->outer, $length, $format),
            'text' => [new Label(new DrawnPoint($length / 2, $width / 2), sprintf('%s %s, %s × %s; this side is the face', $piece->mark, lcfirst($piece->name), $format->writeCut($piece->length->result), $format->writeCut($piece->width->result)), Style::Label)],
        ]);
    }

    /**
     * Stations along the length with the width of the piece there.
     *
     * @return list<array{at: float, from: float, to: float}>
     */
    public static function stations(Polygon $outline, float $length): array
    {
        $rows = [];
        $steps = max(1, (int) ceil($length / self::MARKS));
        for ($i = 0; $i <= $steps; $i++) {
            $at = min($length - 0.01, max(0.01, $length * $i / $steps));
            $cuts = [];
            foreach ($outline->points as $k => $a) {
                $b = $outline->points[($k + 1) % count($outline->points)];
                if (($a->x > $at) !== ($b->x > $at)) {
                    $cuts[] = $a->y + ($at - $a->x) / ($b->x - $a->x) * ($b->y - $a->y);
                }
            }
            if ($cuts !== []) {
                $rows[] = ['at' => round($length * $i / $steps, 3), 'from' => min($cuts), 'to' => max($cuts)];
            }
        }

        return $rows;
    }

    /** @return list<Shape> */
    private static function marks(Polygon $outline, float $length, LengthFormat $format): array
    {
        $shapes = [];
        foreach (self::stations($outline, $length) as $row) {
            $shapes[] = new Outline([new DrawnPoint($row['at'], $row['from']), new DrawnPoint($row['at'], $row['to'])], false, Style::Measure);
            $shapes[] = new Label(new DrawnPoint($row['at'] + 3.0, ($row['from'] + $row['to']) / 2 - 12.0), sprintf('%s: %s', $format->write(Length::ofDouble($row['at'])), $format->write(Length::ofDouble($row['to'] - $row['from']))), Style::Measure, anchor: 'start');
        }

        return $shapes;
    }

    /** What stays open for a sloped or raked box: along the run where it rakes, out from the wall where it slopes; null for a square one. */
    public static function opening(Box $box, RunFrame $frame): ?Drawing
    {
        if ($box->top->isRaked()) {
            $ceiling = fn (float $u) => min($frame->ceilingAt($u, $box->v), $frame->ceilingAt($u, $box->face()));
            $points = [new Point(0.0, $box->z), new Point($box->right() - $box->u, $box->z), new Point($box->right() - $box->u, $ceiling($box->right())), new Point(0.0, $ceiling($box->u))];
        } elseif ($box->top->isSloped()) {
            $ceiling = fn (float $v) => min($frame->ceilingAt($box->u, $v), $frame->ceilingAt($box->right(), $v));
            $breaks = $box->v + $box->top->breaks;
            $points = [new Point(0.0, $box->z), new Point($box->face() - $box->v, $box->z), new Point($box->face() - $box->v, $ceiling($box->face())), new Point($breaks - $box->v, $ceiling($breaks)), new Point(0.0, $ceiling($box->v))];
        } else {
            return null;
        }

        return new Drawing($box->mark.' opening', [
            'cut' => [Outline::polygon(new Polygon($points), Style::House, $box->id)],
            'text' => [new Label(new DrawnPoint(($box->right() - $box->u) / 3, $box->z + 60.0), $box->mark.': cut from cardboard, try it in the opening', Style::Label)],
        ]);
    }
}
