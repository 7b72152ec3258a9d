<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Marks\Mark;
use Incastro\Pieces\Marks\MarkKind;
use Incastro\Pieces\Piece;

/**
 * Strips of paper at full size to drill through: along every edge of a piece that holes lie near to, the edge itself, each hole with a
 * cross through its middle and its size, and the end that the tape is hooked to. What is bored into the other face has strips of its own.
 */
final readonly class DrillingStrips
{
    /** Holes so near to an edge are on its strip, mm. */
    private const NEAR = 150.0;

    /** Paper beyond the edge, and beyond the farthest hole, mm. */
    private const BEYOND = 15.0;

    /** Fewer holes are marked sooner by a rule. */
    private const FEWEST = 2;

    public function __construct(private Piece $piece, private LengthFormat $format)
    {
    }

    /** @return list<Drawing> */
    public function drawings(): array
    {
        $drawings = [];
        foreach ([true, false] as $isUp) {
            foreach ($this->byEdge($isUp) as $edge => $holes) {
                $drawings[] = $this->strip($edge, $isUp, $holes);
            }
        }

        return $drawings;
    }

    /** Whether there are holes enough for one. */
    public function isAny(): bool
    {
        return $this->byEdge(true) !== [] || $this->byEdge(false) !== [];
    }

    /**
     * The holes of a face by the edge that each is nearest to, where they are worth a strip.
     *
     * @return array<string, non-empty-list<array{Point, float, Mark}>>
     */
    private function byEdge(bool $isUp): array
    {
        $by = [];
        foreach ($this->holes($isUp) as $hole) {
            $edge = $this->nearest($hole[0]);
            if ($edge !== null) {
                $by[$edge][] = $hole;
            }
        }

        return array_filter($by, fn (array $holes) => count($holes) >= self::FEWEST);
    }

    /** @return list<array{Point, float, Mark}> the middles and diameters of what is bored into a face */
    private function holes(bool $isUp): array
    {
        $holes = [];
        foreach ($this->piece->marks as $mark) {
            if ($mark->isUp === $isUp && $mark->kind->isHole() && $mark->kind !== MarkKind::Pilot) {
                array_push($holes, ...array_map(fn (Point $at) => [$at, $mark->across, $mark], $mark->at));
            }
        }

        return $holes;
    }

    /** The edge that a hole lies nearest to; none where all are far. */
    private function nearest(Point $at): ?string
    {
        $from = ['lower' => $at->y, 'upper' => $this->piece->width->result->toDouble() - $at->y, 'left' => $at->x, 'right' => $this->piece->length->result->toDouble() - $at->x];
        asort($from);

        return reset($from) <= self::NEAR ? key($from) : null;
    }

    /** @param non-empty-list<array{Point, float, Mark}> $holes */
    private function strip(string $edge, bool $isUp, array $holes): Drawing
    {
        $isAlong = $edge === 'lower' || $edge === 'upper';
        [$length, $width] = [$this->piece->length->result->toDouble(), $this->piece->width->result->toDouble()];
        $long = $isAlong ? $length : $width;
        // Along its edge, and into the piece from it.
        $seen = fn (Point $at): Point => match ($edge) {
            'lower' => new Point($at->x, $at->y),
            'upper' => new Point($at->x, $width - $at->y),
            'left' => new Point($at->y, $at->x),
            default => new Point($at->y, $length - $at->x),
        };
        $deep = max(array_map(fn (array $hole) => $seen($hole[0])->y + $hole[1] / 2, $holes)) + self::BEYOND;
        $shapes = $told = [];
        foreach ($holes as [$at, $across, $mark]) {
            $middle = $seen($at);
            $half = max(4.0, $across / 2 + 2.0);
            $shapes[] = self::line($middle->x - $half, $middle->y, $middle->x + $half, $middle->y);
            $shapes[] = self::line($middle->x, $middle->y - $half, $middle->x, $middle->y + $half);
            if ($across > 0.0) {
                $shapes[] = Outline::polygon(Polygon::oval($middle, $across, $across, 24), Style::Marked);
            }
            $size = sprintf('%sØ %s%s', $mark->kind === MarkKind::Pocket ? 'pocket ' : '', $this->write($across), $mark->depth === null ? '' : ', '.$this->write($mark->depth).' deep');
            $told[$size][] = $middle;
        }
        foreach ($told as $size => $middles) {
            usort($middles, fn (Point $one, Point $other) => $one->x <=> $other->x);
            $shapes[] = new Label(new DrawnPoint($middles[0]->x + 6.0, $middles[0]->y + 7.0), $size, Style::Measure, anchor: 'start');
        }

        return new Drawing(sprintf('%s, %s edge%s', $this->piece->mark, $edge, $isUp ? '' : ', other face'), [
            'edge' => [self::line(0.0, 0.0, $long, 0.0, Style::House), self::line(0.0, 0.0, 0.0, $deep, Style::House), self::line($long, 0.0, $long, $deep, Style::House), self::line(-self::BEYOND, -self::BEYOND, $long + self::BEYOND, -self::BEYOND, Style::Offcut)],
            'holes' => $shapes,
            'text' => [new Label(new DrawnPoint(6.0, -9.0), sprintf('%s %s: 0 at this end, this line on its %s edge%s', $this->piece->mark, lcfirst($this->piece->name), $edge, $isUp ? '' : ', other face'), Style::Label, anchor: 'start')],
        ]);
    }

    private function write(float $size): string
    {
        return $this->format->finest()->write(Length::ofDouble($size));
    }

    private static function line(float $x0, float $y0, float $x1, float $y1, Style $style = Style::Marked): Outline
    {
        return new Outline([new DrawnPoint($x0, $y0), new DrawnPoint($x1, $y1)], false, $style);
    }
}
