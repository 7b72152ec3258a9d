<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Geometry\Point;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Plan\PlanNetwork;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SheetPlaces;
use Incastro\Survey\Space\SpaceShape;

/**
 * The walls of a space as unknowns of one adjustment: the corners of its plan at the plan's height, the field of every wall
 * that a reading looks at, and where each straightedge stood.
 */
final readonly class RoomNetwork
{
    /** Walls that meet at less than about 10° have no sharp corner to move along. */
    private const SHARP = 0.18;

    /** Two knots of a wall's field are at least this far apart, mm. */
    private const APART = 90.0;

    public SpaceShape $shape;

    public float $planHeight;

    /** @var array<int, WallField> by edge */
    public array $fields;

    /** @var array<string, array{int, bool}> first unknown of each straightedge, and whether it was held level */
    public array $straightedges;

    public int $unknowns;

    /** @var array<int, float> length of each edge as far as known, mm */
    private array $lengths;

    /** @param list<Slot> $taken slots that have readings */
    public function __construct(Sheet $sheet, array $taken)
    {
        $this->shape = $sheet->shape;
        $places = $sheet->places();
        $this->planHeight = $places->planHeight();
        $this->lengths = array_map($places->length(...), array_keys($this->shape->edges));
        $next = 2 * $this->shape->corners() - 3;
        $fields = $straightedges = [];
        foreach ($this->wallsLookedAt($taken) as $wall) {
            [$stations, $rows] = $this->knots($wall, $places->rows($wall), $taken);
            $fields[$wall] = new WallField($next, $stations, $rows);
            $next += $fields[$wall]->size();
        }
        foreach ($taken as $slot) {
            if ($slot->kind === ReadingKind::Offset && $slot->straightedge !== null && ! isset($straightedges[$slot->straightedge])) {
                $straightedges[$slot->straightedge] = [$next, $slot->isLevel];
                $next += 2;
            }
        }
        $this->fields = $fields;
        $this->straightedges = $straightedges;
        $this->unknowns = $next;
    }

    /**
     * @param  list<Slot>  $taken
     * @return list<int>
     */
    private function wallsLookedAt(array $taken): array
    {
        $walls = [];
        foreach ($taken as $slot) {
            $looked = match ($slot->kind) {
                ReadingKind::Width => $slot->between ?? [],
                ReadingKind::Plumb, ReadingKind::Offset => [(int) $slot->wall],
                default => [],
            };
            foreach ($looked as $wall) {
                $walls[$wall] = true;
            }
        }
        ksort($walls);

        return array_keys($walls);
    }

    /**
     * @param  non-empty-list<float>  $rows
     * @param  list<Slot>  $taken
     * @return array{non-empty-list<float>, non-empty-list<float>} stations and rows
     */
    private function knots(int $wall, array $rows, array $taken): array
    {
        $stations = [0.0, max(1.0, $this->lengths[$wall])];
        foreach ($taken as $slot) {
            // A row of widths bends the wall where it was taken, wherever it would be asked for today.
            $row = $slot->kind === ReadingKind::Width && in_array($wall, $slot->between ?? [], true) ? array_search(explode('-', $slot->id)[1] ?? '', SheetPlaces::ROWS, true) : false;
            if ($row !== false && $slot->height !== null) {
                $rows[(int) $row] = $slot->height;
            }
        }
        foreach ($taken as $slot) {
            if ($slot->wall === $wall && $slot->kind === ReadingKind::Offset) {
                $slot->isLevel ? $stations[] = $this->station($wall, (float) $slot->along) : $rows[] = (float) $slot->height;
            } elseif ($slot->wall === $wall && $slot->kind === ReadingKind::Plumb && $this->shape->ceiling->isSloped()) {
                // The plan lies low there, far from the middle of a tall wall: a bow shows where the level ends.
                array_push($rows, (float) $slot->height, (float) $slot->height + (float) $slot->span);
            }
        }

        return [self::apart($stations), self::apart(array_values($rows))];
    }

    /**
     * Rising, and none so near to the one before that a line through both says nothing beyond them.
     *
     * @param  non-empty-list<float>  $places
     * @return non-empty-list<float>
     */
    private static function apart(array $places): array
    {
        sort($places);
        $kept = [$places[0]];
        foreach ($places as $place) {
            if ($place - $kept[count($kept) - 1] > self::APART) {
                $kept[] = $place;
            }
        }

        return $kept;
    }

    /** mm from a wall's first corner, of a place so far from its left end as one faces it. */
    public function station(int $wall, float $along): float
    {
        return $this->lengths[$wall] - $along;
    }

    /**
     * Unit vector along an edge, from its first corner.
     *
     * @param  array<int, float>  $x
     * @return array{float, float}
     */
    public function direction(array $x, int $edge): array
    {
        $p = PlanNetwork::at($x, $edge);
        $q = PlanNetwork::at($x, $this->shape->after($edge));
        $length = max(1e-6, $p->distanceTo($q));

        return [($q->x - $p->x) / $length, ($q->y - $p->y) / $length];
    }

    /**
     * How far an edge stands into the room, off the line of its corners.
     *
     * @param  array<int, float>  $x
     */
    private function offset(array $x, int $edge, float $station, float $z): float
    {
        return isset($this->fields[$edge]) ? $this->fields[$edge]->at($x, $station, $z) : 0.0;
    }

    /**
     * A corner at a height: where the walls that meet there stand at that height.
     *
     * @param  array<int, float>  $x
     */
    public function corner(array $x, int $corner, float $z): Point
    {
        $p = PlanNetwork::at($x, $corner);
        $before = $this->shape->before($corner);
        $hasBefore = isset($this->fields[$before]);
        $hasAfter = isset($this->fields[$corner]);
        if (abs($z - $this->planHeight) < 1e-6 || (! $hasBefore && ! $hasAfter)) {
            return $p;
        }
        // The inside lies to the left of an edge.
        [$ax, $ay] = $this->direction($x, $before);
        [$bx, $by] = $this->direction($x, $corner);
        $a = $this->offset($x, $before, $this->lengths[$before], $z);
        $b = $this->offset($x, $corner, 0.0, $z);
        $cross = $ax * $by - $ay * $bx;
        if (abs($cross) < self::SHARP || ! $hasBefore || ! $hasAfter) {
            // Only one wall is known, or they run on straight: the corner moves square to what is known.
            $wall = ! $hasBefore || ($hasAfter && abs($b) > abs($a)) ? [$bx, $by, $b] : [$ax, $ay, $a];

            return $p->plus(-$wall[1] * $wall[2], $wall[0] * $wall[2]);
        }

        // d with d·n_a = a and d·n_b = b, the normals (−y, x) of both directions.
        return $p->plus(($a * $bx - $b * $ax) / $cross, ($a * $by - $b * $ay) / $cross);
    }

    /**
     * Where a wall stands so far from its left end, at a height.
     *
     * @param  array<int, float>  $x
     */
    public function wallPoint(array $x, int $wall, float $along, float $z): Point
    {
        $q = PlanNetwork::at($x, $this->shape->after($wall));
        [$dx, $dy] = $this->direction($x, $wall);
        $offset = $this->offset($x, $wall, $this->station($wall, $along), $z);

        return $q->plus(-$along * $dx - $dy * $offset, -$along * $dy + $dx * $offset);
    }

    /**
     * A place on the plan.
     *
     * @param  array<int, float>  $x
     */
    public function spot(array $x, int $wall, float $along, float $depth): Point
    {
        $q = PlanNetwork::at($x, $this->shape->after($wall));
        [$dx, $dy] = $this->direction($x, $wall);

        return $q->plus(-$along * $dx - $dy * $depth, -$along * $dy + $dx * $depth);
    }

    /**
     * Where a wall meets the line that runs along a reference edge, so far out from it: how far along from the reference's
     * left end, mm; null where the wall runs alongside.
     *
     * @param  array<int, float>  $x
     */
    public function meets(array $x, int $wall, float $z, int $reference, float $depth): ?float
    {
        $crossing = $this->crossing($x, $wall, $reference, $depth);

        return $crossing === null ? null : $crossing[0] + $this->offset($x, $wall, $crossing[1], $z) / $crossing[2];
    }

    /**
     * How that place depends on the unknowns of the wall's field.
     *
     * @param  array<int, float>  $x
     * @return array<int, float> by unknown
     */
    public function meetsByField(array $x, int $wall, float $z, int $reference, float $depth): array
    {
        $crossing = $this->crossing($x, $wall, $reference, $depth);
        if ($crossing === null || ! isset($this->fields[$wall])) {
            return [];
        }

        return array_map(fn (float $weight): float => $weight / $crossing[2], $this->fields[$wall]->weights($crossing[1], $z));
    }

    /**
     * Where the straight line between a wall's corners crosses the one along a reference edge: how far along that, how far
     * from the wall's first corner, and the sine of the angle between them. The wall stands off its line by its offset,
     * square to itself, so that the slant carries the meeting on by offset/sine.
     *
     * @param  array<int, float>  $x
     * @return array{float, float, float}|null null where they run alongside
     */
    private function crossing(array $x, int $wall, int $reference, float $depth): ?array
    {
        $origin = PlanNetwork::at($x, $this->shape->after($reference));
        $p = PlanNetwork::at($x, $wall);
        $length = max(1e-6, $p->distanceTo(PlanNetwork::at($x, $this->shape->after($wall))));
        [$dx, $dy] = $this->direction($x, $reference);
        [$wx, $wy] = $this->direction($x, $wall);
        $sine = $dx * $wy - $dy * $wx;
        $cosine = $dx * $wx + $dy * $wy;
        if (abs($sine) * $length < 1e-3 || abs($sine) < 0.02 * abs($cosine)) {
            return null;
        }
        $fromX = $p->x - $origin->x;
        $fromY = $p->y - $origin->y;
        $toLine = ($depth - $dx * $fromY + $dy * $fromX) / $sine;

        return [-$dx * $fromX - $dy * $fromY - $toLine * $cosine, $toLine / $length * $this->lengths[$wall], $sine];
    }

    /** A place on a wall at a height, as `meets` gives it, as something to be looked at by an adjustment. */
    public function meeting(int $wall, float $z, int $reference, float $depth): Observation
    {
        return new Observation(
            'meeting',
            0.0,
            1.0,
            array_values(array_unique([...$this->dependsOfEdge($wall), ...$this->dependsOfEdge($reference)])),
            fn (array $x): float => $this->meets($x, $wall, $z, $reference, $depth) ?? 0.0,
            slopes: fn (array $x): array => $this->meetsByField($x, $wall, $z, $reference, $depth),
        );
    }

    /** @return list<int> */
    public function dependsOfEdge(int $edge): array
    {
        return [...PlanNetwork::of($edge), ...PlanNetwork::of($this->shape->after($edge))];
    }

    /**
     * The unknowns of an edge and, at a height, of the wall that stands on it.
     *
     * @return list<int>
     */
    public function dependsOfWall(int $edge, float $z): array
    {
        return [...$this->dependsOfEdge($edge), ...(isset($this->fields[$edge]) ? $this->fields[$edge]->unknownsAt($z) : [])];
    }

    /**
     * @param  array<int, float>  $a
     * @param  array<int, float>  $b
     * @return array<int, float> a − b
     */
    public static function difference(array $a, array $b): array
    {
        foreach ($b as $i => $weight) {
            $a[$i] = ($a[$i] ?? 0.0) - $weight;
        }

        return $a;
    }
}
