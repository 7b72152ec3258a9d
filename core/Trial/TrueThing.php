<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Geometry\Block;
use Incastro\Geometry\Convex;
use Incastro\Geometry\Solid;
use Incastro\Survey\Things\ThingKind;

/**
 * A thing on a wall of a made-up room as it truly is: so far from the wall's left end as one faces it, mm, standing out from
 * the crooked surface.
 */
final readonly class TrueThing
{
    /** What goes up a wall follows it in pieces of this length, mm. */
    private const STEP = 400.0;

    public function __construct(public string $id, public ThingKind $kind, public int $wall, public float $along, public float $up, public float $width, public float $height, public float $out, public ?string $direction = null)
    {
    }

    /** Its body in the room's own coordinates. */
    public function solid(TrueRoom $room): Solid
    {
        // A pipe that runs along its wall stands off it.
        $from = $this->kind->isRound() ? max(0.0, $this->out - $this->width) : 0.0;
        // Its height is measured from the floor under it.
        $foot = $room->floorAt($room->before($this->wall, $this->along + $this->width / 2, 0.0, 0.0)) + $this->up;
        $count = max(1, (int) ceil($this->height / self::STEP));
        /** @var non-empty-list<Convex> $parts */
        $parts = [];
        for ($i = 0; $i < $count; $i++) {
            $block = new Block($this->along, $this->along + $this->width, $from, $this->out, $foot + $this->height * $i / $count, $foot + $this->height * ($i + 1) / $count);
            array_push($parts, ...Solid::block($block)->bent(function (array $at) use ($room): array {
                // A post stands plumb, whatever its wall does.
                $point = $room->before($this->wall, $at[0], $at[1], $this->kind === ThingKind::Post ? $room->planHeight : $at[2]);

                return [$point->x, $point->y, $at[2]];
            })->parts);
        }

        return new Solid($parts);
    }

    /**
     * The entry that a person makes of it, whose tape is off by a millimetre or so.
     *
     * @return array<string, mixed>
     */
    public function entry(Dice $dice): array
    {
        $mm = fn (float $true, float $sigma): array => ['nm' => (int) max(0.0, round($true + $dice->normal($sigma))) * 1_000_000, 'typed' => sprintf('%.0f', max(0.0, round($true)))];

        return [
            'id' => $this->id, 'kind' => $this->kind->value, 'name' => $this->kind->label(), 'face' => 'wall', 'wall' => $this->wall,
            'along' => $mm($this->along, 1.0), 'along_from' => 'left', 'up' => $mm($this->up, 1.0), 'up_from' => 'floor',
            'width' => $mm($this->width, 0.5), 'height' => $mm($this->height, 0.5), 'stands_out' => $mm($this->out, 0.5),
            'rule' => $this->kind->usualRule()->value, 'reach_from' => null, 'hand_room' => null, 'clearance' => null, 'swing' => null,
            'direction' => $this->direction, 'traced' => null, 'hot' => false,
        ];
    }
}
