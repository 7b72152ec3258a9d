<?php

declare(strict_types=1);

namespace Incastro\Survey\Plan;

use Incastro\Geometry\Polygon;
use Incastro\Survey\Network\Adjusted;
use Incastro\Survey\Network\Adjustment;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Network\Scrutinised;
use Incastro\Survey\Network\Scrutiny;
use Incastro\Survey\Network\Slip;
use Incastro\Survey\Network\Suspect;
use Incastro\Survey\Network\UndecidedSet;
use Incastro\Survey\Network\Undetermined;
use Incastro\Survey\Slips;

/** Turns sides, diagonals and angles, all at one height, into the corners of a plan, and says which reading is wrong. */
final readonly class PlanSurvey
{
    /** σ of a corner that stands nowhere in particular, mm, and how large a σ betrays one. */
    private const ANYWHERE = 3000.0;

    private const FLOATS = 150.0;

    private const TRIES = 6;

    private PlanNetwork $network;

    private PlanWords $words;

    /** @var array<string, PlanReading> */
    private array $readings;

    /**
     * @param  list<string>  $names  of the corners
     * @param  list<PlanReading>  $readings
     */
    public function __construct(private array $names, array $readings, private bool $isInch)
    {
        $this->network = new PlanNetwork(count($names));
        $this->words = new PlanWords($names);
        $byId = [];
        foreach ($readings as $reading) {
            $byId[$reading->id] = $reading;
        }
        $this->readings = $byId;
    }

    public function solve(): PlanSolution
    {
        $contradictions = new Contradictions(array_values($this->readings));
        $told = $contradictions->told(array_values($this->readings), $this->misfitWithout(...));
        $excluded = $told === null ? $contradictions->toLeaveOut() : [$told];
        $out = $told === null ? ($contradictions->culprits() ?: $excluded) : [$told];
        $kept = array_values(array_filter($this->readings, fn (PlanReading $reading) => ! in_array($reading, $excluded, true)));
        $findings = $told === null ? $this->words->contradictions($contradictions) : [];
        $best = $this->best($kept);
        if ($best === null) {
            return new PlanSolution([], [], null, $excluded === [] ? $this->floating($kept) : $findings);
        }
        $scrutinised = $this->scrutinised($kept, $best);
        if ($excluded !== []) {
            $scrutinised = $this->withExcluded($scrutinised, $out, $excluded);
        }

        return $this->solution($scrutinised, $findings);
    }

    /** How much the others disagree without a reading; null where they do not make a plan, or one of them is accused. */
    private function misfitWithout(PlanReading $reading): ?float
    {
        $kept = array_values(array_filter($this->readings, fn (PlanReading $other) => $other !== $reading));
        $best = $this->best($kept);

        return $best !== null && $this->badness($best) < 1e4 && $this->scrutinised($kept, $best)->isConsistent() ? $best->sumOfSquares() : null;
    }

    /**
     * @param  list<PlanReading>  $readings
     * @return list<Observation>
     */
    private function observations(array $readings): array
    {
        return array_map($this->network->observation(...), $readings);
    }

    /**
     * The solution that disagrees least among those that the guesses lead to; null where the readings do not determine one.
     *
     * @param  list<PlanReading>  $readings
     */
    private function best(array $readings): ?Adjusted
    {
        $observations = $this->observations($readings);
        $best = null;
        foreach (array_slice((new StartingPolygon(count($this->names), $readings))->guesses(), 0, self::TRIES) as $guess) {
            try {
                $adjusted = Adjustment::solve($observations, PlanNetwork::unknownsOf($guess));
            } catch (Undetermined) {
                continue;
            }
            if ($best === null || $this->badness($adjusted) < $this->badness($best)) {
                $best = $adjusted;
            }
            if ($best->sumOfSquares() <= 9.0 * max(1, $best->degreesOfFreedom()) && $this->polygon($best)->isSimple()) {
                break;
            }
        }

        return $best;
    }

    private function badness(Adjusted $adjusted): float
    {
        $polygon = $this->polygon($adjusted);

        return $adjusted->sumOfSquares() + ($polygon->isSimple() ? 0.0 : 1e4) + ($polygon->signedArea() > 0 ? 0.0 : 1e4);
    }

    private function polygon(Adjusted $adjusted): Polygon
    {
        return new Polygon(array_map(fn (int $corner) => PlanNetwork::at($adjusted->unknowns, $corner), array_keys($this->names)));
    }

    /** @param list<PlanReading> $readings */
    private function scrutinised(array $readings, Adjusted $best): Scrutinised
    {
        $candidates = array_map(fn (array $candidate) => $candidate[1], array_values($this->network->candidates(array_values($this->readings))));

        return (new Scrutiny(
            fn (array $observations) => $observations === $best->observations ? $best : Adjustment::solve($observations, $best->unknowns),
            $this->slip(...),
            $candidates,
        ))->of($best->observations);
    }

    private function slip(string $id, float $error, float $sigma): ?Slip
    {
        $reading = $this->readings[$id];
        if ($reading->kind === PlanKind::Corner) {
            return Slips::explain($error, $sigma, $reading->value, $reading->outside ? '' : $reading->typed, $reading->tool, false);
        }

        return Slips::explain($error, $sigma, $reading->value, $reading->typed, $reading->tool, $this->isInch);
    }

    /**
     * A reading that no plan could hold is a suspect when it alone explains every contradiction, else one of a set.
     *
     * @param  list<PlanReading>  $culprits
     * @param  list<PlanReading>  $excluded
     */
    private function withExcluded(Scrutinised $rest, array $culprits, array $excluded): Scrutinised
    {
        $errors = [];
        foreach ($culprits as $reading) {
            $observation = $this->network->observation($reading);
            $errors[$reading->id] = $reading->value - $rest->adjusted->predict($observation);
        }
        if (count($culprits) === count($excluded)) {
            $suspects = array_map(function (PlanReading $reading) use ($rest, $errors): Suspect {
                $observation = $this->network->observation($reading);
                $sigma = hypot($observation->sigma, $rest->adjusted->sigmaOf(Adjustment::row($observation, $rest->adjusted->unknowns)));

                return new Suspect($reading->id, $errors[$reading->id], $sigma, $this->slip($reading->id, $errors[$reading->id], $sigma)?->words);
            }, $culprits);

            return new Scrutinised($rest->adjusted, [...$suspects, ...$rest->suspects], $rest->undecided, $rest->tooFew);
        }
        $ids = array_map(fn (PlanReading $reading) => $reading->id, $culprits);
        assert($ids !== []);
        $set = new UndecidedSet($ids, array_values($errors), array_fill(0, count($ids), null), $excluded[0]->id, null);

        return new Scrutinised($rest->adjusted, $rest->suspects, [$set, ...$rest->undecided], $rest->tooFew);
    }

    /** @param list<string> $findings */
    private function solution(Scrutinised $scrutinised, array $findings): PlanSolution
    {
        $adjusted = $scrutinised->adjusted;
        $sigmas = [];
        foreach (array_keys($this->names) as $corner) {
            $sigmas[] = sqrt(array_sum(array_map(fn (int $i) => $adjusted->covariance[$i][$i], PlanNetwork::of($corner))));
        }
        $polygon = $this->polygon($adjusted);

        return new PlanSolution($polygon->points, $sigmas, $scrutinised, [
            ...$findings,
            ...$this->words->crossing($polygon->crossing()),
            ...$this->words->takes(array_values($this->readings)),
            ...$this->words->accusations($scrutinised, $this->readings, $this->network),
            ...$this->unchecked($adjusted),
        ]);
    }

    /** @return list<string> */
    private function unchecked(Adjusted $adjusted): array
    {
        $unchecked = [];
        foreach ($adjusted->observations as $k => $observation) {
            if ($adjusted->redundancy($k) < 0.01) {
                $unchecked[$k] = $this->readings[$observation->id];
            }
        }
        if ($unchecked === []) {
            return [];
        }
        $candidates = $this->network->candidates(array_values($this->readings));
        $best = MostHelpful::check($adjusted, array_keys($unchecked), array_map(fn (array $candidate) => $candidate[1], $candidates));

        return $this->words->unchecked(array_values($unchecked), $best === null ? null : $candidates[$best][0]);
    }

    /**
     * Which corners float, and which readings would fix them.
     *
     * @param  list<PlanReading>  $readings
     * @return list<string>
     */
    private function floating(array $readings): array
    {
        $guess = (new StartingPolygon(count($this->names), $readings))->guesses()[0];
        $observations = $this->observations($readings);
        $candidates = $this->network->candidates(array_values($this->readings));
        $floats = $asked = [];
        for ($more = 0; $more <= $this->network->unknowns(); $more++) {
            $adjusted = Adjustment::solve($observations, PlanNetwork::unknownsOf($guess), self::ANYWHERE);
            $loose = array_values(array_filter(array_keys($this->names), fn (int $corner) => array_filter(PlanNetwork::of($corner), fn (int $i) => $adjusted->covariance[$i][$i] > self::FLOATS ** 2) !== []));
            $floats = $more === 0 ? $loose : $floats;
            $best = $loose === [] ? null : MostHelpful::position($adjusted, array_map(fn (array $candidate) => $candidate[1], $candidates));
            if ($best === null) {
                break;
            }
            $asked[] = $candidates[$best][0];
            $observations[] = $this->asIfTaken($candidates[$best][1], $adjusted);
            unset($candidates[$best]);
        }

        return $this->words->floating($floats, $asked);
    }

    private function asIfTaken(Observation $candidate, Adjusted $adjusted): Observation
    {
        return new Observation($candidate->id, $adjusted->predict($candidate), $candidate->sigma, $candidate->depends, $candidate->predict, $candidate->isAngle);
    }
}
