<?php

declare(strict_types=1);

namespace Incastro\Buy;

/** What a shop asks for something: the packs it is sold in, base units and minor units of money, and the day on which it said so. */
final readonly class Quote
{
    /** @param non-empty-list<array{int, int}> $packs  base units, price */
    public function __construct(public array $packs, public string $on)
    {
    }

    /**
     * @param  \Closure(int): string  $name  of a pack
     * @return non-empty-list<Pack>
     */
    public function packs(\Closure $name): array
    {
        return array_map(fn (array $pack) => new Pack($pack[0], $pack[1], $name($pack[0])), $this->packs);
    }
}
