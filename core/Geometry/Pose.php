<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/**
 * Where a flat piece stands: where its origin is, and which way its length (x), its width (y) and its thickness go from
 * there; unit vectors square to each other. Example: a shelf from (u, v, z) on is
 * `Pose::at(u, v, z, Way::Right, Way::Out, Way::Up)`.
 */
final readonly class Pose
{
    public function __construct(public Vector $at, public Vector $length, public Vector $width, public Vector $thickness)
    {
    }

    public static function at(float $u, float $v, float $z, Way $length, Way $width, Way $thickness): self
    {
        return new self(new Vector($u, $v, $z), $length->vector(), $width->vector(), $thickness->vector());
    }

    /** Where a point of the piece lies, so deep under the face that its origin lies on. */
    public function place(Point $point, float $deep): Vector
    {
        [$l, $w, $t] = [$this->length, $this->width, $this->thickness];

        return new Vector(
            $this->at->x + $point->x * $l->x + $point->y * $w->x + $deep * $t->x,
            $this->at->y + $point->x * $l->y + $point->y * $w->y + $deep * $t->y,
            $this->at->z + $point->x * $l->z + $point->y * $w->z + $deep * $t->z,
        );
    }

    /** The point of the piece that is nearest to a place. */
    public function seen(Vector $place): Point
    {
        $from = $place->minus($this->at);

        return new Point($from->dot($this->length), $from->dot($this->width));
    }

    /** The same with its origin moved along its length and width. */
    public function moved(float $x, float $y): self
    {
        return new self($this->place(new Point($x, $y), 0.0), $this->length, $this->width, $this->thickness);
    }

    /** Whether its three directions are those of the run. */
    public function isSquare(): bool
    {
        foreach ([$this->length, $this->width, $this->thickness] as $way) {
            if (max(abs($way->x), abs($way->y), abs($way->z)) < 1.0 - 1e-12) {
                return false;
            }
        }

        return true;
    }

    /** The direction of the run that a way follows most. */
    public static function axis(Vector $way): Axis
    {
        return match (max(abs($way->x), abs($way->y), abs($way->z))) {
            abs($way->x) => Axis::U,
            abs($way->y) => Axis::V,
            default => Axis::Z,
        };
    }
}
