<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Geometry\Point;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Plan\PlanNetwork;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceShape;

/**
 * The walls of a space as unknowns of one adjustment: the corners of its plan at the plan's height, the field of every wall
 * that a reading looks at, and where each straightedge stood. Predicts every reading, each at its own height: a side taken
 * elsewhere is reduced to the plan by the walls' lean.
 */
final readonly class RoomNetwork
{
    /** Walls that meet at less than about 10° have no sharp corner to move along. */
    private const SHARP = 0.18;

    public SpaceShape $shape;

    public float $planHeight;

    /** @var array<int, WallField> by edge */
    public array $fields;

    /** @var array<string, array{int, bool}> first unknown of each straightedge, and whether it was held level */
    private array $straightedges;

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
            if ($slot->wall === $wall && $slot->kind === ReadingKind::Offset) {
                $slot->isLevel ? $stations[] = $this->station($wall, (float) $slot->along) : $rows[] = (float) $slot->height;
            } elseif ($slot->wall === $wall && $slot->kind === ReadingKind::Plumb && $this->shape->ceiling->isSloped()) {
                // The plan lies low there, far from the middle of a tall wall: a bow shows where the level ends.
                array_push($rows, (float) $slot->height, (float) $slot->height + (float) $slot->span);
            }
        }

        return [self::apart($stations), self::apart($rows)];
    }

    /**
     * Rising, and no two nearer than 20 mm.
     *
     * @param  non-empty-list<float>  $places
     * @return non-empty-list<float>
     */
    private static function apart(array $places): array
    {
        sort($places);
        $kept = [$places[0]];
        foreach ($places as $place) {
            if ($place - $kept[count($kept) - 1] > 20.0) {
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
    private function meetsByField(array $x, int $wall, float $z, int $reference, float $depth): array
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

    /** What a reading predicts, with its value and σ. */
    public function observation(string $id, Slot $slot, float $value, float $sigma): ?Observation
    {
        $z = $slot->height ?? $this->planHeight;

        return match ($slot->kind) {
            ReadingKind::Side, ReadingKind::Diagonal, ReadingKind::Depth => new Observation(
                $id,
                $value,
                $sigma,
                $this->dependsOfCorners([(int) $slot->from, (int) $slot->to], $z),
                fn (array $x): float => $this->corner($x, (int) $slot->from, $z)->distanceTo($this->corner($x, (int) $slot->to, $z))
            ),
            ReadingKind::Tie => new Observation(
                $id,
                $value,
                $sigma,
                [...$this->dependsOfCorners([(int) $slot->at], $z), ...$this->dependsOfWall((int) $slot->wall, $z)],
                fn (array $x): float => $this->corner($x, (int) $slot->at, $z)->distanceTo($this->wallPoint($x, (int) $slot->wall, (float) $slot->along, $z))
            ),
            ReadingKind::Width => $this->width($id, $slot, $value, $sigma, $z),
            ReadingKind::Corner => new Observation(
                $id,
                $slot->interior($value),
                $sigma,
                $this->dependsOfCorners([(int) $slot->from, (int) $slot->at, (int) $slot->to], $z),
                fn (array $x): float => rad2deg($this->interior($x, $slot, $z)),
                true
            ),
            ReadingKind::ThreeFourFive => new Observation(
                $id,
                $value,
                $sigma,
                $this->dependsOfCorners([(int) $slot->from, (int) $slot->at, (int) $slot->to], $z),
                fn (array $x): float => sqrt(max(1e-6, ($slot->legs[0] ?? 0.0) ** 2 + ($slot->legs[1] ?? 0.0) ** 2 - 2 * ($slot->legs[0] ?? 0.0) * ($slot->legs[1] ?? 0.0) * cos($this->interior($x, $slot, $z))))
            ),
            ReadingKind::Plumb => $this->plumb($id, $slot, $value, $sigma),
            ReadingKind::Offset => $this->straightedge($id, $slot, $value, $sigma),
            default => null,
        };
    }

    /**
     * Interior angle in radians.
     *
     * @param  array<int, float>  $x
     */
    private function interior(array $x, Slot $slot, float $z): float
    {
        $p = $this->corner($x, (int) $slot->at, $z);
        $before = $this->corner($x, (int) $slot->from, $z);
        $next = $this->corner($x, (int) $slot->to, $z);
        $angle = atan2($before->y - $p->y, $before->x - $p->x) - atan2($next->y - $p->y, $next->x - $p->x);

        return $angle < 0 ? $angle + 2 * M_PI : $angle;
    }

    private function width(string $id, Slot $slot, float $value, float $sigma, float $z): ?Observation
    {
        $between = $slot->between;
        if ($between === null) {
            return null;
        }
        [$wall, $depth] = [(int) $slot->wall, (float) $slot->depth];
        $depends = array_unique([...$this->dependsOfEdge($wall), ...$this->dependsOfEdge($between[0]), ...$this->dependsOfEdge($between[1])]);
        sort($depends);
        $apart = function (array $x) use ($between, $z, $wall, $depth): ?float {
            $a = $this->meets($x, $between[0], $z, $wall, $depth);
            $b = $this->meets($x, $between[1], $z, $wall, $depth);

            return $a === null || $b === null ? null : $b - $a;
        };

        return new Observation($id, $value, $sigma, $depends, fn (array $x): float => abs($apart($x) ?? 0.0), slopes: function (array $x) use ($between, $z, $wall, $depth, $apart): array {
            $width = $apart($x);
            [$from, $to] = $width < 0.0 ? [$between[1], $between[0]] : $between;

            return $width === null ? [] : self::difference($this->meetsByField($x, $to, $z, $wall, $depth), $this->meetsByField($x, $from, $z, $wall, $depth));
        });
    }

    /** A lean is positive into the room, as the field is: it speaks for the level's own span alone. */
    private function plumb(string $id, Slot $slot, float $value, float $sigma): Observation
    {
        $field = $this->fields[(int) $slot->wall];
        $station = $this->station((int) $slot->wall, (float) $slot->along);
        $foot = (float) $slot->height;

        return Observation::linear($id, $value, $sigma, self::difference($field->weights($station, $foot + (float) $slot->span), $field->weights($station, $foot)));
    }

    /** An offset is read from the straightedge, a line of its own, to the wall: line less field. */
    private function straightedge(string $id, Slot $slot, float $value, float $sigma): Observation
    {
        $field = $this->fields[(int) $slot->wall];
        $station = $this->station((int) $slot->wall, (float) $slot->along);
        $weights = self::difference([], $field->weights($station, (float) $slot->height));
        [$first, $isLevel] = $this->straightedges[$slot->straightedge ?? ''];
        $weights[$first] = 1.0;
        // A level straightedge may run askew to the wall; a plumb one hangs as its level says.
        $weights[$first + 1] = ($isLevel ? $station : (float) $slot->height - $this->planHeight) / 1000.0;

        return Observation::linear($id, $value, $sigma, $weights);
    }

    /** @return array<string, array{int, bool}> */
    public function straightedges(): array
    {
        return $this->straightedges;
    }

    /**
     * @param  list<int>  $corners
     * @return list<int>
     */
    private function dependsOfCorners(array $corners, float $z): array
    {
        $depends = [];
        foreach ($corners as $corner) {
            $depends = [...$depends, ...PlanNetwork::of($corner)];
            if (abs($z - $this->planHeight) >= 1e-6) {
                $depends = [...$depends, ...$this->dependsOfWall($this->shape->before($corner), $z), ...$this->dependsOfWall($corner, $z)];
            }
        }
        $depends = array_unique($depends);
        sort($depends);

        return $depends;
    }

    /** @return list<int> */
    private function dependsOfEdge(int $edge): array
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
