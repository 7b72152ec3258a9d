<?php

declare(strict_types=1);

namespace Incastro\Planning;

/** Computes every stage anew: for command lines and tests. */
final class NoMemory implements StageMemory
{
    public function remember(string $stage, string $hash, \Closure $compute): object
    {
        return $compute();
    }

    public function keep(string $stage, string $hash, object $result): void
    {
    }

    public function find(string $stage, string $hash): ?object
    {
        return null;
    }
}
