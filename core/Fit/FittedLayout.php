<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Closing\FittedEdge;
use Incastro\Rules\Finding;

/** All runs of a space, fitted one after another: the earlier goes through a corner; and what lies on its walls. */
final readonly class FittedLayout
{
    /**
     * @param  list<FittedRun>  $runs
     * @param  list<FittedSurface>  $surfaces
     */
    public function __construct(public array $runs, public array $surfaces = [])
    {
    }

    /** @return list<Box> */
    public function boxes(): array
    {
        return array_merge([], ...array_map(fn (FittedRun $run) => $run->boxes, $this->runs));
    }

    /** @return list<FittedEdge> */
    public function edges(): array
    {
        return array_merge([], ...array_map(fn (FittedRun $run) => array_values($run->edges), $this->runs));
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return array_merge([], ...array_map(fn (FittedRun $run) => $run->findings, $this->runs));
    }

    public function isEmpty(): bool
    {
        foreach ($this->runs as $run) {
            if ($run->cells !== []) {
                return false;
            }
        }

        return $this->surfaces === [];
    }
}
