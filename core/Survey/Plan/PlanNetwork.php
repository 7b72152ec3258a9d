<?php

declare(strict_types=1);

namespace Incastro\Survey\Plan;

use Incastro\Geometry\Point;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Tool;

/**
 * The corners of a plan as unknowns of an adjustment: the first lies at the origin and the second on the positive x axis,
 * so they take 2n − 3. Makes observations of readings between corners.
 */
final readonly class PlanNetwork
{
    public function __construct(public int $corners)
    {
    }

    public function unknowns(): int
    {
        return 2 * $this->corners - 3;
    }

    /** @return list<int> the unknowns of a corner: none, its x, or its x and y */
    public static function of(int $corner): array
    {
        return match ($corner) {
            0 => [],
            1 => [0],
            default => [2 * $corner - 3, 2 * $corner - 2],
        };
    }

    /** @param array<int, float> $x */
    public static function at(array $x, int $corner): Point
    {
        return match ($corner) {
            0 => new Point(0.0, 0.0),
            1 => new Point($x[0], 0.0),
            default => new Point($x[2 * $corner - 3], $x[2 * $corner - 2]),
        };
    }

    /**
     * @param  list<Point>  $points  of a polygon whose first side is its x axis
     * @return list<float>
     */
    public static function unknownsOf(array $points): array
    {
        $x = [];
        foreach ($points as $corner => $point) {
            foreach (self::of($corner) as $k => $i) {
                $x[$i] = $k === 0 ? $point->x : $point->y;
            }
        }

        return array_values($x);
    }

    public function observation(PlanReading $reading): Observation
    {
        return match ($reading->kind) {
            PlanKind::Corner => $this->angle($reading->id, $reading->value, $reading->sigma(), (int) $reading->at, $reading->from, $reading->to),
            PlanKind::ThreeFourFive => $this->longSide($reading),
            PlanKind::Offset => $this->offset($reading),
            default => $this->distance($reading->id, $reading->value, $reading->sigma(), $reading->from, $reading->to),
        };
    }

    public function distance(string $id, float $value, float $sigma, int $from, int $to): Observation
    {
        return new Observation($id, $value, $sigma, [...self::of($from), ...self::of($to)], function (array $x) use ($from, $to): float {
            $a = self::at($x, $from);
            $b = self::at($x, $to);

            return hypot($b->x - $a->x, $b->y - $a->y);
        });
    }

    public function angle(string $id, float $value, float $sigma, int $at, int $from, int $to): Observation
    {
        return new Observation($id, $value, $sigma, [...self::of($at), ...self::of($from), ...self::of($to)], fn (array $x): float => rad2deg($this->interior($x, $at, $from, $to)), true);
    }

    /**
     * Interior angle in radians, 0 to 2π, of the polygon at a corner, whichever end is named first.
     *
     * @param  array<int, float>  $x
     */
    private function interior(array $x, int $at, int $from, int $to): float
    {
        // The polygon goes round anticlockwise: seen from a corner, its inside opens from the next corner to the one before.
        $isForward = ($from - $at + $this->corners) % $this->corners <= ($to - $at + $this->corners) % $this->corners;
        [$next, $before] = $isForward ? [$from, $to] : [$to, $from];

        return self::at($x, $at)->turn(self::at($x, $next), self::at($x, $before));
    }

    private function longSide(PlanReading $reading): Observation
    {
        $at = (int) $reading->at;
        [$a, $b] = $reading->legs ?? [0.0, 0.0];

        // Law of cosines. A reflex corner has the same cosine as what it lacks of a whole turn.
        return new Observation(
            $reading->id,
            $reading->value,
            $reading->sigma(),
            [...self::of($at), ...self::of($reading->from), ...self::of($reading->to)],
            fn (array $x): float => sqrt(max(1e-6, $a ** 2 + $b ** 2 - 2 * $a * $b * cos($this->interior($x, $at, $reading->from, $reading->to))))
        );
    }

    private function offset(PlanReading $reading): Observation
    {
        $at = (int) $reading->at;

        return new Observation($reading->id, $reading->value, $reading->sigma(), [...self::of($at), ...self::of($reading->from), ...self::of($reading->to)], function (array $x) use ($at, $reading): float {
            $p = self::at($x, $at);
            $a = self::at($x, $reading->from);
            $b = self::at($x, $reading->to);

            return abs(($b->x - $a->x) * ($p->y - $a->y) - ($b->y - $a->y) * ($p->x - $a->x)) / max(1e-6, hypot($b->x - $a->x, $b->y - $a->y));
        });
    }

    /**
     * Readings not taken yet that a person could take: sides and diagonals by tape, corners by gauge.
     *
     * @param  list<PlanReading>  $taken
     * @return array<string, array{PlanReading, Observation}> by id
     */
    public function candidates(array $taken): array
    {
        $has = [];
        foreach ($taken as $reading) {
            $has[($reading->kind->isDistance() ? 'd' : 'c').min($reading->from, $reading->to).'-'.max($reading->from, $reading->to).'-'.$reading->at] = true;
        }
        $candidates = [];
        $offer = function (PlanReading $reading, Observation $observation) use (&$candidates): void {
            $candidates[$reading->id] = [$reading, $observation];
        };
        for ($i = 0; $i < $this->corners; $i++) {
            for ($j = $i + 1; $j < $this->corners; $j++) {
                if (! isset($has["d$i-$j-"])) {
                    $isSide = $j === $i + 1 || ($i === 0 && $j === $this->corners - 1);
                    $reading = new PlanReading("candidate-$i-$j", $isSide ? PlanKind::Side : PlanKind::Diagonal, $i, $j, null, 0.0, '', Tool::Tape);
                    $offer($reading, $this->distance($reading->id, 0.0, Tool::Tape->sigma(2000.0), $i, $j));
                }
            }
            $before = ($i + $this->corners - 1) % $this->corners;
            $next = ($i + 1) % $this->corners;
            if (! isset($has['c'.min($before, $next).'-'.max($before, $next)."-$i"])) {
                $reading = new PlanReading("candidate-at-$i", PlanKind::Corner, $before, $next, $i, 0.0, '', Tool::Gauge);
                $offer($reading, $this->angle($reading->id, 0.0, Tool::Gauge->sigma(0.0), $i, $before, $next));
            }
        }

        return $candidates;
    }
}
