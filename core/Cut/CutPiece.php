<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Measure\Length;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;

/** Pieces to cut, so many alike. With grain `length` the length lies along the sheet's length. */
final readonly class CutPiece
{
    /** @param list<self> $row  the pieces that it is cut into, side by side along its width; none where it is one piece */
    public function __construct(
        public string $name,
        public int $quantity,
        public Length $length,
        public Length $width,
        public Length $thickness,
        public string $material,
        public Grain $grain,
        public array $row = [],
    ) {
    }

    /**
     * Pieces of one length that stay side by side.
     *
     * @param  non-empty-list<self>  $pieces
     */
    public static function row(array $pieces, Length $kerf): self
    {
        $first = $pieces[0];
        $width = array_reduce(array_slice($pieces, 1), fn (Length $sum, self $piece) => $sum->plus($kerf)->plus($piece->width), $first->width);

        return new self(implode(' + ', array_map(fn (self $piece) => $piece->name, $pieces)), 1, $first->length, $width, $first->thickness, $first->material, $first->grain, count($pieces) === 1 ? [] : $pieces);
    }

    /** A piece of furniture as the saw sees it. */
    public static function of(Piece $piece): self
    {
        return new self($piece->mark, 1, $piece->length->result, $piece->width->result, $piece->thickness, $piece->material->id, $piece->grain);
    }

    /** One of these pieces. */
    public function single(): self
    {
        return new self($this->name, 1, $this->length, $this->width, $this->thickness, $this->material, $this->grain, $this->row);
    }
}
