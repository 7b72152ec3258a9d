<?php

declare(strict_types=1);

namespace Incastro\Fit;

/** Counts boxes, plinths, worktops and panels through a whole job, so that no two bear the same mark. */
final class Numbering
{
    /** @var array<string, int> */
    private array $last = [];

    public function next(string $letter): int
    {
        return $this->last[$letter] = ($this->last[$letter] ?? 0) + 1;
    }

    /** Goes on from where another stands. */
    public function takeOver(self $that): void
    {
        $this->last = $that->last;
    }
}
