<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/** A box with sides along u, v and z, in double millimetres; each pair rises. */
final readonly class Block
{
    public function __construct(
        public float $u0,
        public float $u1,
        public float $v0,
        public float $v1,
        public float $z0,
        public float $z1,
    ) {
    }

    public function moved(Vector $by): self
    {
        return new self($this->u0 + $by->x, $this->u1 + $by->x, $this->v0 + $by->y, $this->v1 + $by->y, $this->z0 + $by->z, $this->z1 + $by->z);
    }

    /** The same, this much larger on every side. */
    public function grown(float $by): self
    {
        return new self($this->u0 - $by, $this->u1 + $by, $this->v0 - $by, $this->v1 + $by, $this->z0 - $by, $this->z1 + $by);
    }

    /** @return list<Point> the corners of what it covers, seen from above */
    public function footprint(): array
    {
        return Polygon::rectangle($this->u0, $this->v0, $this->u1 - $this->u0, $this->v1 - $this->v0)->points;
    }

    /** What holds both. */
    public function and(self $that): self
    {
        return new self(min($this->u0, $that->u0), max($this->u1, $that->u1), min($this->v0, $that->v0), max($this->v1, $that->v1), min($this->z0, $that->z0), max($this->z1, $that->z1));
    }

    /**
     * How far two blocks reach into each other along u, v and z; negative where there is a gap between them.
     *
     * @return array{float, float, float}
     */
    public function overlap(self $that): array
    {
        return [
            min($this->u1, $that->u1) - max($this->u0, $that->u0),
            min($this->v1, $that->v1) - max($this->v0, $that->v0),
            min($this->z1, $that->z1) - max($this->z0, $that->z0),
        ];
    }

    /** How far they reach into each other where that is least; negative by the widest gap between them. */
    public function depth(self $that): float
    {
        return min(
            ($this->u1 < $that->u1 ? $this->u1 : $that->u1) - ($this->u0 > $that->u0 ? $this->u0 : $that->u0),
            ($this->v1 < $that->v1 ? $this->v1 : $that->v1) - ($this->v0 > $that->v0 ? $this->v0 : $that->v0),
            ($this->z1 < $that->z1 ? $this->z1 : $that->z1) - ($this->z0 > $that->z0 ? $this->z0 : $that->z0),
        );
    }

    /** Whether they share more than a touch, mm. */
    public function meets(self $that, float $touch = 0.5): bool
    {
        // Most pairs lie apart along one axis.
        return $this->u1 - $that->u0 > $touch && $that->u1 - $this->u0 > $touch
            && $this->v1 - $that->v0 > $touch && $that->v1 - $this->v0 > $touch
            && $this->z1 - $that->z0 > $touch && $that->z1 - $this->z0 > $touch
            && $this->depth($that) > $touch;
    }
}
