<?php

declare(strict_types=1);

namespace Incastro\Units;

/** Something to buy by the piece. */
final readonly class Hardware
{
    public function __construct(public string $name, public int $quantity, public string $use)
    {
    }
}
