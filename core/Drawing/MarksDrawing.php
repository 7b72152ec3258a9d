<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Pieces\Marks\Mark;
use Incastro\Pieces\Marks\MarkKind;
use Incastro\Pieces\Piece;

/**
 * What joints leave on a piece, as one sees it on the face that carries most: holes, lines and bands; those of the other face are
 * dashed. Pilots lie in an edge, and are told in words alone.
 */
final readonly class MarksDrawing
{
    /** A hole is drawn at least so large, mm. */
    private const LEAST = 6.0;

    /** Holes of a row are nearer to each other than this, mm. */
    private const ROW = 70.0;

    /** @var list<Mark> */
    private array $marks;

    private bool $isTurned;

    private float $width;

    public function __construct(Piece $piece)
    {
        $this->marks = array_values(array_filter($piece->marks, fn (Mark $mark) => $mark->kind !== MarkKind::Pilot));
        $this->isTurned = $piece->isMarkedBehind();
        $this->width = $piece->width->result->toDouble();
    }

    /** How far up a place across the piece is drawn: a piece that lies with its other face up is turned about its length. */
    public function up(float $across): float
    {
        return $this->isTurned ? $this->width - $across : $across;
    }

    /** @return list<Shape> */
    public function shapes(): array
    {
        $shapes = [];
        foreach ($this->marks as $mark) {
            $style = $mark->isUp !== $this->isTurned ? Style::Marked : Style::Hidden;
            if ($mark->kind->isHole()) {
                foreach ($mark->at as $at) {
                    $wide = max(self::LEAST, $mark->across);
                    $shapes[] = Outline::polygon(Polygon::oval(new Point($at->x, $this->up($at->y)), $wide, $wide, 16), $style);
                }

                continue;
            }
            $shapes[] = $mark->across > 0.0 ? Outline::polygon(new Polygon(array_map(fn (Point $at) => new Point($at->x, $this->up($at->y)), self::band($mark))), $style)
                : new Outline(array_map(fn (Point $at) => new DrawnPoint($at->x, $this->up($at->y)), $mark->at), false, $style);
        }

        return $shapes;
    }

    /**
     * The places that are told, along one side: of a band its edges, of a row of pins its middle.
     *
     * @param  callable(Point): float  $side
     * @return list<float>
     */
    public function places(callable $side): array
    {
        $places = [];
        foreach ($this->marks as $mark) {
            $at = array_map($side, match (true) {
                $mark->kind->isHole() || $mark->across <= 0.0 => $mark->at,
                default => self::band($mark),
            });
            array_push($places, ...($mark->kind === MarkKind::PinRow ? self::rows($at) : $at));
        }

        return $places;
    }

    /**
     * Where rows of holes lie: those close to each other are one row, told by its middle.
     *
     * @param  list<float>  $at
     * @return list<float>
     */
    private static function rows(array $at): array
    {
        sort($at);
        $middles = [];
        $from = $to = null;
        foreach ([...$at, INF] as $one) {
            if ($from !== null && $one - $to >= self::ROW) {
                $middles[] = ($from + $to) / 2;
                $from = null;
            }
            [$from, $to] = [$from ?? $one, $one];
        }

        return $middles;
    }

    /** @return list<Point> the corners of a band, whose middle runs from one point to another */
    private static function band(Mark $mark): array
    {
        [$from, $to] = [$mark->at[0], $mark->at[count($mark->at) - 1]];
        $long = max(1e-9, $from->distanceTo($to));
        [$x, $y] = [($from->y - $to->y) / $long * $mark->across / 2, ($to->x - $from->x) / $long * $mark->across / 2];

        return [$from->plus($x, $y), $from->plus(-$x, -$y), $to->plus(-$x, -$y), $to->plus($x, $y)];
    }
}
