<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** One sheet with what is cut from it and what is left. */
final readonly class PlannedSheet
{
    /**
     * @param  list<PlacedPiece>  $pieces
     * @param  list<Rectangle>  $offcuts
     */
    public function __construct(public Stock $stock, public array $pieces, public array $offcuts)
    {
    }

    /** The share of the sheet that becomes pieces. */
    public function yield(): float
    {
        $used = array_sum(array_map(fn (PlacedPiece $piece) => $piece->at->area(), $this->pieces));

        return $used / ($this->stock->length->toDouble() * $this->stock->width->toDouble());
    }
}
