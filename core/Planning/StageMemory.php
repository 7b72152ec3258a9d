<?php

declare(strict_types=1);

namespace Incastro\Planning;

/** Keeps the result of a pure stage by the hash of its inputs. The core itself remembers nothing. */
interface StageMemory
{
    /**
     * @template T of object
     *
     * @param  \Closure(): T  $compute
     * @return T
     */
    public function remember(string $stage, string $hash, \Closure $compute): object;

    /** Puts a result in place of what was remembered. */
    public function keep(string $stage, string $hash, object $result): void;

    /** What is remembered of a stage, if anything. */
    public function find(string $stage, string $hash): ?object;
}
