<?php

declare(strict_types=1);

namespace Incastro\Survey\Plan;

/**
 * Distances that no plan can hold together: one is longer than a way round by two others, or by all the rest, beyond
 * what their tools allow.
 */
final class Contradictions
{
    /** How many σ a way round may be short. */
    private const BEYOND = 4.0;

    /** By so much less the rest disagrees without the one that is wrong, in squares of σ: 4 σ. */
    private const CLEARLY = 16.0;

    /** @var list<array{PlanReading, list<PlanReading>}> a distance and the shorter way round */
    public readonly array $found;

    /** @param list<PlanReading> $readings */
    public function __construct(array $readings)
    {
        $distances = array_values(array_filter($readings, fn (PlanReading $reading) => $reading->kind->isDistance()));
        $ends = [];
        foreach ($distances as $reading) {
            $ends[$reading->from][] = $reading;
            $ends[$reading->to][] = $reading;
        }
        $found = [];
        foreach ($distances as $reading) {
            foreach ($this->waysRound($reading, $ends) as $way) {
                $sum = array_sum(array_map(fn (PlanReading $part) => $part->value, $way));
                $sigma = sqrt(array_sum(array_map(fn (PlanReading $part) => $part->sigma() ** 2, [$reading, ...$way])));
                if ($reading->value > $sum + self::BEYOND * $sigma) {
                    $found[] = [$reading, $way];
                }
            }
        }
        $this->found = $found;
    }

    /**
     * Every way by one other corner, and the shortest way of all.
     *
     * @param  array<int, list<PlanReading>>  $ends
     * @return list<list<PlanReading>>
     */
    private function waysRound(PlanReading $reading, array $ends): array
    {
        $ways = [];
        foreach ($ends[$reading->from] ?? [] as $first) {
            $middle = $first->from === $reading->from ? $first->to : $first->from;
            foreach ($first->isTakeOf($reading) || $middle === $reading->to ? [] : $ends[$middle] ?? [] as $second) {
                if ($second !== $first && in_array($reading->to, [$second->from, $second->to], true)) {
                    $ways[] = [$first, $second];
                }
            }
        }
        $shortest = $this->shortest($reading, $ends);

        return $shortest === null || count($shortest) <= 2 ? $ways : [...$ways, $shortest];
    }

    /**
     * Dijkstra's shortest way between the ends of a reading that does not use the reading itself.
     *
     * @param  array<int, list<PlanReading>>  $ends
     * @return list<PlanReading>|null
     */
    private function shortest(PlanReading $reading, array $ends): ?array
    {
        $best = [$reading->from => 0.0];
        $came = [];
        $open = [$reading->from => 0.0];
        while ($open !== []) {
            asort($open);
            $at = array_key_first($open);
            unset($open[$at]);
            if ($at === $reading->to) {
                break;
            }
            foreach ($ends[$at] ?? [] as $step) {
                $next = $step->from === $at ? $step->to : $step->from;
                $length = $best[$at] + $step->value;
                if ($step !== $reading && ! $step->isTakeOf($reading) && $length < ($best[$next] ?? INF)) {
                    $best[$next] = $open[$next] = $length;
                    $came[$next] = [$at, $step];
                }
            }
        }
        $way = [];
        for ($at = $reading->to; isset($came[$at]); $at = $came[$at][0]) {
            $way[] = $came[$at][1];
        }

        return $way === [] ? null : array_reverse($way);
    }

    /**
     * The readings of which any one, being wrong, would explain every contradiction.
     *
     * @return list<PlanReading>
     */
    public function culprits(): array
    {
        $culprits = null;
        foreach ($this->found as [$long, $way]) {
            $involved = [$long, ...$way];
            $culprits = $culprits === null ? $involved : array_filter($culprits, fn (PlanReading $reading) => in_array($reading, $involved, true));
        }

        return array_values($culprits ?? []);
    }

    /**
     * Of readings of which any one would explain every contradiction the one without which the rest agrees, and with each of the others
     * clearly does not: each is left out in turn.
     *
     * @param  list<PlanReading>  $readings  all there are
     * @param  \Closure(PlanReading): ?float  $misfit  Σ (residual/σ)² of the network without it; null where it does not hold, or disagrees
     */
    public function told(array $readings, \Closure $misfit): ?PlanReading
    {
        $scores = [];
        $culprits = $this->culprits();
        foreach (count($culprits) < 2 ? [] : $culprits as $i => $culprit) {
            $rest = new self(array_values(array_filter($readings, fn (PlanReading $reading) => $reading !== $culprit)));
            $scores[$i] = $rest->found === [] ? $misfit($culprit) ?? INF : INF;
        }
        asort($scores);
        [$best, $next] = [...array_values($scores), INF, INF];

        return $best < INF && $next - $best >= self::CLEARLY ? $culprits[array_key_first($scores)] ?? null : null;
    }

    /**
     * What to leave out, so that a plan closes: the one that explains every contradiction, else of those the longest, and
     * without a common culprit every distance that is too long for some way round.
     *
     * @return list<PlanReading>
     */
    public function toLeaveOut(): array
    {
        $culprits = $this->culprits();
        if (count($culprits) === 1) {
            return $culprits;
        }
        $long = [];
        foreach ($this->found as [$reading]) {
            if (! in_array($reading, $long, true)) {
                $long[] = $reading;
            }
        }

        return $long;
    }
}
