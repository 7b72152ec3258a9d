<?php

declare(strict_types=1);

namespace Incastro\Buy;

/** What is sold together: so many base units, at a price in minor units of the job's money; null where nobody asked. */
final readonly class Pack
{
    public function __construct(public int $units, public ?int $price, public string $name)
    {
    }
}
