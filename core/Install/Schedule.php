<?php

declare(strict_types=1);

namespace Incastro\Install;

/** Tasks in the sessions that there are, and those for which there is no time. */
final readonly class Schedule
{
    /**
     * @param  array<string, Placed>  $placed  by id, in the order of their beginnings
     * @param  array<string, string>  $unplaced  why there is no time for it, by id
     */
    public function __construct(public array $placed, public array $unplaced)
    {
    }

    public function end(): ?int
    {
        return $this->placed === [] || $this->unplaced !== [] ? null : max(array_map(fn (Placed $one) => $one->end(), $this->placed));
    }

    /** @return list<Placed> the tasks that hold the end, each waiting for the one before it */
    public function chain(): array
    {
        $chain = [];
        $last = array_reduce($this->placed, fn (?Placed $late, Placed $one): Placed => $late === null || $one->end() > $late->end() ? $one : $late);
        while ($last !== null) {
            array_unshift($chain, $last);
            $held = null;
            foreach ($last->task->needs as $id => $dry) {
                $need = $this->placed[$id] ?? null;
                if ($need !== null && ($held === null || $need->end() + $dry > $held->end() + $last->task->needs[$held->task->id])) {
                    $held = $need;
                }
            }
            $last = $held;
        }

        return $chain;
    }
}
