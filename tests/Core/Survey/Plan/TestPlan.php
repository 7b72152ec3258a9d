<?php

declare(strict_types=1);

namespace Tests\Core\Survey\Plan;

use Incastro\Survey\Plan\PlanKind;
use Incastro\Survey\Plan\PlanReading;
use Incastro\Survey\Plan\PlanSolution;
use Incastro\Survey\Plan\PlanSurvey;
use Incastro\Survey\Tool;
use Incastro\Trial\Dice;

/** A made-up plan whose corners are known, and the readings that a tape with σ of its own gives of it. */
final class TestPlan
{
    /** @var list<PlanReading> */
    public array $readings = [];

    /** @param list<array{float, float}> $corners mm, anticlockwise */
    public function __construct(public readonly array $corners)
    {
    }

    public static function rectangle(float $width = 1830.0, float $depth = 1220.0): self
    {
        return new self([[0.0, 0.0], [$width, 0.0], [$width, $depth], [0.0, $depth]]);
    }

    /** A pentagon with no two sides alike. */
    public static function pentagon(): self
    {
        return new self([[0.0, 0.0], [2000.0, 0.0], [2300.0, 1400.0], [1100.0, 2200.0], [-300.0, 1250.0]]);
    }

    /** Corners at even angles about a middle, each pushed in and out at random: seeded, never crossing. */
    public static function random(int $corners, Dice $dice): self
    {
        $points = [];
        for ($i = 0; $i < $corners; $i++) {
            $angle = 2 * M_PI * ($i + $dice->between(-0.2, 0.2)) / $corners;
            $radius = $dice->between(1100.0, 1900.0);
            $points[] = [$radius * cos($angle), $radius * sin($angle)];
        }

        return new self($points);
    }

    public function distance(int $from, int $to): float
    {
        return hypot($this->corners[$to][0] - $this->corners[$from][0], $this->corners[$to][1] - $this->corners[$from][1]);
    }

    /** Interior angle in degrees. */
    public function angle(int $at): float
    {
        $n = count($this->corners);
        [$p, $next, $before] = [$this->corners[$at], $this->corners[($at + 1) % $n], $this->corners[($at + $n - 1) % $n]];
        $angle = rad2deg(atan2($before[1] - $p[1], $before[0] - $p[0]) - atan2($next[1] - $p[1], $next[0] - $p[0]));

        return $angle < 0 ? $angle + 360.0 : $angle;
    }

    public function read(int $from, int $to, float $error = 0.0): self
    {
        $n = count($this->corners);
        $isSide = in_array(abs($from - $to), [1, $n - 1], true);
        $value = $this->distance($from, $to) + $error;
        $this->readings[] = new PlanReading(self::name($from).self::name($to).($this->count($from, $to) ?: ''), $isSide ? PlanKind::Side : PlanKind::Diagonal, $from, $to, null, $value, sprintf('%.0f', $value), Tool::Tape);

        return $this;
    }

    public function gauge(int $at, float $error = 0.0): self
    {
        $n = count($this->corners);
        $value = $this->angle($at) + $error;
        $this->readings[] = new PlanReading('at '.self::name($at), PlanKind::Corner, ($at + $n - 1) % $n, ($at + 1) % $n, $at, $value, sprintf('%.1f', $value), Tool::Gauge);

        return $this;
    }

    public function sides(): self
    {
        foreach (array_keys($this->corners) as $i) {
            $this->read($i, ($i + 1) % count($this->corners));
        }

        return $this;
    }

    /** Diagonals with an end at one of the first corners; all of them by default. */
    public function diagonals(?int $first = null): self
    {
        $n = count($this->corners);
        for ($i = 0; $i < min($n, $first ?? $n); $i++) {
            for ($j = $i + 2; $j < $n; $j++) {
                if ($j - $i !== $n - 1) {
                    $this->read($i, $j);
                }
            }
        }

        return $this;
    }

    /** The same reading with an error in it. */
    public function slip(int $reading, float $error): self
    {
        $old = $this->readings[$reading];
        $this->readings[$reading] = new PlanReading($old->id, $old->kind, $old->from, $old->to, $old->at, $old->value + $error, sprintf('%.0f', $old->value + $error), $old->tool);

        return $this;
    }

    /** Every tape with an error of its σ. */
    public function noisy(Dice $dice): self
    {
        foreach (array_keys($this->readings) as $i) {
            $this->slip($i, $dice->normal($this->readings[$i]->sigma()));
        }

        return $this;
    }

    public function solve(): PlanSolution
    {
        return (new PlanSurvey(array_map(self::name(...), array_keys($this->corners)), $this->readings, false))->solve();
    }

    /** @return list<string> */
    public static function suspects(PlanSolution $solution): array
    {
        return array_map(fn ($suspect) => $suspect->id, $solution->scrutinised->suspects ?? []);
    }

    private function count(int $from, int $to): int
    {
        return count(array_filter($this->readings, fn (PlanReading $reading) => $reading->at === null && [$reading->from, $reading->to] === [$from, $to]));
    }

    private static function name(int $corner): string
    {
        return chr(ord('A') + $corner);
    }
}
