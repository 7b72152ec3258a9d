<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Measure\Working;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Placed;

/** A leaf as it is made: its pieces, how high it is at its left and right, and what its width hangs on; mm. */
final readonly class MadeLeaf
{
    /**
     * @param  array{float, float}  $heights  at its left and its right
     * @param  array{string, string}  $edges  keys of the pieces that have its left and its right edge
     * @param  array<string, float>  $across  of its pieces' sizes that make its width, as a use has them
     * @param  float  $tongues  what of these sizes lies in each other, mm
     */
    public function __construct(
        public Assembly $assembly,
        public Working $width,
        public Working $height,
        public array $heights,
        private array $edges,
        public array $across,
        public float $tongues = 0.0,
    ) {
    }

    public function wide(): float
    {
        return $this->width->result->toDouble();
    }

    /** The piece that is hinged where it hangs at a hand. */
    public function edge(Hand $hand): string
    {
        return $this->edges[$hand === Hand::Left ? 0 : 1];
    }

    public function height(Hand $hand): float
    {
        return $this->heights[$hand === Hand::Left ? 0 : 1];
    }

    /** @return non-empty-list<string> */
    public function keys(): array
    {
        return array_map(fn (Placed $placed) => $placed->piece->key, $this->assembly->placed) ?: throw new \LogicException('A leaf is made of something.');
    }

    /** Weight of its pieces, kg. */
    public function weight(): float
    {
        return array_sum(array_map(fn (Placed $placed) => $placed->piece->weight(), $this->assembly->placed));
    }
}
