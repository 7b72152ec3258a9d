<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** A timber yard that cuts sheets into parts that can be carried, roughly: the final sizes are cut at home. Lengths in nm. */
final readonly class Yard
{
    /**
     * @param  int  $cuts  straight cuts of a sheet that are included
     * @param  int  $tolerance  by which a part comes larger or smaller than asked for
     * @param  int  $leastStrip  that its saw cuts
     * @param  int  $oversize  on top of what a part must give: the tolerance, and something left to saw
     * @param  int  $step  in which sizes are asked for
     * @param  array{int, int}|null  $ride  the longest and the widest part that goes home; null: any
     */
    public function __construct(public int $cuts, public int $tolerance, public int $leastStrip, public int $kerf, public int $oversize, public int $step = 1_000_000, public ?array $ride = null)
    {
    }

    public static function usual(): self
    {
        return new self(3, 2_000_000, 100_000_000, 4_000_000, 5_000_000);
    }

    /**
     * The size to ask for of a part, along the axis of its cuts. The edges of the yard stay as hidden ones; a factory edge comes off.
     *
     * @param  int  $needed  finished sizes within, and the kerfs of the home's saw between them
     * @param  int  $trim  of a factory edge that the part has; 0 where it has none
     */
    public function raw(int $needed, int $trim): int
    {
        $raw = $needed + $trim + $this->oversize;

        return $raw + ($this->step - $raw % $this->step) % $this->step;
    }

    /** Whether a part goes home with whoever shops. */
    public function rides(int $x, int $y): bool
    {
        return $this->ride === null || max($x, $y) <= $this->ride[0] && min($x, $y) <= $this->ride[1];
    }
}
