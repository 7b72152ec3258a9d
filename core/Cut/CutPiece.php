<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Measure\Length;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;

/** Pieces to cut, so many alike. With grain `length` the length lies along the sheet's length. */
final readonly class CutPiece
{
    /** @param list<PlacedPiece> $parts  the pieces that it is cut into, placed from its own corner; none where it is one piece */
    public function __construct(
        public string $name,
        public int $quantity,
        public Length $length,
        public Length $width,
        public Length $thickness,
        public string $material,
        public Grain $grain,
        public array $parts = [],
    ) {
    }

    /**
     * Pieces of one length that stay side by side.
     *
     * @param  list<self>  $pieces  one at least
     */
    public static function row(array $pieces, Length $kerf): self
    {
        $placed = [];
        $from = 0;
        foreach ($pieces as $piece) {
            $placed[] = new PlacedPiece($piece, new Rectangle(0, $from, $piece->length->nanometres(), $piece->width->nanometres()), false);
            $from += $piece->width->nanometres() + $kerf->nanometres();
        }

        return self::block($placed);
    }

    /**
     * Pieces that stay as they lie to each other: one as large as what they take, with the grain of the sheet along it.
     *
     * @param  list<PlacedPiece>  $placed  one at least
     */
    public static function block(array $placed): self
    {
        assert($placed !== []);
        [$x, $y] = [min(array_map(fn (PlacedPiece $one) => $one->at->x, $placed)), min(array_map(fn (PlacedPiece $one) => $one->at->y, $placed))];
        $parts = array_map(fn (PlacedPiece $one) => new PlacedPiece($one->piece, $one->at->moved(-$x, -$y), $one->turned), $placed);
        $first = $placed[0]->piece;

        return new self(
            implode(' + ', array_map(fn (PlacedPiece $one) => $one->piece->name, $placed)),
            1,
            Length::ofNanometres(max(array_map(fn (PlacedPiece $one) => $one->at->x + $one->at->alongX, $parts))),
            Length::ofNanometres(max(array_map(fn (PlacedPiece $one) => $one->at->y + $one->at->alongY, $parts))),
            $first->thickness,
            $first->material,
            Grain::Length,
            $parts,
        );
    }

    /** Area in mm². */
    public function area(): float
    {
        return $this->length->toDouble() * $this->width->toDouble();
    }

    /** A piece of furniture as the saw sees it. */
    public static function of(Piece $piece): self
    {
        return new self($piece->mark, 1, $piece->length->result, $piece->width->result, $piece->thickness, $piece->material->id, $piece->grain);
    }

    /** One of these pieces. */
    public function single(): self
    {
        return new self($this->name, 1, $this->length, $this->width, $this->thickness, $this->material, $this->grain, $this->parts);
    }
}
