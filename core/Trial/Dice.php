<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Chance from a seed: the same seed throws the same numbers on every machine. */
final class Dice
{
    private const STEPS = 1 << 52;

    private readonly Randomizer $randomizer;

    public function __construct(int $seed)
    {
        $this->randomizer = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /** A number from 0 up to, but never, 1. */
    public function fraction(): float
    {
        return $this->randomizer->getInt(0, self::STEPS - 1) / self::STEPS;
    }

    public function between(float $least, float $most): float
    {
        return $least + ($most - $least) * $this->fraction();
    }

    public function whole(int $least, int $most): int
    {
        return $this->randomizer->getInt($least, $most);
    }

    public function chance(float $share): bool
    {
        return $this->fraction() < $share;
    }

    /** Normally distributed about 0 (Box and Muller). */
    public function normal(float $sigma): float
    {
        return $sigma * sqrt(-2 * log(1 - $this->fraction())) * cos(2 * M_PI * $this->fraction());
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $items
     * @return T
     */
    public function pick(array $items): mixed
    {
        return $items[$this->whole(0, count($items) - 1)];
    }
}
