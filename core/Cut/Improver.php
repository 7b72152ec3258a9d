<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Ruin and recreate: some sheets lose some of their pieces, which are put again in another order. Towards a cheaper plan first: the
 * emptiest sheets are taken away, and the pieces that are then out must find places. After that towards fewer settings of the fence.
 */
final class Improver
{
    private const MOST_SHEETS = 3;

    private const MOST_PIECES = 6;

    /** Shares of steps: in which all of a sheet is taken out; in which places are passed over; in which the fence decides. */
    private const WHOLE = 0.3;

    private const PASSED = 0.02;

    private const BY_FENCE = 0.8;

    private readonly Randomizer $chance;

    /** @param int $seed  the same gives the same plan after the same steps, on every machine */
    public function __construct(private readonly Lay $lay, int $seed)
    {
        $this->chance = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /** A cheaper plan, down to a price that none can beat. */
    public function cheaper(Filled $best, float $bound, Budget $budget): Filled
    {
        while ($best->out === [] && $best->price > $bound + 1e-9) {
            $better = $this->below($best, $budget);
            if ($better === null) {
                return $best;
            }
            $best = $better;
        }

        return $best;
    }

    /** A plan that costs no more and sets the fence less often. */
    public function fewerSettings(Filled $best, int $bound, Budget $budget): Filled
    {
        return $this->withLess($best, fn (Filled $plan): int => count($plan->settings()), $bound, self::BY_FENCE, $budget);
    }

    /** A plan that costs no more and leaves a greater piece of a sheet over. */
    public function greaterOffcut(Filled $best, Budget $budget): Filled
    {
        return $this->withLess($best, fn (Filled $plan): int => -$plan->greatestOffcut(), PHP_INT_MIN, 0.0, $budget);
    }

    /**
     * @param  \Closure(Filled): int  $of  what is to be less
     * @param  int  $bound  that it is never below
     * @param  float  $byFence  share of steps in which the fence decides where a piece goes
     */
    private function withLess(Filled $best, \Closure $of, int $bound, float $byFence, Budget $budget): Filled
    {
        $now = $of($best);
        while ($now > $bound && $budget->takes()) {
            $next = clone $best;
            $taken = $this->ruined($next, false);
            $pieces = FirstPlan::sorted($taken, $this->lay->types, $this->chance->getInt(0, FirstPlan::ORDERS - 1), $this->noise());
            $fit = $this->share() < $byFence ? new SettingsFit($next->settings()) : $this->anyFit();
            $next->put($pieces, $fit, [], INF, $this->passes());
            $less = $next->out === [] ? $of($next) : PHP_INT_MAX;
            if ($less <= $now) {
                [$best, $now] = [$next, $less];
            }
        }

        return $best;
    }

    /** A plan cheaper than the given one, or null where the steps did not find one. */
    private function below(Filled $best, Budget $budget): ?Filled
    {
        $now = clone $best;
        while ($now->price >= $best->price - 1e-9) {
            $s = $this->emptiest($now);
            if ($s === null) {
                return null;
            }
            array_push($now->out, ...($now->sheets[$s]->root?->types() ?? []));
            $now->replace($s, null);
        }
        $this->putAgain($now, $best->price);
        while ($now->out !== []) {
            if (! $budget->takes()) {
                return null;
            }
            $next = clone $now;
            array_push($next->out, ...$this->ruined($next, count($this->lay->kinds) > 1));
            $this->putAgain($next, $best->price);
            $now = $next->areaOut() <= $now->areaOut() ? $next : $now;
        }

        return $now;
    }

    private function putAgain(Filled $filled, float $limit): void
    {
        $pieces = FirstPlan::sorted($filled->out, $this->lay->types, $this->chance->getInt(0, FirstPlan::ORDERS - 1), $this->noise());
        $filled->out = [];
        $kinds = array_keys($this->lay->kinds);
        $filled->put($pieces, $this->anyFit(), count($kinds) > 1 ? $this->chance->shuffleArray($kinds) : $kinds, $limit - 1e-9, $this->passes());
    }

    /** The sheet that holds least for its money; those that cost nothing stay. */
    private function emptiest(Filled $filled): ?int
    {
        $least = null;
        foreach ($filled->sheets as $s => $sheet) {
            $price = $sheet->of->stock->price;
            $worth = $price > 0.0 ? $sheet->filled($this->lay->types) / $price : INF;
            if ($worth < INF && ($least === null || $worth < $least[1])) {
                $least = [$s, $worth];
            }
        }

        return $least[0] ?? null;
    }

    /**
     * Takes pieces out of one to three sheets: all of a sheet, or some that lie beside each other, or some anywhere on it.
     *
     * @param  bool  $givesBack  whether an emptied sheet may be given back, for one of another kind
     * @return list<int> their types
     */
    private function ruined(Filled $filled, bool $givesBack): array
    {
        $taken = [];
        $sheets = count($filled->sheets);
        for ($n = min($sheets, $this->chance->getInt(1, self::MOST_SHEETS)); $n > 0 && $filled->sheets !== []; $n--) {
            $s = $this->chance->getInt(0, count($filled->sheets) - 1);
            $root = $filled->sheets[$s]->root;
            if ($root === null) {
                continue;
            }
            $types = $root->types();
            if ($this->share() < self::WHOLE) {
                array_push($taken, ...$types);
                $isBack = $givesBack && $this->share() < 0.5;
                $filled->replace($s, $isBack ? null : $filled->sheets[$s]->with(null));
                continue;
            }
            $some = $this->some(count($types));
            array_push($taken, ...array_values(array_intersect_key($types, $some)));
            $filled->replace($s, $filled->sheets[$s]->with($root->without($some, $this->lay->kerf)));
        }

        return $taken;
    }

    /** @return array<int, true> numbers of some of so many pieces: neighbours in the tree's order, or any */
    private function some(int $count): array
    {
        $size = min($count, $this->chance->getInt(1, self::MOST_PIECES));
        if ($this->share() < 0.5) {
            $from = $this->chance->getInt(0, $count - $size);

            return array_fill($from, $size, true);
        }
        $some = [];
        while (count($some) < $size) {
            $some[$this->chance->getInt(0, $count - 1)] = true;
        }

        return $some;
    }

    private function share(): float
    {
        return $this->chance->getInt(0, 0xFFFFFF) / 0x1000000;
    }

    private function anyFit(): Fit
    {
        return Fit::cases()[$this->chance->getInt(0, 3)];
    }

    /** @return \Closure(): float */
    private function noise(): \Closure
    {
        return fn (): float => 1.0 + 0.2 * $this->share();
    }

    /** @return \Closure(): bool */
    private function passes(): \Closure
    {
        return fn (): bool => $this->share() < self::PASSED;
    }
}
