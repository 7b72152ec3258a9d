<?php

declare(strict_types=1);

namespace Incastro\Pieces;

/** What is done to one edge of a piece: "long, outer: scribed to the left wall". */
final readonly class EdgeWork
{
    public function __construct(public string $edge, public string $work)
    {
    }
}
