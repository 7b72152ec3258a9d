<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Fit\Edge;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Gap;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polyline;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Units\Assembly;
use Incastro\Units\Placed;

/**
 * A run in its place, seen from the front at the plane of its face: the house, the gaps to it, and the pieces.
 * Crookedness grows away from the furniture, so that exaggerated walls never cross it.
 */
final readonly class RunDrawing
{
    private float $left;

    private float $right;

    private float $foot;

    private float $top;

    public function __construct(private FittedRun $run, private Assembly $assembly, private LengthFormat $format)
    {
        $cell = $run->cell;
        $this->left = $cell->u;
        $this->right = $cell->u + $cell->outerWidth()->toDouble();
        $this->foot = $cell->z;
        $this->top = $cell->z + $cell->outerHeight()->toDouble();
    }

    public function elevation(): Drawing
    {
        return new Drawing('Run, seen from the front', [
            'inside' => $this->pieces(fn (Placed $placed) => $this->isInside($placed), Style::BoardBehind),
            'furniture' => $this->pieces(fn (Placed $placed) => $this->isFace($placed), Style::Board),
            'gaps' => $this->gaps(),
            'house' => $this->house(),
            'dimensions' => $this->dimensions(),
        ]);
    }

    /** The same without texts and dimensions: small, for lists. */
    public function small(): Drawing
    {
        return new Drawing('Run', array_intersect_key($this->elevation()->layers, ['gaps' => 1, 'inside' => 1, 'furniture' => 1, 'house' => 1]));
    }

    /** @return non-empty-list<DrawnPoint> the surface beside an edge, along the gap's stations */
    private function surface(Edge $edge): array
    {
        $gap = $this->run->edge($edge)->gap;

        return array_map(fn (Point $station) => match ($edge) {
            Edge::Left => new DrawnPoint($this->left - $station->y, $this->foot + $station->x, $gap->least - $station->y),
            Edge::Right => new DrawnPoint($this->right + $station->y, $this->foot + $station->x, $station->y - $gap->least),
            Edge::Top => new DrawnPoint($this->left + $station->x, $this->top + $station->y, 0.0, $station->y - $gap->least),
            Edge::Foot => new DrawnPoint($this->left + $station->x, -$station->y, 0.0, $gap->least - $station->y),
        }, $gap->stations);
    }

    /** @return list<Shape> */
    private function gaps(): array
    {
        $along = fn (float $x1, float $y1, float $x2, float $y2) => [new DrawnPoint($x2, $y2), new DrawnPoint($x1, $y1)];
        $inner = [
            Edge::Left->value => $along($this->left, $this->foot, $this->left, $this->top),
            Edge::Right->value => $along($this->right, $this->foot, $this->right, $this->top),
            Edge::Top->value => $along($this->left, $this->top, $this->right, $this->top),
            Edge::Foot->value => $along($this->left, 0.0, $this->right, 0.0),
        ];

        return array_map(fn (Edge $edge) => new Outline([...$this->surface($edge), ...$inner[$edge->value]], true, Style::Gap, $edge->value), Edge::cases());
    }

    /** @return list<Shape> walls, ceiling and floor; beyond the furniture's edges the walls go on as they end there */
    private function house(): array
    {
        $ceiling = $this->surface(Edge::Top);
        $floor = $this->surface(Edge::Foot);
        $shapes = [];
        foreach ([[Edge::Left, $floor[0], $ceiling[0]], [Edge::Right, $floor[count($floor) - 1], $ceiling[count($ceiling) - 1]]] as [$edge, $low, $high]) {
            $wall = $this->surface($edge);
            $last = $wall[count($wall) - 1];
            $shapes[] = new Outline([
                new DrawnPoint($wall[0]->x, $low->y, $wall[0]->cx, $low->cy), ...$wall,
                new DrawnPoint($last->x, $high->y, $last->cx, $high->cy),
            ], false, Style::House, $edge->value);
        }
        $across = fn (array $line, int $end) => [
            $this->meeting($shapes[0], $line[0], $end), ...array_values($line), $this->meeting($shapes[1], $line[count($line) - 1], $end),
        ];
        $shapes[] = new Outline($across($ceiling, -1), false, Style::House, Edge::Top->value);
        $shapes[] = new Outline($across($floor, 0), false, Style::House, Edge::Foot->value);

        return $shapes;
    }

    private function meeting(Outline $wall, DrawnPoint $level, int $end): DrawnPoint
    {
        $points = $wall->points();
        $corner = $end === 0 ? $points[0] : $points[count($points) - 1];

        return new DrawnPoint($corner->x, $level->y, $corner->cx, $level->cy);
    }

    /**
     * @param  \Closure(Placed): bool  $which
     * @return list<Shape>
     */
    private function pieces(\Closure $which, Style $style): array
    {
        return array_map(
            fn (Placed $placed) => new Outline($this->finished($placed), true, str_starts_with($placed->piece->mark, 'P') ? Style::Plinth : $style, $placed->piece->key),
            array_values(array_filter($this->assembly->placed, $which)),
        );
    }

    /**
     * A piece as it will stand: what its blank has beyond an edge of the run is cut to the surface there.
     *
     * @return list<DrawnPoint> going round from the lower left
     */
    private function finished(Placed $placed): array
    {
        $right = $placed->u + $placed->alongU;
        $top = $placed->z + $placed->alongZ;
        $isOver = fn (float $by) => $by > 0.5;
        $upLeft = $isOver($this->left - $placed->u) ? $this->surface(Edge::Left) : [new DrawnPoint($placed->u, max($placed->z, 0.0)), new DrawnPoint($placed->u, min($top, $this->top))];
        $upRight = $isOver($right - $this->right) ? $this->surface(Edge::Right) : [new DrawnPoint($right, max($placed->z, 0.0)), new DrawnPoint($right, min($top, $this->top))];
        $over = $isOver($top - $this->top) && $placed->z < $this->top + 0.5 ? $this->between(Edge::Top, $upLeft[count($upLeft) - 1], $upRight[count($upRight) - 1]) : [];
        $under = $isOver(-$placed->z) ? $this->between(Edge::Foot, $upLeft[0], $upRight[0]) : [];

        return array_values([...$upLeft, ...$over, ...array_reverse($upRight), ...array_reverse($under)]);
    }

    /**
     * The surface above or below a piece, from its left end to its right end.
     *
     * @return list<DrawnPoint>
     */
    private function between(Edge $edge, DrawnPoint $from, DrawnPoint $to): array
    {
        $surface = $this->surface($edge);
        $height = new Polyline(array_map(fn (DrawnPoint $point) => new Point($point->x, $point->y), $surface));
        $crooked = new Polyline(array_map(fn (DrawnPoint $point) => new Point($point->x, $point->cy), $surface));
        $points = [$from];
        foreach ($surface as $point) {
            if ($point->x > $from->x && $point->x < $to->x) {
                $points[] = $point;
            }
        }

        return array_map(fn (DrawnPoint $point) => new DrawnPoint($point->x, $height->at($point->x), $point->cx, $crooked->at($point->x)), [...$points, $to]);
    }

    /** Front faces: the frame, its fillers and trim, and the plinth's front. */
    private function isFace(Placed $placed): bool
    {
        return preg_match('/-(stile|rail|filler|trim|toe-board)/', $placed->piece->mark) === 1 && ! str_ends_with($placed->piece->mark, 'rail-back');
    }

    private function isInside(Placed $placed): bool
    {
        return preg_match('/-(side|bottom|top|shelf)/', $placed->piece->mark) === 1;
    }

    /** @return list<Shape> */
    private function dimensions(): array
    {
        $write = fn (Length $length) => $this->format->write($length);
        $gapText = fn (Gap $gap) => $this->range($gap);
        $middle = ($this->foot + $this->top) / 2;
        // Texts move out with the exaggerated house.
        $spread = fn (Edge $edge) => $this->run->edge($edge)->gap->most - $this->run->edge($edge)->gap->least;

        return [
            new Dimension(new DrawnPoint($this->left, -90.0), new DrawnPoint($this->right, -90.0), $write($this->run->cell->outerWidth()), 'width'),
            new Dimension(new DrawnPoint($this->right + 560.0, $this->foot), new DrawnPoint($this->right + 560.0, $this->top), $write($this->run->cell->outerHeight()), 'height'),
            new Label(new DrawnPoint($this->left - 60.0, $middle, -$spread(Edge::Left)), $gapText($this->run->edge(Edge::Left)->gap), Style::Measure, Edge::Left->value, 'end'),
            new Label(new DrawnPoint($this->right + 60.0, $middle + 260.0, $spread(Edge::Right)), $gapText($this->run->edge(Edge::Right)->gap), Style::Measure, Edge::Right->value, 'start'),
            new Label(new DrawnPoint(($this->left + $this->right) / 2, $this->top + $this->run->edge(Edge::Top)->gap->most + 60.0, 0.0, $spread(Edge::Top)), $gapText($this->run->edge(Edge::Top)->gap), Style::Measure, Edge::Top->value),
        ];
    }

    /** "9–16 mm": the true least and most of a gap. */
    private function range(Gap $gap): string
    {
        return $this->format->writeRange(Length::ofDouble($gap->least), Length::ofDouble($gap->most));
    }
}
