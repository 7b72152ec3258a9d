<?php

declare(strict_types=1);

namespace Incastro\Log;

/** How long things took against what was estimated: (Σ actual + 120)/(Σ estimate + 120) minutes, so that two hours of the estimate are believed. */
final readonly class Ratio
{
    private const TRUST = 120.0;

    /** Between these nothing is to be changed. */
    private const USUAL = [0.85, 1.15];

    /** It is said from so many entries or jobs on. */
    private const ENTRIES = 5;

    private const JOBS = 3;

    /** @param list<array{estimate: float, actual: float, job: string}> $entries minutes */
    public function __construct(private array $entries)
    {
    }

    public function offered(): float
    {
        return (array_sum(array_column($this->entries, 'actual')) + self::TRUST) / (array_sum(array_column($this->entries, 'estimate')) + self::TRUST);
    }

    public function isTold(): bool
    {
        $isEnough = count($this->entries) >= self::ENTRIES || count(array_unique(array_column($this->entries, 'job'))) >= self::JOBS;

        return $isEnough && ($this->offered() < self::USUAL[0] || $this->offered() > self::USUAL[1]);
    }
}
