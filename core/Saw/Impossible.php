<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** A cut that none of the tools makes. */
final readonly class Impossible
{
    /**
     * @param  Part  $takes  what would be cut
     * @param  list<string>  $waysOut
     * @param  list<string>  $pieces  marks of the pieces that are not to be had because of it
     */
    public function __construct(public Part $takes, public string $because, public array $waysOut, public array $pieces)
    {
    }
}
