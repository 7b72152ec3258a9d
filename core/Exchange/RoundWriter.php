<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Drawing\Apart;
use Incastro\Fit\FittedRun;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Block;
use Incastro\Geometry\Convex;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Vector;
use Incastro\Planning\SpacePlan;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Room\RunFrame;
use Incastro\Units\Movement;
use Incastro\Units\Placed;

/**
 * The furniture of a space to be turned in the hand: every piece as convex parts with their faces, how it is drawn apart, what
 * moves and how, and the crooked room round it; in the space's own coordinates, mm. Each place of a wall carries how far it is
 * off a plumb plane through its corners, to be exaggerated as in the other drawings.
 */
final readonly class RoundWriter
{
    private SolidWriter $solids;

    public function __construct(private SpacePlan $space)
    {
        $this->solids = new SolidWriter($space);
    }

    /** @return array<string, mixed> */
    public function write(Room $room): array
    {
        $pieces = $movements = $things = [];
        foreach ($this->space->layout->runs ?? [] as $r => $run) {
            $assembly = $this->space->assemblies[$r];
            $apart = new Apart($run);
            $moves = [];
            foreach ($assembly->movements as $movement) {
                foreach ($movement->moving as $key) {
                    $moves[$key] = count($movements);
                }
                $movements[] = $this->movement($run->frame, $movement);
            }
            foreach ($assembly->placed as $placed) {
                $pieces[] = $this->piece($run->frame, $placed) + ['run' => $run->run->id, 'movement' => $moves[$placed->piece->key] ?? null, 'apart' => self::direction($run->frame, $apart->of($placed))];
            }
            array_push($things, ...$this->things($room, $run));
        }
        foreach ($this->space->layout->surfaces ?? [] as $s => $surface) {
            foreach ($this->space->onWall($s)->placed as $placed) {
                $pieces[] = $this->piece($surface->frame, $placed) + ['run' => null, 'movement' => null, 'apart' => [0.0, 0.0, 0.0]];
            }
        }

        return [
            'pieces' => $pieces, 'movements' => $movements, 'things' => $things,
            'walls' => $this->walls($room),
            'floor' => array_map(fn (Point $corner) => [round($corner->x, 2), round($corner->y, 2), round($room->levels->floorAt($corner), 2)], $room->corners),
            'ceiling' => $this->solids->ceiling($room),
        ];
    }

    /** @return array<string, mixed> */
    private function piece(RunFrame $frame, Placed $placed): array
    {
        return [
            'key' => $placed->piece->key, 'mark' => $placed->piece->mark, 'name' => $placed->piece->name, 'owner' => $placed->owner,
            'part' => $placed->part->value, 'purpose' => $placed->piece->purpose->value,
            'solid' => self::parts($placed->inRoom($frame)),
            'outline' => self::rings($frame, $placed),
        ];
    }

    /**
     * The edges of a plate whose solid is in several parts: each ring of its outline on both its faces. None where the edges of the
     * solid are those of the piece.
     *
     * @return list<array{list<array{float, float, float}>, list<array{float, float, float}>}>
     */
    private static function rings(RunFrame $frame, Placed $placed): array
    {
        $piece = $placed->piece;
        if (count($placed->solid()->parts) === 1 || $piece->bevels() !== [] || $piece->rebate() !== null) {
            return [];
        }
        $face = fn (Polygon $ring, float $deep): array => array_map(fn (Point $point) => self::place($frame, $placed->pose->place($point, $deep)), $ring->points);

        return array_map(fn (Polygon $ring) => [$face($ring, 0.0), $face($ring, $piece->thickness->toDouble())], [$piece->outline->outer, ...$piece->outline->holes]);
    }

    /** @return list<array{at: list<array{float, float, float}>, faces: list<list<int>>}> */
    private static function parts(Solid $solid): array
    {
        return array_map(fn (Convex $part) => [
            'at' => array_map(fn (array $corner) => array_map(fn (float $mm) => round($mm, 3), $corner), $part->corners()),
            'faces' => $part->faces,
        ], $solid->parts);
    }

    /** @return array<string, mixed> */
    private function movement(RunFrame $frame, Movement $movement): array
    {
        $motion = $movement->motion;

        return ['name' => $movement->name, 'tier' => $movement->tier, 'turns' => $motion->isTurn, 'at' => self::place($frame, $motion->at), 'from' => self::direction($frame, $motion->from), 'to' => self::direction($frame, $motion->to), 'by' => round($motion->by, 4)];
    }

    /** @return list<array<string, mixed>> what stands on the wall of a run */
    private function things(Room $room, FittedRun $run): array
    {
        $places = new ThingPlace($room, $run->frame);
        $things = [];
        foreach ($room->things as $thing) {
            if ($thing->wall === $run->frame->wall && $thing->face->value === 'wall') {
                $block = $places->block($thing);
                // What lies flat on a wall is seen too.
                $deep = max(2.0, $block->v1 - $block->v0);
                $things[] = ['id' => $thing->id, 'name' => $thing->name, 'solid' => self::parts($run->frame->inRoom(Solid::block(new Block($block->u0, $block->u1, $block->v0, $block->v0 + $deep, $block->z0, $block->z1))))];
            }
        }

        return $things;
    }

    /** @return list<array{name: string, grid: list<list<array{float, float, float, float, float}>>}> each place with how far it is off plumb along x and y */
    private function walls(Room $room): array
    {
        $walls = [];
        foreach ($this->solids->walls($room) as $edge => $wall) {
            [$from, $to] = [$wall['corners'][0], $wall['corners'][1]];
            $long = max(1.0, hypot($to[0] - $from[0], $to[1] - $from[1]));
            [$nx, $ny] = [-($to[1] - $from[1]) / $long, ($to[0] - $from[0]) / $long];
            $grid = [];
            foreach ($wall['grid'] as $station => $heights) {
                foreach ($heights as [$x, $y, $z]) {
                    $by = ($x - $from[0]) * $nx + ($y - $from[1]) * $ny;
                    $grid[$station][] = [$x, $y, $z, round($by * $nx, 2), round($by * $ny, 2)];
                }
            }
            if ($grid !== []) {
                $walls[] = ['name' => $room->shape->wallName($edge), 'grid' => array_values($grid)];
            }
        }

        return $walls;
    }

    /** @return array{float, float, float} */
    private static function place(RunFrame $frame, Vector $at): array
    {
        $point = $frame->point($at->x, $at->y);

        return [round($point->x, 2), round($point->y, 2), round($at->z, 2)];
    }

    /** @return array{float, float, float} a way of the run, as it runs in the space */
    private static function direction(RunFrame $frame, Vector $way): array
    {
        [$from, $to] = [$frame->point(0.0, 0.0), $frame->point($way->x, $way->y)];

        return [round($to->x - $from->x, 4), round($to->y - $from->y, 4), round($way->z, 4)];
    }
}
