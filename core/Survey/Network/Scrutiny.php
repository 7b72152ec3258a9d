<?php

declare(strict_types=1);

namespace Incastro\Survey\Network;

/**
 * Finds the readings that the others prove wrong, and those of which one is wrong and nothing says which (handbook,
 * "Adjusting the readings"). Accusation rests on the normalised residuals alone, at a family-wise 5 %: the largest is
 * struck, the rest solved again. Before settling, pairs of strikes are tried, since two slips can hide each other.
 */
final readonly class Scrutiny
{
    /** Residuals with a correlation of this size cannot be told apart. */
    private const TIED = 0.95;

    /** How much more of the sum of squares a pair must explain to be preferred to the two largest one after another. */
    private const CLEARLY_MORE = 0.5;

    /** Degrees of freedom that must remain for two strikes to be proven. */
    public const PROOF = 2;

    private const MOST_STRIKES = 12;

    /**
     * @param  \Closure(list<Observation>): Adjusted  $solve
     * @param  \Closure(string, float, float): ?Slip  $explain  the slip that explains an error with its σ of a reading
     * @param  list<Observation>  $candidates  readings not taken yet that could decide
     * @param  (\Closure(string, float, float): bool)|null  $waits  whether a reading with an error and its σ is taken again before it is struck
     */
    public function __construct(private \Closure $solve, private \Closure $explain, private array $candidates = [], private ?\Closure $waits = null)
    {
    }

    /**
     * @param  list<Observation>  $observations
     *
     * @throws Undetermined
     */
    public function of(array $observations): Scrutinised
    {
        $kept = $observations;
        $struck = $undecided = [];
        $tooFew = false;
        $adjusted = $first = ($this->solve)($kept);
        for ($strike = 0; $strike < self::MOST_STRIKES; $strike++) {
            $residuals = new Residuals($adjusted);
            $k = $residuals->largest();
            if ($k === null || abs($residuals->normalised($k)) <= Normal::familyWise(count($residuals->checked))) {
                break;
            }
            [$left, $next] = $residuals->largestWithout($k);
            if ($next !== null && $left > Normal::familyWise(count($residuals->checked) - 1)) {
                if ($adjusted->degreesOfFreedom() - 2 < self::PROOF) {
                    $undecided[] = $this->pairSet($residuals, $adjusted);
                    $tooFew = true;
                    break;
                }
                $k = $this->betterOfPair($residuals, $k, $next);
            }
            $tied = $residuals->tiedWith($k, self::TIED);
            $waits = $this->waits !== null && ($this->waits)($adjusted->observations[$k]->id, $residuals->error($k), $residuals->sigmaOfError($k));
            if (count($tied) > 1 || $waits) {
                $undecided[] = $this->set($residuals, $adjusted, $tied);
            } else {
                $struck[] = $adjusted->observations[$k];
            }
            // Those of a tie, and what waits, come back in the end; without one of them the search for others goes on.
            $kept = array_values(array_filter($kept, fn (Observation $observation) => $observation !== $adjusted->observations[$k]));
            try {
                $adjusted = ($this->solve)($kept);
            } catch (Undetermined) {
                break;
            }
        }

        return $this->settled($observations, $struck, $undecided, $tooFew, $first);
    }

    /**
     * Solves without the struck, takes back those that the rest does not contradict after all, and estimates the errors.
     *
     * @param  list<Observation>  $observations
     * @param  list<Observation>  $struck
     * @param  list<UndecidedSet>  $undecided
     */
    private function settled(array $observations, array $struck, array $undecided, bool $tooFew, Adjusted $first): Scrutinised
    {
        do {
            try {
                $adjusted = $struck === [] ? $first : ($this->solve)(array_values(array_filter($observations, fn (Observation $observation) => ! in_array($observation, $struck, true))));
            } catch (Undetermined) {
                return new Scrutinised($first, [], $undecided, true);
            }
            $suspects = [];
            $innocent = null;
            foreach ($struck as $i => $observation) {
                $row = Adjustment::row($observation, $adjusted->unknowns);
                $error = $observation->value - $adjusted->predict($observation);
                $error -= $observation->isAngle ? 360.0 * round($error / 360.0) : 0.0;
                $sigma = hypot($observation->sigma, $adjusted->sigmaOf($row));
                $suspects[] = new Suspect($observation->id, $error, $sigma, ($this->explain)($observation->id, $error, $sigma)?->words);
                if (abs($error) / $sigma < Normal::familyWise(count($observations)) * 0.9 && $undecided === []) {
                    $innocent ??= $i;
                }
            }
            if ($innocent !== null) {
                array_splice($struck, $innocent, 1);
            }
        } while ($innocent !== null);

        return new Scrutinised($adjusted, $suspects, $undecided, $tooFew);
    }

    /** Of two slips that may hide each other, the one to strike first. */
    private function betterOfPair(Residuals $residuals, int $k, int $next): int
    {
        $greedy = $residuals->explainedByPair($k, $next) ?? 0.0;
        $best = [$greedy + self::CLEARLY_MORE, $k];
        foreach ($residuals->checked as $i) {
            foreach ($residuals->checked as $j) {
                if ($j >= $i) {
                    break;
                }
                $explained = $residuals->explainedByPair($i, $j);
                if ($explained !== null && $explained > $best[0]) {
                    $best = [$explained, abs($residuals->normalised($i)) >= abs($residuals->normalised($j)) ? $i : $j];
                }
            }
        }

        return $best[1];
    }

    /** @param non-empty-list<int> $tied */
    private function set(Residuals $residuals, Adjusted $adjusted, array $tied): UndecidedSet
    {
        $errors = array_map($residuals->error(...), $tied);
        $sigmas = array_map($residuals->sigmaOfError(...), $tied);

        return $this->undecided($adjusted, $tied, $errors, $sigmas);
    }

    /** More than one is wrong, and too little is left to prove which: all that could be one of two wrong ones. */
    private function pairSet(Residuals $residuals, Adjusted $adjusted): UndecidedSet
    {
        $pairs = [];
        $most = 0.0;
        foreach ($residuals->checked as $i) {
            foreach ($residuals->checked as $j) {
                $explained = $j < $i ? $residuals->explainedByPair($i, $j) : null;
                if ($explained !== null) {
                    $pairs[] = [$explained, $i, $j];
                    $most = max($most, $explained);
                }
            }
        }
        usort($pairs, fn (array $a, array $b) => $b[0] <=> $a[0]);
        $members = [];
        foreach ($pairs as [$explained, $i, $j]) {
            if ($explained < $most - Normal::familyWise(count($residuals->checked)) ** 2) {
                break;
            }
            [$errorI, $errorJ] = $residuals->errorsOfPair($i, $j);
            $members[$i] ??= $errorI;
            $members[$j] ??= $errorJ;
        }
        if ($members === []) {
            $members = array_combine($residuals->checked, array_map($residuals->error(...), $residuals->checked));
        }
        ksort($members);
        $indices = array_keys($members);
        assert($indices !== []);

        return $this->undecided($adjusted, $indices, array_values($members), array_map($residuals->sigmaOfError(...), $indices));
    }

    /**
     * @param  non-empty-list<int>  $members
     * @param  list<float>  $errors
     * @param  list<float>  $sigmas
     */
    private function undecided(Adjusted $adjusted, array $members, array $errors, array $sigmas): UndecidedSet
    {
        $slips = $likely = [];
        foreach ($members as $i => $k) {
            $slip = ($this->explain)($adjusted->observations[$k]->id, $errors[$i], $sigmas[$i]);
            $slips[] = $slip?->words;
            $likely[$i] = Slip::likelihood($errors[$i], $slip);
        }
        arsort($likely);
        $ids = array_map(fn (int $k) => $adjusted->observations[$k]->id, $members);

        return new UndecidedSet($ids, array_values($errors), $slips, $ids[array_key_first($likely)], $this->decider($adjusted, $members, $errors));
    }

    /**
     * The candidate that tells the most pairs of members apart, if more than a repeat of one member would: that
     * separates it from each of the others, and no other pair.
     *
     * If k alone is wrong by e, the unknowns are x − C·aₖ·e/σₖ², with C the covariance and aₖ its row.
     *
     * @param  non-empty-list<int>  $members
     * @param  list<float>  $errors
     */
    private function decider(Adjusted $adjusted, array $members, array $errors): ?string
    {
        $best = [count($members) - 1, null];
        foreach ($this->candidates as $candidate) {
            $row = Adjustment::row($candidate, $adjusted->unknowns);
            $sigma = hypot($candidate->sigma, $adjusted->sigmaOf($row));
            $shifts = [];
            foreach ($members as $i => $k) {
                $shifts[] = $adjusted->covarianceOf($row, $adjusted->rows[$k]) * $errors[$i] / $adjusted->observations[$k]->sigma ** 2;
            }
            sort($shifts);
            $pairs = 0;
            foreach ($shifts as $i => $shift) {
                for ($j = 0; $j < $i; $j++) {
                    $pairs += $shift - $shifts[$j] > 4 * $sigma ? 1 : 0;
                }
            }
            if ($pairs > $best[0]) {
                $best = [$pairs, $candidate->id];
            }
        }

        return $best[1];
    }
}
