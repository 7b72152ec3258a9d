<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/**
 * A frame that stands on the plan of another, heights being the same: where its origin is, and which way, a unit vector, its
 * u goes; its v goes to the right of that.
 */
final readonly class Frame
{
    public function __construct(private Point $origin, private float $dx, private float $dy)
    {
    }

    /** The point of the plan at u and v. */
    public function point(float $u, float $v): Point
    {
        return new Point($this->origin->x + $u * $this->dx + $v * $this->dy, $this->origin->y + $u * $this->dy - $v * $this->dx);
    }

    /**
     * u and v of a point of the plan.
     *
     * @return array{float, float}
     */
    public function place(Point $point): array
    {
        [$x, $y] = [$point->x - $this->origin->x, $point->y - $this->origin->y];

        return [$this->dx * $x + $this->dy * $y, $this->dy * $x - $this->dx * $y];
    }

    /** What stands in it, in the coordinates of the plan. */
    public function solid(Solid $solid): Solid
    {
        return $solid->overPlan($this->point(...));
    }

    /** A block along the axes of the plan around one that stands in it. */
    public function around(Block $block): Block
    {
        $middle = $this->point(($block->u0 + $block->u1) / 2, ($block->v0 + $block->v1) / 2);
        [$long, $wide] = [($block->u1 - $block->u0) / 2, ($block->v1 - $block->v0) / 2];
        $halfX = $long * abs($this->dx) + $wide * abs($this->dy);
        $halfY = $long * abs($this->dy) + $wide * abs($this->dx);

        return new Block($middle->x - $halfX, $middle->x + $halfX, $middle->y - $halfY, $middle->y + $halfY, $block->z0, $block->z1);
    }
}
