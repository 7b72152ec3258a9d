<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** Pieces for which there is no sheet, and why; short of sheets alone, more of the same would do. */
final readonly class Unplaced
{
    public function __construct(public string $name, public int $quantity, public string $reason, public bool $isShort = false)
    {
    }
}
