<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Geometry\Axis;
use Incastro\Geometry\Block;
use Incastro\Geometry\Prism;
use Incastro\Pieces\Piece;

/**
 * A piece where it stands in the run's frame, finished: its solid, and the axes along which its length and its width lie.
 * `owner` is the box or member it belongs to.
 */
final readonly class Placed
{
    public Block $bounds;

    public function __construct(
        public Piece $piece,
        public Prism $solid,
        public Axis $length,
        public Axis $width,
        public Part $part,
        public string $owner,
    ) {
        $this->bounds = $solid->bounds();
    }

    public function withPiece(Piece $piece, ?Prism $solid = null): self
    {
        return new self($piece, $solid ?? $this->solid, $this->length, $this->width, $this->part, $this->owner);
    }

    /**
     * Where it starts and ends along an axis, mm.
     *
     * @return array{float, float}
     */
    public function along(Axis $axis): array
    {
        return match ($axis) {
            Axis::U => [$this->bounds->u0, $this->bounds->u1],
            Axis::V => [$this->bounds->v0, $this->bounds->v1],
            Axis::Z => [$this->bounds->z0, $this->bounds->z1],
        };
    }
}
