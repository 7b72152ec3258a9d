<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Geometry\Block;
use Incastro\Geometry\Convex;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Solid;

/**
 * The surfaces of a room as one closed shell: how far something stands outside them. Floor and ceilings are planes, so that
 * corners tell; a wall bends at the knots of its field, so that edges are looked at between bends, and the knots themselves
 * must not lie inside. Open edges and doors are no surfaces.
 */
final class Enclosure
{
    /** Beyond the ends of a wall its surface goes on so far, mm. */
    private const BEYOND = 1.0;

    private Polygon $plan;

    /** Around the plan, from its highest floor to its lowest ceiling. */
    private Block $around;

    /** @var array<int, array{Point, float, float, float}> by wall: first corner, direction along, and length */
    private array $lines = [];

    /** @var array<int, float> the farthest that each wall comes into the room, mm */
    private array $reach = [];

    /** @var array<int, list<array{float, float, float}>> the knots of each wall's field, in the room */
    private array $knots = [];

    /** @var array<int, list<float>> heights at which a wall bends */
    private array $bends = [];

    public function __construct(private readonly Room $room, private readonly bool $withSkirting)
    {
        $this->plan = new Polygon($room->corners);
        [$x0, $x1, $y0, $y1] = $this->plan->bounds();
        $corners = Polygon::rectangle($x0, $y0, $x1 - $x0, $y1 - $y0)->points;
        $this->around = new Block($x0, $x1, $y0, $y1, max(-INF, ...array_map($room->levels->floorAt(...), $corners)), min(INF, ...array_map($room->levels->ceilingAt(...), $corners)));
        foreach ($room->shape->walls() as $wall) {
            $this->look($wall);
        }
    }

    private function look(int $wall): void
    {
        $from = $this->room->corners[$wall];
        $to = $this->room->corners[$this->room->shape->after($wall)];
        $long = max(1e-6, $from->distanceTo($to));
        $this->lines[$wall] = [$from, ($to->x - $from->x) / $long, ($to->y - $from->y) / $long, $long];
        $field = $this->room->network->fields[$wall] ?? null;
        $skirting = $this->withSkirting ? $this->room->skirtingThickness : 0.0;
        $this->reach[$wall] = $skirting;
        $this->bends[$wall] = [];
        if ($field === null) {
            return;
        }
        $top = max(1.0, $this->room->levels->ceilingAt($from), $this->room->levels->ceilingAt($to));
        $this->bends[$wall] = $field->bendsBetween(-100.0, $top + 100.0);
        foreach ([0.0, ...$this->bends[$wall], $top] as $z) {
            foreach ([0.0, ...$field->turnsBetween(0.0, $long), $long] as $station) {
                $along = $long - $station;
                $off = $this->room->wallOffset($wall, $along, $z);
                $this->reach[$wall] = max($this->reach[$wall], $off + $skirting);
                $at = $this->room->wallPoint($wall, $along, $z);
                $this->knots[$wall][] = [$at->x, $at->y, $z];
            }
        }
    }

    /**
     * How far a solid, in the room's own coordinates, stands outside, by surface: "ceiling", "floor", or the number of a wall.
     *
     * @return array<string, float> by how much, mm; no more than a touch counts as nothing
     */
    public function outside(Solid $solid, float $touch): array
    {
        $found = [];
        $note = function (string $surface, float $by) use (&$found, $touch): void {
            $found[$surface] = $by > $touch ? max($by, $found[$surface] ?? 0.0) : $found[$surface] ?? 0.0;
        };
        $near = $this->near($solid->bounds);
        $isBetween = $this->isBetween($solid->bounds);
        if ($near === [] && $isBetween) {
            return [];
        }
        foreach ($solid->parts as $part) {
            foreach ($isBetween ? [] : $part->corners() as [$x, $y, $z]) {
                $at = new Point($x, $y);
                $note('ceiling', $z - $this->room->levels->ceilingAt($at));
                // Beyond the plan nobody looked at the floor.
                $note('floor', $this->plan->contains($at) ? $this->room->levels->floorAt($at) - $z : 0.0);
            }
            if ($near !== []) {
                $this->walls($part, $near, $note);
            }
        }
        $this->knots($solid, $near, $note);

        return $found;
    }

