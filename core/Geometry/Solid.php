<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/** A body as convex parts that lie side by side; double mm. */
final readonly class Solid
{
    public Block $bounds;

    /** @param non-empty-list<Convex> $parts */
    public function __construct(public array $parts)
    {
        $bounds = $parts[0]->bounds;
        foreach (array_slice($parts, 1) as $part) {
            $bounds = $bounds->and($part->bounds);
        }
        $this->bounds = $bounds;
    }

    public static function block(Block $block): self
    {
        return new self([Convex::block($block)]);
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
        $by = $this->bounds->depth($that->bounds);
        if ($by <= $touch) {
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

    /** Whether two solids meet, or lie no more than so far apart, mm. */
    public function touches(self $that, float $within): bool
    {
        if ($this->bounds->depth($that->bounds) < -$within) {
            return false;
        }
        foreach ($this->parts as $part) {
            foreach ($that->parts as $other) {
                if ($part->overlap($other, -$within) >= -$within) {
                    return true;
                }
            }
        }

        return false;
    }

    /** The same put elsewhere by a turn and a move. @param \Closure(array{float, float, float}): array{float, float, float} $to */
    public function mapped(\Closure $to): self
    {
        return new self(array_map(fn (Convex $part) => $part->mapped($to), $this->parts));
    }

    /** The same with its corners put elsewhere, as far as a wall bends. @param \Closure(array{float, float, float}): array{float, float, float} $to */
    public function bent(\Closure $to): self
    {
        return new self(array_map(fn (Convex $part) => $part->bent($to), $this->parts));
    }

    /** The same carried over the plan, its heights kept. @param \Closure(float, float): Point $to of x and y */
    public function overPlan(\Closure $to): self
    {
        return $this->mapped(function (array $at) use ($to): array {
            $point = $to($at[0], $at[1]);

            return [$point->x, $point->y, $at[2]];
        });
    }
}
