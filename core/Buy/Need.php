<?php

declare(strict_types=1);

namespace Incastro\Buy;

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
        public string $unit = '',
    ) {
    }
}
