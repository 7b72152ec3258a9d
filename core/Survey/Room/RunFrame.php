<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Geometry\Point;
use Incastro\Survey\ClearSpan;
use Incastro\Survey\Network\Adjustment;
use Incastro\Survey\Network\Normal;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Path;
use Incastro\Survey\Plan\PlanNetwork;

/**
 * The room as a run along one of its walls sees it, plumb and level: u left to right as one faces the wall, from its left
 * corner at the plan's height; v from the wall into the room; z up from the datum. Double millimetres.
 */
final class RunFrame
{
    /** A wall may be carried on past its corners by this much and still be met, mm: corners move with the height. */
    private const PAST_CORNERS = 5.0;

    /** @var array<string, array{float, array<int, float>}> */
    private array $met = [];

    /** @var array{left: list<int>, right: list<int>} walls that may stand on either side */
    private readonly array $sides;

    public function __construct(private readonly Room $room, public readonly int $wall)
    {
        $sides = ['left' => [], 'right' => []];
        $middle = $this->length() / 2;
        foreach ($room->shape->walls() as $other) {
            if ($other === $wall) {
                continue;
            }
            [$pu, $pv] = $this->place($room->corners[$other]);
            [$qu, $qv] = $this->place($room->corners[$room->shape->after($other)]);
            // A wall that runs along in front is no side.
            if (abs($qv - $pv) > 0.2 * abs($qu - $pu)) {
                $sides[($pu + $qu) / 2 < $middle ? 'left' : 'right'][] = $other;
            }
        }
        $this->sides = $sides;
    }

    /** Length of the wall at the plan's height. */
    public function length(): float
    {
        return $this->room->edgeLength($this->wall);
    }

    /**
     * u and v of a point of the plan.
     *
     * @return array{float, float}
     */
    public function place(Point $point): array
    {
        $origin = $this->room->corners[$this->room->shape->after($this->wall)];
        [$dx, $dy] = $this->room->network->direction($this->room->adjusted->unknowns, $this->wall);

        return [-$dx * ($point->x - $origin->x) - $dy * ($point->y - $origin->y), -$dy * ($point->x - $origin->x) + $dx * ($point->y - $origin->y)];
    }

    /** The point of the plan at u and v. */
    public function point(float $u, float $v): Point
    {
        return $this->room->network->spot($this->room->adjusted->unknowns, $this->wall, $u, $v);
    }

    public function leftAt(float $v, float $z, bool $withSkirting = false): float
    {
        return $this->side('left', $v, $z)[0] + ($withSkirting && $z < $this->room->skirtingHeight ? $this->room->skirtingThickness : 0.0);
    }

    public function rightAt(float $v, float $z, bool $withSkirting = false): float
    {
        return $this->side('right', $v, $z)[0] - ($withSkirting && $z < $this->room->skirtingHeight ? $this->room->skirtingThickness : 0.0);
    }

    /** Top of the skirting above the datum, where the floor is highest. */
    public function skirtingTop(): float
    {
        return $this->room->skirtingHeight;
    }

    public function skirtingThickness(): float
    {
        return $this->room->skirtingThickness;
    }

    /**
     * Heights at which a wall beside the run may bend, between two heights, those included: extremes lie there.
     *
     * @return list<float>
     */
    public function bendsBetween(float $from, float $to): array
    {
        $bends = [];
        foreach ([...$this->sides['left'], ...$this->sides['right']] as $wall) {
            $bends = [...$bends, ...(($this->room->network->fields[$wall] ?? null)?->bendsBetween($from, $to) ?? [])];
        }
        $bends = array_values(array_unique($bends));
        sort($bends);

        return [$from, ...$bends, $to];
    }

    /**
     * Depths at which a side may turn, between two depths, those included.
     *
     * @return list<float>
     */
    private function turnsBetween(float $from, float $to): array
    {
        $turns = [];
        foreach ($this->room->corners as $corner) {
            $v = $this->place($corner)[1];
            if ($v > $from + 1.0 && $v < $to - 1.0) {
                array_push($turns, $v - 0.5, $v + 0.5);
            }
        }
        $turns = array_values(array_unique($turns));
        sort($turns);

        return [$from, ...$turns, $to];
    }

