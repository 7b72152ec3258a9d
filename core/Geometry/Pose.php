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
    /** Ways turned by less than this, in radians, are square. */
    private const SQUARE = 1e-6;

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

    /** What holds a part of the piece, given from x to x and from y to y, through a thickness. */
    public function around(float $x0, float $x1, float $y0, float $y1, float $deep): Block
    {
        $sides = [];
        foreach (['x', 'y', 'z'] as $axis) {
            // Of each of the piece's directions one end lies least and the other most far along the axis.
            [$least, $most] = [$this->at->{$axis}, $this->at->{$axis}];
            foreach ([[$this->length->{$axis}, $x0, $x1], [$this->width->{$axis}, $y0, $y1], [$this->thickness->{$axis}, 0.0, $deep]] as [$share, $from, $to]) {
                $least += $share > 0.0 ? $share * $from : $share * $to;
                $most += $share > 0.0 ? $share * $to : $share * $from;
            }
            array_push($sides, $least, $most);
        }

        return new Block(...$sides);
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
        [$l, $w, $t] = [$this->length, $this->width, $this->thickness];

        // The parts of a unit vector add up to more than 1 unless it lies along an axis.
        return abs($l->x) + abs($l->y) + abs($l->z) < 1.0 + self::SQUARE
            && abs($w->x) + abs($w->y) + abs($w->z) < 1.0 + self::SQUARE
            && abs($t->x) + abs($t->y) + abs($t->z) < 1.0 + self::SQUARE;
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