    /** Whether what a block holds cannot come out of the room: it need not be looked at more closely. */
    public function isFree(Block $around): bool
    {
        return $this->isBetween($around) && $this->near($around) === [];
    }

    /** Whether a block lies above every floor and under every ceiling: planes come nearest to it at its corners. */
    private function isBetween(Block $block): bool
    {
        $around = $this->around;
        if ($block->z0 >= $around->z0 && $block->z1 <= $around->z1 && $block->u0 >= $around->u0 && $block->u1 <= $around->u1 && $block->v0 >= $around->v0 && $block->v1 <= $around->v1) {
            return true;
        }
        foreach (self::corners($block) as $at) {
            if ($this->room->levels->ceilingAt($at) < $block->z1 || $this->room->levels->floorAt($at) > $block->z0) {
                return false;
            }
        }

        return true;
    }

    /** @return non-empty-list<Point> of a block on the plan */
    private static function corners(Block $block): array
    {
        return [new Point($block->u0, $block->v0), new Point($block->u1, $block->v0), new Point($block->u1, $block->v1), new Point($block->u0, $block->v1)];
    }

    /**
     * Walls that a block comes near to.
     *
     * @return list<int>
     */
    private function near(Block $block): array
    {
        $isInside = null;
        $near = [];
        [$x, $y] = [($block->u0 + $block->u1) / 2, ($block->v0 + $block->v1) / 2];
        [$halfX, $halfY] = [($block->u1 - $block->u0) / 2, ($block->v1 - $block->v0) / 2];
        foreach ($this->lines as $wall => [$from, $dx, $dy, $long]) {
            $in = -($x - $from->x) * $dy + ($y - $from->y) * $dx;
            if ($in - $halfX * abs($dy) - $halfY * abs($dx) >= $this->reach[$wall]) {
                continue;
            }
            $along = ($x - $from->x) * $dx + ($y - $from->y) * $dy;
            $half = $halfX * abs($dx) + $halfY * abs($dy);
            if (($along + $half > -self::BEYOND && $along - $half < $long + self::BEYOND) || ! ($isInside ??= $this->holds(self::corners($block)))) {
                $near[] = $wall;
            }
        }

        return $near;
    }

    /** @param list<Point> $corners */
    private function holds(array $corners): bool
    {
        return array_filter($corners, fn (Point $point) => ! $this->plan->contains($point)) === [];
    }

    /**
     * @param  list<int>  $near
     * @param  \Closure(string, float): void  $note
     */
    private function walls(Convex $part, array $near, \Closure $note): void
    {
        foreach ($part->corners() as $corner) {
            if ($this->isNear($corner, $near)) {
                $this->place($corner, $note);
            }
        }
        $seen = [];
        foreach ($part->edges() as [$p, $q]) {
            if (abs($q[2] - $p[2]) < 1.0 || (! $this->isNear($p, $near) && ! $this->isNear($q, $near))) {
                continue;
            }
            foreach ($near as $wall) {
                foreach ($this->bends[$wall] as $z) {
                    $share = ($z - $p[2]) / ($q[2] - $p[2]);
                    $key = sprintf('%.1F/%.1F/%.1F', $p[0], $p[1], $z);
                    if ($share > 0.0 && $share < 1.0 && ! isset($seen[$key])) {
                        $seen[$key] = true;
                        $this->place([$p[0] + $share * ($q[0] - $p[0]), $p[1] + $share * ($q[1] - $p[1]), $z], $note);
                    }
                }
            }
        }
    }

