<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\Layout\Run;
use Incastro\Fit\Members\Around;
use Incastro\Fit\Members\Beside;
use Incastro\Fit\Members\FittedMember;
use Incastro\Fit\Members\Over;
use Incastro\Fit\Members\Under;
use Incastro\Measure\Working;
use Incastro\Rules\Finding;
use Incastro\Survey\ClearSpan;
use Incastro\Survey\Room\RunFrame;

/**
 * A run fitted into the room as found: its bays and cells, boxes and members, and its edges. It stands from `left` to `right`;
 * `reserved` is what was kept free at its ends for their closings, mm.
 */
final readonly class FittedRun
{
    /**
     * @param  list<FittedBay>  $bays
     * @param  list<FittedCell>  $cells
     * @param  list<Box>  $boxes
     * @param  list<FittedMember>  $members
     * @param  list<FittedShelf>  $shelves
     * @param  array<string, FittedEdge>  $edges  by key
     * @param  list<Finding>  $findings
     */
    public function __construct(
        public Run $run,
        public RunFrame $frame,
        public Ends $ends,
        public ClearSpan $span,
        public Working $width,
        public Working $depth,
        public float $left,
        public float $right,
        public float $reserved,
        public array $bays,
        public array $cells,
        public array $boxes,
        public array $members,
        public array $shelves,
        public array $edges,
        public array $findings,
    ) {
    }

    /**
     * The same with its edges closed.
     *
     * @param  array<string, FittedEdge>  $edges
     * @param  list<Finding>  $findings
     */
    public function with(array $edges, array $findings): self
    {
        return new self(...['edges' => $edges, 'findings' => $findings] + get_object_vars($this));
    }

    public function edge(Side $side, string $owner): ?FittedEdge
    {
        return $this->edges[$side->of($owner)] ?? null;
    }

    /** @return list<Under> what carries its boxes */
    public function under(): array
    {
        return array_values(array_filter($this->members, fn (FittedMember $member) => $member instanceof Under));
    }

    /** @return list<Over> what lies over its cells */
    public function over(): array
    {
        return array_values(array_filter($this->members, fn (FittedMember $member) => $member instanceof Over));
    }

    /** @return list<Beside> what stands at its ends */
    public function beside(): array
    {
        return array_values(array_filter($this->members, fn (FittedMember $member) => $member instanceof Beside));
    }

    /** @return list<Around> what runs round its boxes */
    public function around(): array
    {
        return array_values(array_filter($this->members, fn (FittedMember $member) => $member instanceof Around));
    }

    /** How far it stands out from its wall, what lies over it included: v, mm. */
    public function front(): float
    {
        return max([
            $this->depth->result->toDouble(),
            ...array_map(fn (Box $box) => $box->face(), $this->boxes),
            ...array_map(fn (Over $over) => $over->front(), $this->over()),
            ...array_map(fn (Under $under) => $under->front(), $this->under()),
        ]);
    }

    /** Whether nothing is built in it: open gaps and knee spaces alone. */
    public function isOpen(): bool
    {
        foreach ($this->cells as $cell) {
            if ($cell->tier->isBuilt()) {
                return false;
            }
        }

        return true;
    }

    public function box(string $id): ?Box
    {
        foreach ($this->boxes as $box) {
            if ($box->id === $id) {
                return $box;
            }
        }

        return null;
    }

    public function cell(string $id): ?FittedCell
    {
        foreach ($this->cells as $cell) {
            if ($cell->tier->id === $id) {
                return $cell;
            }
        }

        return null;
    }

    /** @return list<FittedEdge> */
    public function scribed(): array
    {
        return array_values(array_filter($this->edges, fn (FittedEdge $edge) => $edge->scribe !== null));
    }
}
