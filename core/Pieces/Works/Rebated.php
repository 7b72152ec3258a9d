<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/** A rabbet along some edges of a rectangular piece, cut from the face that its origin lies on: behind it a lip is left. */
final readonly class Rebated implements Work
{
    /** @param non-empty-list<'x0'|'x1'|'y0'|'y1'> $edges of the piece: at the beginning and the end of its length and of its width */
    public function __construct(private array $edges, public Length $width, public Length $depth)
    {
    }

    public function edge(): string
    {
        return count($this->edges) === 4 ? 'all four' : implode(', ', array_map(fn (string $edge) => match ($edge) {
            'x0' => 'foot',
            'x1' => 'head',
            'y0' => 'left, long',
            'y1' => 'right, long',
        }, $this->edges));
    }

    public function words(LengthFormat $format): string
    {
        return sprintf('rabbet in the back, %s wide and %s deep', $format->finest()->write($this->width), $format->finest()->write($this->depth));
    }

    /**
     * What is left of a rectangle behind the lip.
     *
     * @param  array{float, float, float, float}  $bounds
     * @return list<Point>
     */
    public function core(array $bounds): array
    {
        [$x0, $x1, $y0, $y1] = $bounds;
        $in = fn (string $edge): float => in_array($edge, $this->edges, true) ? $this->width->toDouble() : 0.0;

        return Polygon::rectangle($x0 + $in('x0'), $y0 + $in('y0'), $x1 - $x0 - $in('x0') - $in('x1'), $y1 - $y0 - $in('y0') - $in('y1'))->points;
    }
}
