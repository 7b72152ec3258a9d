<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** Sheets to buy and how to cut them, with lower bounds that no plan can beat. */
final readonly class SheetPlan
{
    /**
     * @param  list<PlannedSheet>  $sheets
     * @param  list<Unplaced>  $unplaced
     * @param  int  $settings  different fence settings of the whole plan
     * @param  string  $because  why there cannot be fewer sheets
     * @param  int  $boundSettings  that no plan has fewer of, but for what fits by chance
     */
    public function __construct(
        public array $sheets,
        public array $unplaced,
        public float $price,
        public int $boundSheets,
        public float $boundPrice,
        public int $settings,
        public string $because = '',
        public int $boundSettings = 0,
    ) {
    }

    /** Whether no plan costs less. Fewer settings may still be found. */
    public function isBest(): bool
    {
        return $this->sheets === [] || $this->price <= $this->boundPrice + 0.005;
    }

    public function isBetterThan(self $other): bool
    {
        $cost = fn (self $plan): array => [count($plan->unplaced), round($plan->price, 2), $plan->settings];

        return $cost($this) < $cost($other);
    }

    /** With the prices as they are, where sheets were weighed. */
    public function unweighed(Objective $objective): self
    {
        $sheets = array_map(fn (PlannedSheet $sheet) => new PlannedSheet($sheet->stock->at($objective->price($sheet->stock->price)), $sheet->pieces, $sheet->offcuts), $this->sheets);

        // Of money nothing is excluded but by the sheets: the bound is of their number.
        return new self($sheets, $this->unplaced, $objective->price($this->price), $this->boundSheets, 0.0, $this->settings, $this->because, $this->boundSettings);
    }

    /** Whether no plan needs fewer sheets. */
    public function isFewest(): bool
    {
        return count($this->sheets) === $this->boundSheets;
    }
}
