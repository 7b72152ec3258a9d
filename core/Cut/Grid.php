<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** The coarsest steps on which all sizes, the kerf and the trims lie, so that what a planner adds and multiplies are small whole numbers. */
final readonly class Grid
{
    private function __construct(private int $step)
    {
    }

    /** @param list<int> $nanometres */
    public static function of(array $nanometres): self
    {
        $step = 0;
        foreach ($nanometres as $size) {
            while ($size !== 0) {
                [$step, $size] = [$size, $step % $size];
            }
        }

        return new self(max(1, abs($step)));
    }

    public function steps(int $nanometres): int
    {
        return intdiv($nanometres, $this->step);
    }

    public function nanometres(int $steps): int
    {
        return $steps * $this->step;
    }
}
