<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Cut\CutPlan;
use Incastro\Pieces\Piece;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;

/**
 * A whole job planned: its spaces, and what is cut for all of them together. `complete` is that with as many sheets and boards
 * as it takes, where those at hand do not do.
 */
final readonly class Plan
{
    /** @param list<SpacePlan> $spaces */
    public function __construct(public Job $job, public array $spaces, public CutPlan $cut, public CutPlan $complete)
    {
    }

    public function space(string $id): ?SpacePlan
    {
        foreach ($this->spaces as $space) {
            if ($space->space->id === $id) {
                return $space;
            }
        }

        return null;
    }

    /** @return list<Piece> */
    public function pieces(): array
    {
        return array_merge([], ...array_map(fn (SpacePlan $space) => $space->pieces(), $this->spaces));
    }

    /** @return list<Finding> */
    public function clashes(): array
    {
        $findings = array_merge([], ...array_map(fn (SpacePlan $space) => $space->findings, $this->spaces));

        return array_values(array_filter($findings, fn (Finding $finding) => $finding->severity === Severity::Clash));
    }
}
