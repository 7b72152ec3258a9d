<?php

declare(strict_types=1);

namespace Incastro\Saw;

use Incastro\Cut\PlacedPiece;

/** Pieces lie so on a sheet that no cut right through parts them. */
final class NotSawable extends \DomainException
{
    /** @param list<PlacedPiece> $pieces */
    public function __construct(array $pieces)
    {
        parent::__construct(sprintf('No straight cut right through parts %s: lay them out anew.', implode(', ', array_map(fn (PlacedPiece $piece) => $piece->piece->name, array_slice($pieces, 0, 6)))));
    }
}
