<?php

declare(strict_types=1);

namespace Incastro\Survey;

/** A slot with the takes that count: their mean, and its σ. */
final readonly class Reading
{
    /** Two takes of one slot that differ by more than this many σ ask for a third (handbook, "Readings"). */
    private const TAKES_DIFFER = 2.8;

    /** @param non-empty-list<Take> $takes */
    public function __construct(public Slot $slot, public array $takes)
    {
    }

    /** Mean of the takes, in mm (degrees of a corner). */
    public function value(): float
    {
        return array_sum(array_map(fn (Take $take) => $take->signed($this->slot), $this->takes)) / count($this->takes);
    }

    public function sigma(): float
    {
        return $this->sigmaOfOneTake() / sqrt(count($this->takes));
    }

    /** Whether two takes differ by more than their uncertainty allows. */
    public function takesDiffer(): bool
    {
        $values = array_map(fn (Take $take) => $take->signed($this->slot), $this->takes);

        return count($values) === 2 && abs($values[0] - $values[1]) > self::TAKES_DIFFER * $this->sigmaOfOneTake();
    }

    private function sigmaOfOneTake(): float
    {
        return $this->slot->tool->sigma($this->slot->span ?? abs($this->value()));
    }
}
