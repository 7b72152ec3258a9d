<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** A piece on its sheet. `turned`: its length lies along the sheet's width. */
final readonly class PlacedPiece
{
    public function __construct(public CutPiece $piece, public Rectangle $at, public bool $turned)
    {
    }
}
