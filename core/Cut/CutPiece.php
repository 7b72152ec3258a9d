<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Measure\Length;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;

/** Pieces to cut, so many alike. With grain `length` the length lies along the sheet's length. */
final readonly class CutPiece
{
    public function __construct(
        public string $name,
        public int $quantity,
        public Length $length,
        public Length $width,
        public Length $thickness,
        public string $material,
        public Grain $grain,
    ) {
    }

    /** A piece of furniture as the saw sees it. */
    public static function of(Piece $piece): self
    {
        return new self($piece->mark, 1, $piece->length->result, $piece->width->result, $piece->thickness, $piece->material->id, $piece->grain);
    }

    /** One of these pieces. */
    public function single(): self
    {
        return new self($this->name, 1, $this->length, $this->width, $this->thickness, $this->material, $this->grain);
    }
}
