<?php

declare(strict_types=1);

namespace Incastro\Buy;

use Incastro\Measure\Length;

/** Something that a job uses, in base units: pieces, mm, ml. */
final readonly class Need
{
    /**
     * @param  string  $key  the same in every list of the job
     * @param  int  $use  that the plan takes
     * @param  int  $spare  on top: lost, spilt, cut off
     * @param  non-empty-list<Pack>  $packs  that it is sold in
     * @param  \Closure(int): string  $write  an amount in words
     * @param  list<string>  $for  marks of what needs it, or what it is for
     * @param  float  $kg  of one base unit
     * @param  ?Item  $item  what a shop is asked the price of; null where it is typed
     * @param  ?Length  $long  of one that is carried home
     * @param  ?string  $pricedOn  day on which a shop named the prices of the packs
     */
    public function __construct(
        public string $key,
        public Shop $shop,
        public string $what,
        public string $size,
        public int $use,
        public int $spare,
        public array $packs,
        public \Closure $write,
        public array $for = [],
        public float $kg = 0.0,
        public ?Item $item = null,
        public ?Length $long = null,
        public ?string $pricedOn = null,
    ) {
    }

    /** Whether somebody typed a price of one of its packs. */
    public function isPriced(): bool
    {
        return array_filter($this->packs, fn (Pack $pack) => $pack->price !== null) !== [];
    }

    /** At the prices that a shop named, where none is known of its packs. */
    public function quoted(?Quote $quote): self
    {
        $names = array_column(array_map(fn (Pack $pack) => [$pack->units, $pack->name], $this->packs), 1, 0);
        $name = fn (int $units): string => $names[$units] ?? ($units === 1 ? 'piece' : 'pack of '.($this->write)($units));

        return $quote === null || $this->isPriced() ? $this : new self(...['packs' => $quote->packs($name), 'pricedOn' => $quote->on] + get_object_vars($this));
    }

    /** What its amounts are counted in: pieces, mm or ml. */
    public function unit(): string
    {
        return $this->item?->unit() ?? 'piece';
    }
}
