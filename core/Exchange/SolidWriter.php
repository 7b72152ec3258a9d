<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Geometry\Convex;
use Incastro\Geometry\Point;
use Incastro\Geometry\Solid;
use Incastro\Planning\SpacePlan;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Units\Placed;

/**
 * What stands where, for checking from outside: the solid of every piece as convex parts, and the surfaces of the room that it
 * was planned with, in the space's own coordinates (first corner at the origin, second on +x, z up from the datum; mm).
 */
final readonly class SolidWriter
{
    /** A wall without readings has its corners at the foot and the head alone. */
    private const FOOT = 0.0;

    public function __construct(private SpacePlan $space)
    {
    }

    /** @return list<list<array{float, float, float}>> convex parts of a piece, each its vertices */
    public function solid(RunFrame $frame, Placed $placed): array
    {
        return array_map($this->vertices(...), $placed->inRoom($frame)->parts);
    }

    /** @return list<array{a: string, b: string, kind: string, shares_mm: float}> all joints, first those that let two pieces stand in each other */
    public function joints(): array
    {
        $joints = [];
        foreach ($this->space->assemblies as $assembly) {
            $byKey = $assembly->byKey();
            $mark = fn (string $key): string => isset($byKey[$key]) ? $byKey[$key]->piece->mark : $key;
            foreach ($assembly->joints as $joint) {
                $joints[] = ['a' => $mark($joint->a), 'b' => $mark($joint->b), 'kind' => $joint->kind->value, 'shares_mm' => round($joint->shares, 3)];
            }
        }

        usort($joints, fn (array $a, array $b) => $b['shares_mm'] <=> $a['shares_mm']);

        return $joints;
    }

    /** @return list<array{owner: string, name: string, swept: list<list<array{float, float, float}>>}> what moves in use, and what it sweeps as convex parts */
    public function movements(): array
    {
        $movements = [];
        foreach ($this->space->layout->runs ?? [] as $r => $run) {
            foreach ($this->space->assemblies[$r]->movements as $movement) {
                $parts = array_merge([], ...array_map(fn (Solid $solid) => $run->frame->inRoom($solid)->parts, $movement->swept));
                $movements[] = ['owner' => $movement->tier, 'name' => $movement->name, 'swept' => array_map($this->vertices(...), $parts)];
            }
        }

        return $movements;
    }

    /** @return list<array{float, float, float}> */
    private function vertices(Convex $part): array
    {
        return array_map(fn (array $at) => self::vertex(new Point($at[0], $at[1]), $at[2]), $part->corners());
    }

    /** @return list<array{from: string, to: string, kind: string, corners: list<array{float, float, float}>, grid: list<list<array{float, float, float}>>}> every edge of the plan: its corners, and where it is a wall its surface from station to station and height to height */
    public function walls(Room $room): array
    {
        return array_map(function (int $edge) use ($room): array {
            $from = $room->corners[$edge];
            $to = $room->corners[$room->shape->after($edge)];
            [$low, $high] = [$room->levels->ceilingAt($from), $room->levels->ceilingAt($to)];

            return [
                'from' => SpaceShape::name($edge), 'to' => SpaceShape::name($room->shape->after($edge)), 'kind' => $room->shape->edges[$edge]->value,
                'corners' => [self::vertex($from, self::FOOT), self::vertex($to, self::FOOT), self::vertex($to, $high), self::vertex($from, $low)],
                'grid' => $room->shape->isWall($edge) ? $this->grid($room, $edge, max($low, $high)) : [],
            ];
        }, array_keys($room->shape->edges));
    }

    /** @return list<list<array{float, float, float}>> by station from the first corner, up each */
    private function grid(Room $room, int $wall, float $top): array
    {
        $length = $room->edgeLength($wall);
        $field = $room->network->fields[$wall] ?? null;
        $stations = $field === null ? [0.0, $length] : [0.0, ...$field->turnsBetween(0.0, $length), $length];
        $heights = $field === null ? [self::FOOT, $top] : [self::FOOT, ...$field->bendsBetween(self::FOOT, $top), $top];

        return array_map(fn (float $station) => array_map(fn (float $z) => self::vertex($room->wallPoint($wall, $length - $station, $z), $z), $heights), $stations);
    }

    /** @return list<list<array{float, float, float}>> planes of the ceiling, each over as much of the plan as it covers */
    public function ceiling(Room $room): array
    {
        return array_map(fn (array $plane) => array_map(fn (Point $point) => self::vertex($point, $room->levels->ceilingAt($point)), $plane), $room->levels->coverage($room->corners));
    }

    /** @return array{float, float, float} */
    private static function vertex(Point $point, float $z): array
    {
        return [round($point->x, 3), round($point->y, 3), round($z, 3)];
    }
}
