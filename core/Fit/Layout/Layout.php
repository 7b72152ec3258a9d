<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

use Incastro\Fit\Closing\Closing;

/** What a person wants to stand in a space. The order of the runs says which one goes through a corner. */
final readonly class Layout
{
    /**
     * @param  list<Run>  $runs
     * @param  list<Member>  $members
     * @param  array<string, Closing>  $closings  by edge, where the person chose one
     * @param  list<string>  $openings  things for which an opening is cut in what covers them
     * @param  array<string, string>  $marks  on the wood, by owner
     * @param  array<string, array{string, string}>  $unknown  what stands beside the cells and is not known, by id: its list and its kind
     * @param  list<Surface>  $surfaces
     */
    public function __construct(
        public array $runs,
        public array $members = [],
        public array $closings = [],
        public array $openings = [],
        public array $marks = [],
        public array $unknown = [],
        public array $surfaces = [],
    ) {
    }

    public function isEmpty(): bool
    {
        foreach ($this->runs as $run) {
            if ($run->bays !== []) {
                return false;
            }
        }

        return $this->surfaces === [];
    }

    /** Whether any of its cells is built at all. */
    public function holdsAnything(): bool
    {
        foreach ($this->runs as $run) {
            foreach ($run->bays as $bay) {
                if (array_filter($bay->tiers, fn (Tier $tier) => $tier->isBuilt()) !== []) {
                    return true;
                }
            }
        }

        return $this->surfaces !== [];
    }

    /** How many cells it has. */
    public function cells(): int
    {
        $cells = 0;
        foreach ($this->runs as $run) {
            foreach ($run->bays as $bay) {
                $cells += count($bay->tiers);
            }
        }

        return $cells;
    }
}
