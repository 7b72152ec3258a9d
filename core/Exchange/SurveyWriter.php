<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Survey\Network\Adjusted;
use Incastro\Survey\Network\Adjustment;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Network\Suspect;
use Incastro\Survey\Network\UndecidedSet;
use Incastro\Survey\Plan\PlanNetwork;
use Incastro\Survey\Plan\PlanReading;
use Incastro\Survey\Plan\PlanSolution;

/** Writes the solution of a plan's readings as JSON: mm, and degrees of corners. */
final readonly class SurveyWriter
{
    private PlanNetwork $network;

    public function __construct(private SurveyFile $survey)
    {
        $this->network = new PlanNetwork(count($survey->corners));
    }

    /** @return array<string, mixed> */
    public function write(PlanSolution $solution): array
    {
        $corners = [];
        foreach ($solution->corners as $i => $point) {
            $corners[$this->survey->corners[$i]] = ['x_mm' => self::rounded($point->x), 'y_mm' => self::rounded($point->y), 'sigma_mm' => self::rounded($solution->sigmas[$i])];
        }
        $scrutinised = $solution->scrutinised;

        return [
            'corners' => (object) $corners,
            'readings' => $scrutinised === null ? [] : array_map(fn (PlanReading $reading) => $this->reading($reading, $scrutinised->adjusted), $this->survey->readings),
            'degrees_of_freedom' => $scrutinised === null ? 0 : $scrutinised->adjusted->degreesOfFreedom(),
            'global_test' => $scrutinised === null ? null : self::rounded($scrutinised->adjusted->sumOfSquares()),
            'consistent' => $scrutinised !== null && $scrutinised->isConsistent(),
            'suspects' => array_map(fn (Suspect $suspect) => [
                'id' => $suspect->id, 'error' => self::rounded($suspect->error), 'sigma' => self::rounded($suspect->sigma), 'explanation' => $suspect->slip,
            ], $scrutinised->suspects ?? []),
            'undecided' => array_map($this->undecided(...), $scrutinised->undecided ?? []),
            'findings' => $solution->findings,
        ];
    }

    /** @return array<string, mixed> */
    private function reading(PlanReading $reading, Adjusted $adjusted): array
    {
        $observation = $this->network->observation($reading);
        $k = array_search($reading->id, array_map(fn (Observation $observation) => $observation->id, $adjusted->observations), true);
        $value = $adjusted->predict($observation);
        $residual = $value - $reading->value;
        // One that was struck is compared with what the others say: that is the redundancy it would have among them.
        $variance = $observation->sigma ** 2;
        $others = $adjusted->sigmaOf(Adjustment::row($observation, $adjusted->unknowns)) ** 2;
        $redundancy = $k === false ? $variance / ($variance + $others) : $adjusted->redundancy($k);
        $visible = $k === false ? 4.9 * $observation->sigma / sqrt($redundancy) : $adjusted->smallestVisible($k);

        return [
            'id' => $reading->id, 'adjusted' => self::rounded($value), 'residual' => self::rounded($residual), 'redundancy' => self::rounded($redundancy),
            'normalised' => self::rounded($k === false ? abs($residual) / sqrt($variance + $others) : $adjusted->normalised($k)),
            'smallest_visible' => $visible === null ? null : self::rounded($visible),
        ];
    }

    /** @return array<string, mixed> */
    private function undecided(UndecidedSet $set): array
    {
        $new = $set->newReading === null ? null : $this->network->candidates($this->survey->readings)[$set->newReading][0];
        $name = fn (?int $corner) => $corner === null ? null : $this->survey->corners[$corner];

        return [
            'ids' => $set->ids,
            'errors' => array_map(self::rounded(...), $set->errors),
            'explanations' => $set->slips,
            'take_again' => $set->takeAgain,
            'new_reading' => $new === null ? null : ['kind' => $new->kind->value, 'from' => $name($new->from), 'to' => $name($new->to), 'at' => $name($new->at)],
        ];
    }

    private static function rounded(float $value): float
    {
        return round($value, 3) + 0.0;
    }
}
