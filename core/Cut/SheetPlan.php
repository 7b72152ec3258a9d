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

    /** The greatest of what is left over in one, of sheets that are bought. */
    public function greatestOffcut(): ?Rectangle
    {
        $greatest = null;
        foreach ($this->sheets as $sheet) {
            foreach ($sheet->stock->isSawn ? [] : $sheet->offcuts as $offcut) {
                $greatest = $greatest === null || $offcut->area() > $greatest->area() ? $offcut : $greatest;
            }
        }

        return $greatest;
    }

    /**
     * With sheets that are locked before the others: what is bounded is bounded for the rest.
     *
     * @param  non-empty-list<PlannedSheet>  $locked
     * @param  int  $settings  of all of them
     */
    public function withLocked(array $locked, int $settings): self
    {
        $price = array_sum(array_map(fn (PlannedSheet $sheet) => $sheet->stock->price, $locked));
        $because = [...$this->sheets === [] ? [] : [$this->because], count($locked) === 1 ? 'sheet 1 is locked' : sprintf('sheets 1 to %d are locked', count($locked))];

        return new self([...$locked, ...$this->sheets], $this->unplaced, $this->price + $price, $this->boundSheets + count($locked), round($this->boundPrice + $price, 2), $settings, implode('; ', $because), min($this->boundSettings, $settings));
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
