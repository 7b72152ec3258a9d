<?php

declare(strict_types=1);

namespace Incastro\Check;

/** One step of carrying something in: what is done, and how much room is to spare, mm; negative where it does not go. */
final readonly class Step
{
    public function __construct(public StepKind $kind, public string $words, public float $spare)
    {
    }

    public function goes(): bool
    {
        return $this->spare >= -1e-6;
    }
}
