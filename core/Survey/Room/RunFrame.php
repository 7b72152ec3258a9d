<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Geometry\Frame;
use Incastro\Geometry\Point;
use Incastro\Geometry\Solid;
use Incastro\Survey\ClearSpan;
use Incastro\Survey\Path;

/**
 * The room as a run along one of its walls sees it, plumb and level: u left to right as one faces the wall, from its left
 * corner at the plan's height; v from the wall into the room; z up from the datum. Double millimetres.
 */
final class RunFrame
{
    /** σ of the line of a wall that nobody looked at, mm. */
    private const UNSEEN = 6.0;

    /** A wall turns off when it goes out by more than this for each mm along: 11°. */
    private const TURNS = 0.2;

    private readonly Sides $sides;

    /** Its place in the room: the wall is drawn against u. */
    public readonly Frame $stands;

    private readonly Faces $faces;

    /** @param list<Face> $faces  what lies close on walls of the room: it is met instead of the walls themselves */
    public function __construct(private readonly Room $room, public readonly int $wall, array $faces = [])
    {
        $this->faces = new Faces($room, $faces);
        [$dx, $dy] = $room->network->direction($room->adjusted->unknowns, $wall);
        $this->stands = new Frame($room->corners[$room->shape->after($wall)], -$dx, -$dy);
        $this->sides = new Sides($room, $this, $this->faces);
    }

    /**
     * The same with what lies on walls as walls.
     *
     * @param  list<Face>  $faces
     */
    public function facing(array $faces): self
    {
        return $faces === [] ? $this : new self($this->room, $this->wall, [...$this->faces->all, ...$faces]);
    }

    /** The same with the walls as they are. */
    public function bare(): self
    {
        return $this->room->frame($this->wall);
    }

    /** Whether another edge of the plan turns off from this run's wall, rather than going on nearly straight or facing it. */
    public function turnsOff(int $edge): bool
    {
        [$fromU, $fromV] = $this->place($this->room->corners[$edge]);
        [$toU, $toV] = $this->place($this->room->corners[$this->room->shape->after($edge)]);

        return abs($toV - $fromV) > self::TURNS * abs($toU - $fromU);
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
        return $this->stands->place($point);
    }

    /** What stands in this frame, in the room's own coordinates. */
    public function inRoom(Solid $solid): Solid
    {
        return $this->stands->solid($solid);
    }

    /** The point of the plan at u and v. */
    public function point(float $u, float $v): Point
    {
        return $this->stands->point($u, $v);
    }

    public function leftAt(float $v, float $z, bool $withSkirting = false): float
    {
        return $this->sides->at('left', $v, $z)[0] + ($withSkirting && $z < $this->room->skirtingHeight ? $this->room->skirtingThickness : 0.0);
    }

