<?php

declare(strict_types=1);

namespace Tests\Core;

use Incastro\Planning\StageMemory;

/** Remembers stages as long as a test runs, and counts those that were computed. */
final class KeptMemory implements StageMemory
{
    /** @var array<string, object> */
    public array $kept = [];

    public int $computed = 0;

    public function keep(string $stage, string $hash, object $result): void
    {
        $this->kept["$stage $hash"] = $result;
    }

    public function find(string $stage, string $hash): ?object
    {
        return $this->kept["$stage $hash"] ?? null;
    }

    /**
     * @template T of object
     *
     * @param  \Closure(): T  $compute
     * @return T
     */
    public function remember(string $stage, string $hash, \Closure $compute): object
    {
        $known = $this->kept["$stage $hash"] ?? null;
        if ($known === null) {
            $this->computed++;
            $known = $this->kept["$stage $hash"] = $compute();
        }

        /** @var T */
        return $known;
    }
}
