<?php

declare(strict_types=1);

namespace Incastro\Units\Sites;

use Incastro\Fit\FittedLayout;
use Incastro\Fit\FittedSurface;
use Incastro\Fit\Holds\StandsBeforeWall;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Block;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;

/** What stands against the walls of a space, where strips along them end: furniture, what is framed before a wall, doors and fireplaces. */
final readonly class StandsAgainst
{
    /** What touches a strip by less does not end it, mm. */
    private const TOUCH = 0.5;

    /** @param list<Assembly> $built of each run, in the order of these */
    public function __construct(private Room $room, private FittedLayout $layout, private array $built)
    {
    }

    /**
     * Where a strip along a wall is interrupted.
     *
     * @param  Block  $strip  in the frame of the wall
     * @return list<array{float, float}> from and to along it, mm, from left to right; they do not overlap
     */
    public function along(RunFrame $frame, Block $strip): array
    {
        $taken = [];
        foreach ([...$this->pieces($frame), ...$this->surfaces($frame), ...array_column((new ThingPlace($this->room, $frame))->onItsWall(ThingKind::Door, ThingKind::Fireplace), 1)] as $block) {
            if ($block->meets($strip, self::TOUCH)) {
                $taken[] = [$block->u0, $block->u1];
            }
        }
        usort($taken, fn (array $one, array $other) => $one[0] <=> $other[0]);
        $joined = [];
        foreach ($taken as [$from, $to]) {
            $last = $joined[count($joined) - 1] ?? null;
            if ($last !== null && $from <= $last[1]) {
                array_pop($joined);
                [$from, $to] = [$last[0], max($last[1], $to)];
            }
            $joined[] = [$from, $to];
        }

        return $joined;
    }

    /** @return list<Block> pieces of furniture, seen from a wall */
    private function pieces(RunFrame $frame): array
    {
        $blocks = [];
        foreach ($this->layout->runs as $r => $run) {
            foreach ($this->built[$r]->placed as $placed) {
                $blocks[] = self::seen($placed->bounds, $run->frame, $frame);
            }
        }

        return $blocks;
    }

    /** @return list<Block> what is framed before walls, seen from a wall */
    private function surfaces(RunFrame $frame): array
    {
        $stands = array_filter($this->layout->surfaces, fn (FittedSurface $surface) => $surface->surface->holds instanceof StandsBeforeWall);

        return array_values(array_map(fn (FittedSurface $one): Block => self::seen(new Block($one->u, $one->end(), $one->v, $one->front(), $one->z, $one->z + $one->height->result->toDouble()), $one->frame, $frame), $stands));
    }

    private static function seen(Block $block, RunFrame $own, RunFrame $frame): Block
    {
        if ($own->wall === $frame->wall) {
            return $block;
        }
        $corners = array_map(fn (array $at): array => $frame->place($own->point(...$at)), [[$block->u0, $block->v0], [$block->u1, $block->v0], [$block->u1, $block->v1], [$block->u0, $block->v1]]);
        [$us, $vs] = [array_column($corners, 0), array_column($corners, 1)];

        return new Block(min($us), max($us), min($vs), max($vs), $block->z0, $block->z1);
    }
}
