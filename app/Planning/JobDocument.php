<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Fact;
use App\Models\Job;
use App\Models\Space;

/** Puts the planner's input together from what is stored: choices as they are, and the takes that count. */
final class JobDocument
{
    /** @return array<string, mixed> */
    public static function of(Job $job): array
    {
        $job->loadMissing('spaces.facts', 'home');

        return $job->choices + ['ways_in' => $job->home->ways_in, 'offcuts' => Shelf::for($job), 'spaces' => $job->spaces->map(self::space(...))->all()];
    }

    /** @return array<string, mixed> */
    private static function space(Space $space): array
    {
        [$standing, $withdrawn] = self::takes($space->facts->all());
        $take = fn (Fact $fact) => $fact->toTake();

        return ['id' => $space->id] + $space->choices + ['takes' => array_map($take, $standing), 'withdrawn' => array_map($take, $withdrawn)];
    }

    /**
     * Those that count, and those that somebody took back: they stay in the book, struck out.
     *
     * @param  array<Fact>  $facts
     * @return array{list<Fact>, list<Fact>}
     */
    public static function takes(array $facts): array
    {
        $stands = self::standing($facts);
        $takes = [[], []];
        foreach ($facts as $fact) {
            ['id' => $id, 'kind' => $kind] = $fact->getAttributes();
            if ($kind === Fact::TAKE) {
                $takes[$stands[$id] ? 0 : 1][] = $fact;
            }
        }

        return $takes;
    }

    /**
     * Whether each fact stands: whether no standing withdrawal names it. A withdrawal may itself be withdrawn.
     *
     * @param  array<Fact>  $facts
     * @return array<string, bool> by id
     */
    public static function standing(array $facts): array
    {
        $withdrawals = $stands = $asked = [];
        $ids = array_map(fn (Fact $fact) => (string) $fact->getAttributes()['id'], $facts);
        foreach ($facts as $i => $fact) {
            $withdrawn = $fact->getAttributes()['withdraws'] ?? null;
            if ($withdrawn !== null) {
                $withdrawals[$withdrawn][] = $ids[$i];
            }
        }
        // From those that nobody takes back inwards: each is settled when all that take it back are. In a ring the one that is asked
        // first falls.
        foreach ($ids as $fact) {
            $open = [$fact];
            while ($open !== []) {
                $id = $open[count($open) - 1];
                $unsettled = isset($asked[$id]) ? [] : array_filter($withdrawals[$id] ?? [], fn (string $by) => ! isset($asked[$by]));
                $asked[$id] = true;
                if ($unsettled !== []) {
                    array_push($open, ...$unsettled);
                    continue;
                }
                array_pop($open);
                $stands[$id] ??= array_filter($withdrawals[$id] ?? [], fn (string $by) => $stands[$by] ?? false) === [];
            }
        }

        return $stands;
    }
}
