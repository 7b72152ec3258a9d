<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Survey\Network\Scrutinised;

/** The places that were read, each by the takes of it that agree; and which of them are as far off as they are because the wall is. */
final readonly class Places
{
    /** A wall is no rougher than this: mm, and degrees over a gauge’s arms. What is off by more was read wrongly again. */
    private const ROUGH_MOST = 12.0;

    private const ROUGH_ANGLE = 2.5;

    /** So many takes alike leave no doubt but the wall’s. */
    private const SURELY = 3;

    /** @var list<Reading> takes of one place that agree */
    public array $all;

    /** @var array<string, Slot> by take */
    private array $slots;

    /** @var array<string, non-empty-list<Reading>> what was read where a take was, by take */
    private array $groups;

    /** @param array<string, Reading> $readings */
    public function __construct(array $readings)
    {
        $all = $slots = $groups = [];
        foreach ($readings as $reading) {
            $agreeing = $reading->agreeing();
            array_push($all, ...$agreeing);
            foreach ($reading->takes as $take) {
                $slots[$take->id] = $reading->slot;
                $groups[$take->id] = $agreeing;
            }
        }
        [$this->all, $this->slots, $this->groups] = [$all, $slots, $groups];
    }

    /**
     * Places that are off the others, and were read more than once alike: no slip does that but one that is made again, which is then
     * a typical one. The wall is rougher there than the readings suppose: they count less, and nobody is asked a third time.
     *
     * @return array<string, float> by take: how far off it is
     */
    public function confirmed(Scrutinised $scrutinised): array
    {
        $rough = [];
        foreach ($scrutinised->suspects as $suspect) {
            if ($this->isConfirmed($suspect->id, $suspect->error, $suspect->slip)) {
                $rough[$suspect->id] = abs($suspect->error);
            }
        }
        foreach ($scrutinised->undecided as $set) {
            if (array_filter($set->ids, fn (string $id, int $i) => ! $this->isConfirmed($id, $set->errors[$i], $set->slips[$i]), ARRAY_FILTER_USE_BOTH) === []) {
                $rough += array_combine($set->ids, array_map(abs(...), $set->errors));
            }
        }

        return $rough;
    }

    /**
     * Whether a place was read more than once, alike, and in no other way, and is off by no more than a wall can be. What a typical slip
     * would explain may be made twice, not three times.
     */
    private function isConfirmed(string $id, float $error, ?string $slip): bool
    {
        $most = $this->slots[$id]->kind->isAngle() ? self::ROUGH_ANGLE : self::ROUGH_MOST;
        $alike = count($this->takesWith($id));

        return count($this->groups[$id]) === 1 && ($alike >= self::SURELY ? abs($error) <= 2 * $most : $alike > 1 && $slip === null && abs($error) <= $most);
    }

    /** Whether the place of a take was read more than once, alike or not. */
    public function isReadTwice(string $id): bool
    {
        return array_sum(array_map(fn (Reading $reading) => count($reading->takes), $this->groups[$id])) > 1;
    }

    /** @return list<string> a take and those that agree with it */
    public function takesWith(string $id): array
    {
        foreach ($this->all as $place) {
            $ids = array_map(fn (Take $take) => $take->id, $place->takes);
            if (in_array($id, $ids, true)) {
                return $ids;
            }
        }

        return [$id];
    }
}
