<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Geometry\Block;
use Incastro\Geometry\Point;
use Incastro\Survey\Room\RunFrame;

/** What something takes up of the plan: a convex outline, so that furniture of runs at an angle can be told apart. */
final readonly class Footprint
{
    /** @param non-empty-list<Point> $points convex, in order */
    public function __construct(public array $points, public float $bottom, public float $top)
    {
    }

    public static function of(RunFrame $frame, Block $block): self
    {
        return new self([
            $frame->point($block->u0, $block->v0), $frame->point($block->u1, $block->v0),
            $frame->point($block->u1, $block->v1), $frame->point($block->u0, $block->v1),
        ], $block->z0, $block->z1);
    }

    /**
     * How far two footprints reach into each other, mm: along the direction in which they are soonest clear of each other
     * (separating axes); 0 or less where they are apart.
     */
    public function overlap(self $that): float
    {
        $least = min($this->top, $that->top) - max($this->bottom, $that->bottom);
        foreach ([$this->points, $that->points] as $points) {
            foreach ($points as $i => $a) {
                $b = $points[($i + 1) % count($points)];
                $length = $a->distanceTo($b);
                if ($length < 1e-6) {
                    continue;
                }
                $normal = [($b->y - $a->y) / $length, ($a->x - $b->x) / $length];
                [$low, $high] = $this->shadow($normal);
                [$from, $to] = $that->shadow($normal);
                $least = min($least, min($high, $to) - max($low, $from));
            }
        }

        return $least;
    }

    /**
     * @param  array{float, float}  $normal
     * @return array{float, float}
     */
    private function shadow(array $normal): array
    {
        $along = array_map(fn (Point $point) => $point->x * $normal[0] + $point->y * $normal[1], $this->points);

        return [min($along), max($along)];
    }
}
