<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Survey\Plan\PlanReading;

/** A slot with the takes that count: their mean, and its σ. */
final readonly class Reading
{
    /** Two takes of one slot that differ by more than this many σ ask for a third (handbook, "Readings"). */
    public const TAKES_DIFFER = 2.8;

    /** @param non-empty-list<Take> $takes */
    public function __construct(public Slot $slot, public array $takes)
    {
    }

    /** Mean of the takes, in mm (degrees of a corner). */
    public function value(): float
    {
        return array_sum(array_map(fn (Take $take) => $take->signed($this->slot), $this->takes)) / count($this->takes);
    }

    /**
     * Mean of the takes that the others do not prove wrong; of all where nothing else is left.
     *
     * @param  list<string>  $struck
     */
    public function standing(array $struck): float
    {
        $takes = array_values(array_filter($this->takes, fn (Take $take) => ! in_array($take->id, $struck, true)));

        return (new self($this->slot, $takes === [] ? $this->takes : $takes))->value();
    }

    public function sigma(): float
    {
        return $this->sigmaOfOneTake() / sqrt(count($this->takes));
    }

    /**
     * Its takes by what they agree on within their tool's uncertainty: the place is read once, however often. Where two differ one
     * of them slipped, and each stands for itself.
     *
     * @return non-empty-list<self>
     */
    public function agreeing(): array
    {
        $takes = $this->takes;
        usort($takes, fn (Take $a, Take $b) => $a->signed($this->slot) <=> $b->signed($this->slot));
        $groups = [];
        $last = null;
        foreach ($takes as $take) {
            $value = $take->signed($this->slot);
            if ($last !== null && $value - $last <= self::TAKES_DIFFER * $this->sigmaAt(abs($value))) {
                $groups[count($groups) - 1][] = $take;
            } else {
                $groups[] = [$take];
            }
            $last = $value;
        }

        return array_map(fn (array $group) => new self($this->slot, $group), $groups);
    }

    /** Whether two takes differ by more than their uncertainty allows. */
    public function takesDiffer(): bool
    {
        $values = array_map(fn (Take $take) => $take->signed($this->slot), $this->takes);

        return count($values) === 2 && abs($values[0] - $values[1]) > self::TAKES_DIFFER * $this->sigmaOfOneTake();
    }

    private function sigmaOfOneTake(): float
    {
        return $this->sigmaAt(abs($this->value()));
    }

    /** σ of one take, in mm or degrees. Of a 3-4-5 it is that of its long side with those of its legs carried over. */
    public function sigmaOf(Take $take): float
    {
        return $this->sigmaAt(abs($take->signed($this->slot)));
    }

    private function sigmaAt(float $value): float
    {
        if ($this->slot->legs === null) {
            return $this->slot->tool->sigma($this->slot->span ?? $value);
        }

        return PlanReading::sigmaOfLongSide($this->slot->legs, $value, $this->slot->tool);
    }
}