    /** Depth at which the space opens, or at which a wall faces the run: the shallower side. */
    public function mouth(): float
    {
        return $this->mouthCorner()[1];
    }

    /** σ of that depth. */
    public function mouthSigma(): float
    {
        [$corner] = $this->mouthCorner();
        $shape = $this->room->shape;
        $depends = array_values(array_unique([...PlanNetwork::of($corner), ...PlanNetwork::of($this->wall), ...PlanNetwork::of($shape->after($this->wall))]));
        $out = new Observation('depth', 0.0, 1.0, $depends, function (array $x) use ($corner): float {
            $origin = PlanNetwork::at($x, $this->room->shape->after($this->wall));
            [$dx, $dy] = $this->room->network->direction($x, $this->wall);
            $p = PlanNetwork::at($x, $corner);

            return -$dy * ($p->x - $origin->x) + $dx * ($p->y - $origin->y);
        });

        return $this->room->adjusted->sigmaOf(Adjustment::row($out, $this->room->adjusted->unknowns));
    }

    /**
     * The corner that ends the shallower of the walls beside the run, and its depth.
     *
     * @return array{int, float}
     */
    private function mouthCorner(): array
    {
        $shape = $this->room->shape;
        $ends = [];
        foreach ([$shape->after($this->wall), $shape->before($this->wall)] as $i => $edge) {
            if ($shape->isWall($edge)) {
                $ends[] = $i === 0 ? $shape->after($edge) : $edge;
            }
        }
        $ends = $ends === [] ? [$shape->after($shape->after($this->wall))] : $ends;
        $best = [$ends[0], INF];
        foreach ($ends as $corner) {
            $v = $this->place($this->room->corners[$corner])[1];
            $best = $v < $best[1] ? [$corner, $v] : $best;
        }

        return $best;
    }

    /** All that the run's sides enclose, from its wall to the mouth and from the floor to the lowest ceiling. */
    public function wholePath(): Path
    {
        return new Path(0.0, $this->mouth(), 0.0, max(1.0, $this->lowestCeiling($this->mouth())[0]));
    }

    public function ceilingAt(float $u, float $v): float
    {
        return $this->room->levels->ceilingAt($this->point($u, $v));
    }

    public function ceilingSigmaAt(float $u, float $v): float
    {
        return $this->room->levels->ceilingSigmaAt($this->point($u, $v));
    }

    /**
     * The lowest ceiling over the run, from its wall out to a depth, and its σ.
     *
     * @return array{float, float}
     */
    public function lowestCeiling(float $toDepth): array
    {
        $best = [INF, 0.0];
        foreach ([0.0, $this->length()] as $u) {
            foreach ([0.0, $toDepth] as $v) {
                $height = $this->ceilingAt($u, $v);
                if ($height < $best[0]) {
                    $best = [$height, $this->ceilingSigmaAt($u, $v)];
                }
            }
        }

        return $best;
    }

    public function floorAt(float $u, float $v): float
    {
        return $this->room->levels->floorAt($this->point($u, $v));
    }

    public function floorSigmaAt(float $u, float $v): float
    {
        return $this->room->levels->floorSigmaAt($this->point($u, $v));
    }

    /** σ in mm of the distance from a side to anything placed by both sides, at a place. */
    public function sigmaAt(string $side, float $v, float $z): float
    {
        $weights = $this->side($side, $v, $z)[1];
        $heights = $this->bendsBetween(0.0, $this->lowestCeiling($this->mouth())[0]);
        foreach (['left', 'right'] as $other) {
            foreach ($heights as $height) {
                foreach ($this->side($other, $v, $height)[1] as $i => $weight) {
                    $weights[$i] = ($weights[$i] ?? 0.0) - $weight / (2 * count($heights));
                }
            }
        }

        return $this->room->adjusted->sigmaOf($weights);
    }

