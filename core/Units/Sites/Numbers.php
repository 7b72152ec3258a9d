<?php

declare(strict_types=1);

namespace Incastro\Units\Sites;

/** Counts the pieces of a box by their role, so that no two bear one mark. */
final class Numbers
{
    /** @var array<string, int> */
    private array $given = [];

    public function next(string $role): int
    {
        return $this->given[$role] = ($this->given[$role] ?? 0) + 1;
    }
}
