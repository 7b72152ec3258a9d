<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Planning\Layout\LayoutReader;
use Incastro\Rules\Code;
use Incastro\Rules\Edit;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Rules\WayOut;

/**
 * Keeps of the ways out that findings propose those which, planned with, remove their finding and leave fewer clashes, or pass
 * the same one on to a neighbour. How many are tried is bounded, so that an edit is answered in time.
 */
final class WaysOut
{
    /** Ways out kept for one finding. */
    private const KEPT = 3;

    /** Tries for all findings together, and how many cells may be fitted for them: a large layout is tried less often. */
    private const TRIES = 14;

    private const CELLS = 48;

    private int $left;

    /** @var array<string, list<Finding>> what is found with an edit applied */
    private array $tried = [];

    /** @var array<string, bool> whether an edit leaves nothing built */
    private array $empties = [];

    /** @param \Closure(Space, Job): list<Finding> $plan */
    public function __construct(private readonly \Closure $plan, private readonly Space $space, private readonly Job $job, ?int $tries = null)
    {
        $this->left = $tries ?? max(1, min(self::TRIES, intdiv(self::CELLS, max(1, $space->layout->cells()))));
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    public function checked(array $findings): array
    {
        // Of a large layout the first clash at hand is solved; the others are asked for one by one.
        return array_map(fn (Finding $finding) => $this->checkedOne($finding, $findings), $findings);
    }

    /** @param list<Finding> $among */
    public function checkedOne(Finding $finding, array $among): Finding
    {
        $clashes = self::clashes($among);
        $kept = $last = [];
        foreach ($finding->waysOut as $way) {
            if (count($kept) + count($last) < self::KEPT && $this->removes($way, $finding, $clashes, self::bent($among))) {
                // To build nothing solves everything: that comes after all else.
                ($this->empties[self::key($way->edit)] ?? false) ? $last[] = $way : $kept[] = $way;
            }
        }

        return $finding->withWaysOut([...$kept, ...$last]);
    }

    /** @param list<string> $bent what bends as it is */
    private function removes(WayOut $way, Finding $finding, int $clashes, array $bent): bool
    {
        $after = $this->with($way);
        if ($after === null) {
            return false;
        }
        foreach ($after as $other) {
            if ($other->code === $finding->code && $other->place === $finding->place) {
                return false;
            }
        }

        // What stood on what goes away bends then: it has ways out of its own.
        $left = self::clashes($after) - count(array_diff(self::bent($after), $bent));

        return $left < $clashes || $finding->severity !== Severity::Clash || ($left === $clashes && self::movesOn($finding, $after));
    }

    /**
     * Whether the same thing now clashes with a neighbour: what stands across two cells is solved in two steps.
     *
     * @param  list<Finding>  $after
     */
    private static function movesOn(Finding $finding, array $after): bool
    {
        foreach ($after as $other) {
            // What is opened up behind a board needs the board away, too; and a worktop goes after the boxes under it.
            if (in_array($other->code, [$finding->code, Code::BoardAcross, Code::AssembledThing], true) && $finding->related !== [] && in_array($finding->related[0], $other->related, true)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<string> places of what bends too far
     */
    private static function bent(array $findings): array
    {
        return array_values(array_map(fn (Finding $finding) => $finding->place, array_filter($findings, fn (Finding $finding) => $finding->code === Code::Sags && $finding->severity === Severity::Clash)));
    }

    private static function key(Edit $edit): string
    {
        return serialize($edit->toArray());
    }

    /** @return list<Finding>|null null where the edit cannot be applied, or no more tries are left */
    private function with(WayOut $way): ?array
    {
        $edit = $way->edit;
        $key = self::key($edit);
        if (! isset($this->tried[$key])) {
            if ($this->left-- <= 0) {
                return null;
            }
            if ($way->isOfJob) {
                return $this->tried[$key] = ($this->plan)($this->space, JobReader::choosing($this->job, $edit));
            }
            try {
                [$choices] = SpaceChoices::apply($this->space->choices, $edit, $this->job->format, $this->job->materials->carcass->thickness);
            } catch (InvalidChoice) {
                return null;
            }
            $layout = LayoutReader::read($choices['layout'], $this->job->rules);
            $this->empties[$key] = ! $layout->holdsAnything();
            $this->tried[$key] = ($this->plan)($this->space->choosing($layout, array_values(array_map(ThingChoices::read(...), $choices['things'])), $choices), $this->job);
        }

        return $this->tried[$key];
    }

    /** @param list<Finding> $findings */
    private static function clashes(array $findings): int
    {
        return count(array_filter($findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
    }
}