    /**
     * Clear span along a path. Walls are straight between bends, so the extremes lie at the corners of the path and at the
     * bends. U covers every pair of places, not only the tightest: a pair 1 mm wider but known 3 mm worse may be the one
     * that binds.
     */
    public function span(Path $path, bool $withSkirting = false): ClearSpan
    {
        $heights = $this->bendsBetween($path->bottom, $path->top);
        if ($withSkirting && $this->skirtingTop() > $path->bottom) {
            $heights[] = min($path->top, $this->skirtingTop() - 1e-3);
        }
        $places = [];
        foreach ($this->turnsBetween($path->back, $path->front) as $v) {
            foreach ($heights as $z) {
                $places[] = [$v, $z];
            }
        }
        $safe = INF;
        $best = null;
        foreach ($places as $l) {
            $left = $this->leftAt($l[0], $l[1], $withSkirting);
            foreach ($places as $r) {
                $right = $this->rightAt($r[0], $r[1], $withSkirting);
                $weights = RoomNetwork::difference($this->side('right', $r[0], $r[1])[1], $this->side('left', $l[0], $l[1])[1]);
                $safe = min($safe, $right - $left - Normal::ONE_SIDED_95 * $this->room->adjusted->sigmaOf($weights));
                if ($best === null || $right - $left < $best[0] - 1e-6) {
                    $best = [$right - $left, $left, $right, $l, $r, $weights];
                }
            }
        }
        assert($best !== null);

        return new ClearSpan($best[0], $best[0] - $safe, $best[1], $best[2], $best[3][0], $best[3][1], $best[4][0], $best[4][1], $best[5]);
    }

    /**
     * Where the nearest wall on a side stands at a place, and how that depends on the unknowns.
     *
     * @return array{float, array<int, float>}
     */
    private function side(string $side, float $v, float $z): array
    {
        return $this->met["$side $v $z"] ??= $this->nearest($side, $v, $z);
    }

    /** @return array{float, array<int, float>} */
    private function nearest(string $side, float $v, float $z): array
    {
        $x = $this->room->adjusted->unknowns;
        $sign = $side === 'left' ? 1 : -1;
        $best = null;
        foreach ($this->reaching($side, $v) as $wall) {
            $u = $this->room->network->meets($x, $wall, $z, $this->wall, $v);
            if ($u !== null && ($best === null || $sign * $u > $sign * $best[0])) {
                $best = [$u, $wall];
            }
        }
        if ($best === null) {
            // An open side ends where the wall does.
            $u = $side === 'left' ? 0.0 : $this->length();
            $corner = new Observation(
                'end',
                0.0,
                1.0,
                $side === 'left' ? [] : [...PlanNetwork::of($this->wall), ...PlanNetwork::of($this->room->shape->after($this->wall))],
                fn (array $x): float => PlanNetwork::at($x, $this->wall)->distanceTo(PlanNetwork::at($x, $this->room->shape->after($this->wall)))
            );

            return [$u, $side === 'left' ? [] : Adjustment::row($corner, $x)];
        }
        $wall = $best[1];
        $depends = array_values(array_unique([...$this->room->network->dependsOfWall($wall), ...PlanNetwork::of($this->wall), ...PlanNetwork::of($this->room->shape->after($this->wall))]));
        $along = new Observation('side', 0.0, 1.0, $depends, fn (array $x): float => $this->room->network->meets($x, $wall, $z, $this->wall, $v) ?? 0.0);

        return [$best[0], Adjustment::row($along, $x)];
    }

    /**
     * The walls on a side that reach this depth; where none does, the one beside the run's own wall, carried on.
     *
     * @return list<int>
     */
    private function reaching(string $side, float $v): array
    {
        $shape = $this->room->shape;
        $reaching = array_values(array_filter($this->sides[$side], function (int $wall) use ($v, $shape): bool {
            $ends = [$this->place($this->room->corners[$wall])[1], $this->place($this->room->corners[$shape->after($wall)])[1]];

            return $v > min($ends) - self::PAST_CORNERS && $v < max($ends) + self::PAST_CORNERS;
        }));
        $beside = $side === 'left' ? $shape->after($this->wall) : $shape->before($this->wall);

        return $reaching === [] && in_array($beside, $this->sides[$side], true) ? [$beside] : $reaching;
    }
}
