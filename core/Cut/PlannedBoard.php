<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Measure\Length;

/** A board with the pieces that are cut from it, one after the other. */
final readonly class PlannedBoard
{
    /**
     * @param  list<array{CutPiece, Length, Length}>  $pieces  each with where it begins, from the board's end, and how much of it lies along it
     * @param  Length  $left  of it, beyond the last cut and before the other end is cut off
     */
    public function __construct(public BoardStock $stock, public array $pieces, public Length $left)
    {
    }
}