    /**
     * Where a wall is bent into a solid: its knots must not lie inside.
     *
     * @param  list<int>  $near
     * @param  \Closure(string, float): void  $note
     */
    private function knots(Solid $solid, array $near, \Closure $note): void
    {
        $block = $solid->bounds;
        foreach ($near as $wall) {
            foreach ($this->knots[$wall] ?? [] as [$x, $y, $z]) {
                if ($x < $block->u0 || $x > $block->u1 || $y < $block->v0 || $y > $block->v1 || $z < $block->z0 || $z > $block->z1) {
                    continue;
                }
                foreach ($solid->parts as $part) {
                    $note((string) $wall, $part->holds($x, $y, $z));
                }
            }
        }
    }

    /**
     * Whether a place lies where one of some walls may come, or beyond it.
     *
     * @param  array{float, float, float}  $place
     * @param  list<int>  $walls
     */
    private function isNear(array $place, array $walls): bool
    {
        foreach ($walls as $wall) {
            [$from, $dx, $dy] = $this->lines[$wall];
            if (-($place[0] - $from->x) * $dy + ($place[1] - $from->y) * $dx < $this->reach[$wall]) {
                return true;
            }
        }

        return false;
    }

    /**
     * Looks at one place: inside the plan every wall beside it may stand before it; outside, the nearest edge was gone through.
     *
     * @param  array{float, float, float}  $place
     * @param  \Closure(string, float): void  $note
     */
    private function place(array $place, \Closure $note): void
    {
        [$x, $y, $z] = $place;
        $at = new Point($x, $y);
        if ($this->plan->contains($at)) {
            foreach ($this->lines as $wall => [$from, $dx, $dy, $long]) {
                $along = ($x - $from->x) * $dx + ($y - $from->y) * $dy;
                if ($along > -self::BEYOND && $along < $long + self::BEYOND) {
                    $in = -($x - $from->x) * $dy + ($y - $from->y) * $dx;
                    // Behind its line another part of the plan may lie.
                    if ($in > -1e-6 && $in < $this->reach[$wall]) {
                        $note((string) $wall, $this->surface($wall, $long - $along, $z) - $in);
                    }
                }
            }

            return;
        }
        $away = [];
        foreach (array_keys($this->room->shape->edges) as $edge) {
            $away[$edge] = self::distance($at, $this->room->corners[$edge], $this->room->corners[$this->room->shape->after($edge)]);
        }
        $best = min(INF, ...array_values($away));
        // Beyond a corner both its edges are as near: what lies before an open one is in the room in front.
        $nearest = array_keys(array_filter($away, fn (float $one) => $one < $best + 1e-6));
        if (array_filter($nearest, fn (int $edge) => ! isset($this->lines[$edge])) !== []) {
            return;
        }
        foreach ($nearest as $wall) {
            [$from, $dx, $dy, $long] = $this->lines[$wall];
            $along = min($long, max(0.0, ($x - $from->x) * $dx + ($y - $from->y) * $dy));
            $in = -($x - $from->x) * $dy + ($y - $from->y) * $dx;
            $note((string) $wall, $this->surface($wall, $long - $along, $z) - min($in, 0.0));
        }
    }

    /** How far a wall, or the skirting on it, stands in at a place, mm. */
    private function surface(int $wall, float $along, float $z): float
    {
        $skirting = $this->withSkirting && $z < $this->room->skirtingHeight - 1e-6 ? $this->room->skirtingThickness : 0.0;

        return $this->room->wallOffset($wall, $along, $z) + $skirting;
    }

    private static function distance(Point $at, Point $from, Point $to): float
    {
        $long = max(1e-9, $from->distanceTo($to));
        $along = (($at->x - $from->x) * ($to->x - $from->x) + ($at->y - $from->y) * ($to->y - $from->y)) / $long;
        $share = min(1.0, max(0.0, $along / $long));

        return $at->distanceTo(new Point($from->x + $share * ($to->x - $from->x), $from->y + $share * ($to->y - $from->y)));
    }
}
