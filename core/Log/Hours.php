<?php

declare(strict_types=1);

namespace Incastro\Log;

/**
 * How long people worked: of each the union of the times in which they did, overlaps counted once, and durations as typed. What still runs ends
 * where the same person began something later. The same whatever the order in which it was noted, and however often.
 */
final readonly class Hours
{
    /** What runs longer was forgotten, seconds. */
    public const FORGOTTEN = 12 * 3600;

    /** @var array<string, Stretch> by id, in the order of their beginnings */
    private array $stretches;

    /** @param list<Stretch> $stretches */
    public function __construct(array $stretches)
    {
        $byId = [];
        foreach ($stretches as $one) {
            $byId[$one->id] = $one;
        }
        uasort($byId, fn (Stretch $one, Stretch $other) => $one->from <=> $other->from ?: ($one->to ?? PHP_INT_MAX) <=> ($other->to ?? PHP_INT_MAX) ?: $one->id <=> $other->id);
        $this->stretches = $byId;
    }

    /** @return array<string, int> seconds by person */
    public function byPerson(): array
    {
        return array_map(fn (array $all): int => $this->union($all), $this->of(fn (Stretch $one): string => $one->person));
    }

    /** @return array<string, int> seconds by kind of work, of all people together */
    public function byKind(): array
    {
        $sums = [];
        foreach ($this->of(fn (Stretch $one): string => $one->person."\n".$one->kind->value) as $key => $all) {
            $kind = explode("\n", $key)[1];
            $sums[$kind] = ($sums[$kind] ?? 0) + $this->union($all);
        }

        return $sums;
    }

    public function seconds(): int
    {
        return array_sum($this->byPerson());
    }

    /** @return list<Stretch> what still runs: the newest of each person */
    public function running(): array
    {
        $running = [];
        foreach ($this->of(fn (Stretch $one): string => $one->person) as $all) {
            $last = $all[array_key_last($all)] ?? null;
            if ($last !== null && $last->to === null) {
                $running[] = $last;
            }
        }

        return $running;
    }

    /** @param list<Stretch> $all of one person, in their order */
    private function union(array $all): int
    {
        $sum = 0;
        $until = 0;
        foreach ($all as $i => $one) {
            $sum += $one->typed;
            $to = $one->to ?? $this->endOf($one);
            if ($one->typed === 0 && $to !== null && $to > max($until, $one->from)) {
                $sum += $to - max($until, $one->from);
                $until = $to;
            }
        }

        return $sum;
    }

    /** Where the same person began something later; null where it runs still. */
    private function endOf(Stretch $one): ?int
    {
        $later = array_filter($this->stretches, fn (Stretch $other) => $other->person === $one->person && $other->from > $one->from && $other->typed === 0);

        return $later === [] ? null : min(array_map(fn (Stretch $other) => $other->from, $later));
    }

    /**
     * @param  \Closure(Stretch): string  $key
     * @return array<string, list<Stretch>> each in the order of their beginnings
     */
    private function of(\Closure $key): array
    {
        $of = [];
        foreach ($this->stretches as $one) {
            $of[$key($one)][] = $one;
        }

        return $of;
    }
}
