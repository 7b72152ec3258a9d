<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Fact;
use App\Models\Job;
use App\Models\Space;
use Illuminate\Support\Collection;

/** Puts the planner's input together from what is stored: choices as they are, and the takes that count. */
final class JobDocument
{
    /** @return array<string, mixed> */
    public static function of(Job $job): array
    {
        $job->loadMissing('spaces.facts', 'home');

        return $job->choices + ['ways_in' => $job->home->ways_in, 'spaces' => $job->spaces->map(self::space(...))->all()];
    }

    /** @return array<string, mixed> */
    private static function space(Space $space): array
    {
        return ['id' => $space->id] + $space->choices + [
            'takes' => self::standing($space->facts)->where('kind', Fact::TAKE)->map(self::take(...))->values()->all(),
            'withdrawn' => self::withdrawn($space)->map(self::take(...))->values()->all(),
        ];
    }

    /**
     * Takes that somebody took back: they stay in the book, struck out.
     *
     * @return Collection<int, Fact>
     */
    public static function withdrawn(Space $space): Collection
    {
        return $space->facts->where('kind', Fact::TAKE)->whereNotIn('id', self::standing($space->facts)->modelKeys());
    }

    /** @return array<string, mixed> */
    public static function take(Fact $fact): array
    {
        return [
            'id' => $fact->id, 'slot' => $fact->slot, 'value' => $fact->value, 'end' => $fact->end, 'place' => $fact->place,
            'taken_at' => $fact->taken_at->toIso8601ZuluString('millisecond'),
        ];
    }

    /**
     * The facts that no standing withdrawal names. A withdrawal may itself be withdrawn.
     *
     * @param  Collection<int, Fact>  $facts
     * @return Collection<int, Fact>
     */
    public static function standing(Collection $facts): Collection
    {
        $withdrawals = $facts->whereNotNull('withdraws')->groupBy('withdraws');
        $stands = function (Fact $fact) use (&$stands, $withdrawals): bool {
            foreach ($withdrawals->get($fact->id) ?? [] as $withdrawal) {
                if ($stands($withdrawal)) {
                    return false;
                }
            }

            return true;
        };

        return $facts->filter($stands);
    }
}
