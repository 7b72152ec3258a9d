<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/** A body as convex parts that lie side by side; double mm. */
final readonly class Solid
{
    public Block $bounds;

    /**
     * @param  non-empty-list<Convex>  $parts
     * @param  bool  $isBlock  whether it fills its bounds
     */
    public function __construct(public array $parts, public bool $isBlock = false)
    {
        $bounds = [INF, -INF, INF, -INF, INF, -INF];
        foreach ($parts as $part) {
            foreach ($part->corners() as [$x, $y, $z]) {
                $bounds = [min($bounds[0], $x), max($bounds[1], $x), min($bounds[2], $y), max($bounds[3], $y), min($bounds[4], $z), max($bounds[5], $z)];
            }
        }
        $this->bounds = new Block(...$bounds);
    }

    public static function block(Block $block): self
    {
        $pose = Pose::at($block->u0, $block->v0, $block->z0, Way::Right, Way::Out, Way::Up);

        return new self([Convex::plate(Polygon::rectangle(0.0, 0.0, $block->u1 - $block->u0, $block->v1 - $block->v0)->points, $block->z1 - $block->z0, $pose)], true);
    }

    /** A section drawn out along an axis, as a `Prism` has it. */
    public static function prism(Prism $prism): self
    {
        [$x, $y] = $prism->axis->across();
        $ways = ['u' => Way::Right, 'v' => Way::Out, 'z' => Way::Up];
        $at = match ($prism->axis) {
            Axis::U => [$prism->from, 0.0, 0.0],
            Axis::V => [0.0, $prism->from, 0.0],
            Axis::Z => [0.0, 0.0, $prism->from],
        };
        $pose = Pose::at($at[0], $at[1], $at[2], $ways[$x->value], $ways[$y->value], $ways[$prism->axis->value]);
        $parts = array_map(fn (array $part) => Convex::plate($part, $prism->to - $prism->from, $pose), (new Outline(new Polygon($prism->profile)))->convexParts());

        return new self($parts === [] ? [Convex::plate($prism->profile, $prism->to - $prism->from, $pose)] : $parts);
    }

    /** What two solids share along the direction in which that is least, mm; looking ends where that is no more than a touch. */
    public function overlap(self $that, float $touch = 0.0): float
    {
        $by = min($this->bounds->overlap($that->bounds));
        if ($by <= $touch || ($this->isBlock && $that->isBlock)) {
            return $by;
        }
        $most = -INF;
        foreach ($this->parts as $part) {
            foreach ($that->parts as $other) {
                $most = max($most, $part->overlap($other, max($touch, $most)));
            }
        }

        return $most;
    }

    /** The same put elsewhere by a turn and a move. @param \Closure(array{float, float, float}): array{float, float, float} $to */
    public function mapped(\Closure $to): self
    {
        return new self(array_map(fn (Convex $part) => $part->mapped($to), $this->parts));
    }
}
