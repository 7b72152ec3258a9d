<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Holds\AsksOfRoom;
use Incastro\Fit\Holds\Holds;
use Incastro\Survey\Things\Asked;

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

    /** @return list<Asked> what it needs to know of its room that nobody is asked otherwise */
    public function asks(): array
    {
        $holds = array_map(fn (Surface $surface): Holds => $surface->holds, $this->surfaces);
        foreach ($this->runs as $run) {
            foreach ($run->bays as $bay) {
                foreach ($bay->tiers as $tier) {
                    array_push($holds, $tier->holds, ...array_map(fn (Option $option): Holds => $option->holds, $tier->options));
                }
            }
        }
        $asked = array_map(fn (AsksOfRoom $one): string => $one->asks()->value, array_filter($holds, fn (Holds $one): bool => $one instanceof AsksOfRoom));

        return array_values(array_map(Asked::from(...), array_unique($asked)));
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
