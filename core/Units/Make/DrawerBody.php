<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Units\Assembly;
use Incastro\Units\Placed;

/** A drawer without its front: its pieces, those that its front and its slides are screwed to, how deep and high it is, and what of its front lies in rabbets of its sides; mm. */
final readonly class DrawerBody
{
    public function __construct(public Assembly $built, public string $front, public string $left, public string $right, public float $deep, public float $high, public float $rabbets = 0.0)
    {
    }

    /** Weight of its pieces, kg. */
    public function weight(): float
    {
        return array_sum(array_map(fn (Placed $placed) => $placed->piece->weight(), $this->built->placed));
    }

    /** @return list<string> keys of its pieces */
    public function keys(): array
    {
        return array_map(fn (Placed $placed) => $placed->piece->key, $this->built->placed);
    }
}
