<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Buy\BuyWishes;
use Incastro\Check\WayIn;
use Incastro\Cut\BoardPlanner;
use Incastro\Cut\BoardStock;
use Incastro\Cut\SawSetup;
use Incastro\Cut\SheetWishes;
use Incastro\Cut\Stock;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Rule;

/** The planner's input: everything that people chose and read, and nothing that is computed. */
final readonly class Job
{
    /**
     * @param  list<Stock>  $stock  in sheets
     * @param  list<BoardStock>  $boards  by length
     * @param  list<Space>  $spaces
     * @param  list<WayIn>  $ways  from the street door on
     */
    public function __construct(
        public string $name,
        public LengthFormat $format,
        public string $currency,
        public HouseRules $rules,
        public Catalogue $materials,
        public array $stock,
        public array $boards,
        public array $spaces,
        public array $ways = [],
        public SheetWishes $sheets = new SheetWishes(),
        public BuyWishes $buying = new BuyWishes(),
    ) {
    }

    /**
     * The same with its spaces changed.
     *
     * @param  list<Space>  $spaces
     */
    public function with(array $spaces): self
    {
        return new self(...['spaces' => $spaces] + get_object_vars($this));
    }

    /**
     * The same with other sheets to cut from.
     *
     * @param  list<Stock>  $stock
     */
    public function stocked(array $stock): self
    {
        return new self(...['stock' => $stock] + get_object_vars($this));
    }

    /** The same with its sheets planned otherwise. */
    public function wishing(SheetWishes $sheets): self
    {
        return new self(...['sheets' => $sheets] + get_object_vars($this));
    }

    /** The same built by other rules. */
    public function by(HouseRules $rules): self
    {
        return new self(...['rules' => $rules] + get_object_vars($this));
    }

    /**
     * The same with other materials, and more to cut from.
     *
     * @param  list<Stock>  $stock
     * @param  list<BoardStock>  $boards
     */
    public function madeOf(Catalogue $materials, array $stock, array $boards): self
    {
        return new self(...['materials' => $materials, 'stock' => [...$this->stock, ...$stock], 'boards' => [...$this->boards, ...$boards]] + get_object_vars($this));
    }

    /** @return array<string, string> the marks that its layouts keep, by owner */
    public function marks(): array
    {
        return array_merge([], ...array_map(fn (Space $space) => $space->layout->marks, $this->spaces));
    }

    /** @throws \OutOfBoundsException when the job has no such space */
    public function space(string $id): Space
    {
        foreach ($this->spaces as $space) {
            if ($space->id === $id) {
                return $space;
            }
        }

        throw new \OutOfBoundsException(sprintf('The job has no space “%s”.', $id));
    }

    public function saw(): SawSetup
    {
        return SawSetup::allEdges($this->rules->get(Rule::Kerf), $this->rules->get(Rule::Trim));
    }

    /** @param list<BoardStock>|null $boards to cut from; null: those of the job */
    public function boardSaw(?array $boards = null): BoardPlanner
    {
        return new BoardPlanner($this->rules->get(Rule::Kerf), $this->rules->get(Rule::BoardEnd), $this->format, $boards ?? $this->boards);
    }
}