    public function rightAt(float $v, float $z, bool $withSkirting = false): float
    {
        return $this->sides->at('right', $v, $z)[0] - ($withSkirting && $z < $this->room->skirtingHeight ? $this->room->skirtingThickness : 0.0);
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
     * @return non-empty-list<float>
     */
    public function bendsBetween(float $from, float $to): array
    {
        $bends = [];
        foreach ([...$this->sides->walls['left'], ...$this->sides->walls['right']] as $wall) {
            $bends = [...$bends, ...(($this->room->network->fields[$wall] ?? null)?->bendsBetween($from, $to) ?? [])];
        }
        $bends = array_values(array_unique([...$bends, ...$this->faces->endsBetween($from, $to)]));
        sort($bends);

        return [$from, ...$bends, $to];
    }

    /**
     * Depths at which a side may turn, between two depths, those included.
     *
     * @return non-empty-list<float>
     */
    private function turnsBetween(float $from, float $to): array
    {
        $turns = [];
        foreach ([...$this->room->corners, ...$this->faces->corners()] as $corner) {
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
        return (new Mouth($this->room, $this))->depth;
    }

    /** σ of that depth. */
    public function mouthSigma(): float
    {
        return (new Mouth($this->room, $this))->sigma();
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

    /**
     * Places along the run, between two of them and those included, at which the ceiling may have its extremes at a depth: its
     * ends, and where one of its planes goes over into another.
     *
     * @return non-empty-list<float>
     */
    public function ceilingBreaks(float $from, float $to, float $v): array
    {
        $breaks = $this->room->levels->breaksBetween($this->point($from, $v), $this->point($to, $v));

        return [$from, ...array_map(fn (float $share) => $from + ($to - $from) * $share, $breaks), $to];
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
        $weights = $this->sides->weights($side, $v, $z);
        $heights = $this->bendsBetween(0.0, $this->lowestCeiling($this->mouth())[0]);
        foreach (['left', 'right'] as $other) {
            foreach ($heights as $height) {
                foreach ($this->sides->weights($other, $v, $height) as $i => $weight) {
                    $weights[$i] = ($weights[$i] ?? 0.0) - $weight / (2 * count($heights));
                }
            }
        }

        return $this->room->adjusted->sigmaOf($weights);
    }

    /** Whether no wall stands on a side: there the run ends where its own wall does. */
    public function isOpen(string $side): bool
    {
        return $this->sides->reaching($side, 1.0) === [];
    }

    /**
     * The wall on a side at a depth, and how far along it from its left end as one faces it, mm; null on an open side.
     *
     * @return array{int, float}|null
     */
    public function sideWall(string $side, float $v): ?array
    {
        [$u, $wall] = $this->sides->at($side, $v, $this->room->network->planHeight);
        if ($wall === null) {
            return null;
        }
        $left = $this->room->corners[$this->room->shape->after($wall)];
        $right = $this->room->corners[$wall];
        $at = $this->point($u, $v);
        $length = max(1e-6, $left->distanceTo($right));

        return [$wall, (($at->x - $left->x) * ($right->x - $left->x) + ($at->y - $left->y) * ($right->y - $left->y)) / $length];
    }

    /** How far the run's own wall, or what lies on it, stands into the room at a place, mm. */
    public function backAt(float $u, float $z): float
    {
        return max($this->wallAt($u, $z), $this->faces->out($this->wall, $u, $u, $z, $z));
    }

    /** How far the wall itself does, mm. */
    public function wallAt(float $u, float $z): float
    {
        return $this->room->wallOffset($this->wall, $u, $z);
    }

    /** σ of that, mm; where nobody looked at the wall, what walls usually stand off their line. */
    public function backSigmaAt(float $u, float $z): float
    {
        return $this->room->wallOffsetSigma($this->wall, $u, $z) ?? self::UNSEEN;
    }

    /** The farthest that the run's own wall stands into the room behind a box, mm; 0 where nobody looked at it. */
    public function backBulge(float $from, float $to, float $bottom, float $top): float
    {
        $field = $this->room->network->fields[$this->wall] ?? null;
        $bulge = max(0.0, $this->faces->out($this->wall, $from, $to, $bottom, $top));
        if ($field === null) {
            return $bulge;
        }
        foreach ([$bottom, ...$field->bendsBetween($bottom, $top), $top] as $z) {
            foreach ([$from, ...array_map(fn (float $station) => $this->room->network->station($this->wall, $station), $field->turnsBetween($this->room->network->station($this->wall, $to), $this->room->network->station($this->wall, $from))), $to] as $u) {
                $bulge = max($bulge, $this->backAt($u, $z));
            }
        }

        return $bulge;
    }

    /**
     * Clear span along a path. Walls are straight between bends, so the extremes lie at the corners of the path and at the
     * bends. U covers every pair of places that may bind, not only the tightest.
     */
    public function span(Path $path, bool $withSkirting = false): ClearSpan
    {
        $search = new SpanSearch(
            $this->room->adjusted,
            fn (Place $place) => $this->sides->weights('left', $place->v, $place->z),
            fn (Place $place) => $this->sides->weights('right', $place->v, $place->z),
        );

        return $search->between($this->places('left', $path, $path->top, $withSkirting), $this->places('right', $path, $path->topRight, $withSkirting));
    }

    /** @return non-empty-list<Place> where a side stands at the corners and bends of a path */
    private function places(string $side, Path $path, float $top, bool $withSkirting): array
    {
        $heights = $this->bendsBetween($path->bottom, $top);
        if ($withSkirting && $this->skirtingTop() > $path->bottom) {
            $heights[] = min($top, $this->skirtingTop() - 1e-3);
        }
        $places = [];
        foreach ($this->turnsBetween($path->back, $path->front) as $v) {
            foreach ($heights as $z) {
                $places[] = new Place($side === 'left' ? $this->leftAt($v, $z, $withSkirting) : $this->rightAt($v, $z, $withSkirting), $v, $z);
            }
        }

        return $places;
    }
}
