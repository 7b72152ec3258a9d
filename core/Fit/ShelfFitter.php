<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Geometry\Point;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Survey\Network\Normal;
use Incastro\Survey\Path;
use Incastro\Survey\Room\RunFrame;

/**
 * Shelves on cleats between two walls that lean, before a wall that may bow: each has four true corners of its own. The
 * doubt of their lengths is taken off together, since all of them must go in (handbook, "Allowances").
 */
final class ShelfFitter
{
    /** Most between two points of a back edge, mm. */
    private const STATIONS = 200.0;

    /** Times that a back corner is looked for. */
    private const MEETS = 4;

    private const HALVINGS = 24;

    /** A shelf shallower than this is none: the ceiling leaves it no room, mm. */
    private const LEAST = 80.0;

    /** So many times its texture a wall may be off at a place between those that were read. */
    private const BETWEEN = 1.25;

    /** Free on both sides together while a shelf is swung in, mm (handbook, "Allowances"). */
    private const SWING = 4.0;

    /** @var list<Finding> */
    public array $findings = [];

    public function __construct(private readonly Terms $terms, private readonly RunFrame $frame, private readonly Ends $ends)
    {
    }

    /**
     * @param  list<FittedCell>  $cells
     * @param  array{float, float}  $run  u of the run's ends
     * @return list<FittedShelf>
     */
    public function shelves(array $cells, array $run): array
    {
        $shelves = [];
        foreach ($cells as $cell) {
            $t = $this->terms->board();
            $count = $cell->isTooSmall($this->terms) ? 0 : $cell->boards();
            $clear = $cell->clearBetween($t);
            for ($i = 1; $i <= $count; $i++) {
                $shelf = $this->shelf($cell, $i, $count, $cell->z + $i * $clear + ($i - 1) * $t, $run);
                if (min($shelf->length->result->toDouble(), $shelf->depth->result->toDouble()) >= self::LEAST) {
                    $shelves[] = $shelf;
                } else {
                    $this->findings[] = Finding::clash(Code::ShelfNoRoom, sprintf('Walls or ceiling leave shelf %d no room. Take it out, or put fewer there.', $i), $cell->tier->id)
                        ->withWaysOut([new WayOut('Keep '.($i - 1), Edits::tier($cell->tier->id)->setting(['count' => $i - 1]))]);
                }
            }
        }

        return $shelves;
    }

    /** @param array{float, float} $run */
    private function shelf(FittedCell $cell, int $index, int $count, float $z, array $run): FittedShelf
    {
        $t = $this->terms->board();
        $play = $this->terms->rule(Rule::ShelfAllowance);
        $span = $this->frame->span(new Path($cell->back, $cell->face, $z, $z + $t))->doubt / Normal::ONE_SIDED_95;
        $doubt = Normal::together($count) * hypot($span, $this->plaster()) / 2;
        $atWall = [
            'left' => abs($cell->u - $run[0]) < 1.0 && $this->ends->isWall('left'),
            'right' => abs($cell->end() - $run[1]) < 1.0 && $this->ends->isWall('right'),
        ];
        // What stands there, and what is kept free of it.
        $from = fn (float $v): float => $atWall['left'] ? max($this->frame->leftAt($v, $z), $this->frame->leftAt($v, $z + $t)) : $cell->u;
        $to = fn (float $v): float => $atWall['right'] ? min($this->frame->rightAt($v, $z), $this->frame->rightAt($v, $z + $t)) : $cell->end();
        $left = fn (float $v): float => $from($v) + $play + ($atWall['left'] ? $doubt : 0.0);
        $right = fn (float $v): float => $to($v) - $play - ($atWall['right'] ? $doubt : 0.0);
        // A back corner lies where its side meets the wall behind; beside an oblique wall that takes a few looks.
        $behind = fn (float $u): float => max($this->frame->backAt($u, $z) + $play, $this->frame->backAt($u, $z + $t) + $play, $this->underTheCeiling($u, $z + $t, $cell));
        [$start, $end] = [$left($cell->back), $right($cell->back)];
        for ($k = 0; $k < self::MEETS; $k++) {
            [$start, $end] = [$left($behind($start)), $right($behind($end))];
        }
        $outline = $this->back($start, $end, $behind);
        array_push($outline, new Point($right($cell->face), $cell->face), new Point($left($cell->face), $cell->face));
        $us = array_map(fn (Point $point) => $point->x, $outline);
        $vs = array_map(fn (Point $point) => $point->y, $outline);
        $length = $this->length($outline, $cell->face, $from, $to, $doubt, count(array_filter($atWall)), $count);
        $depth = Working::start('from the wall behind to its front', Length::ofDouble(max($vs) - min($vs)));

        return new FittedShelf($cell->tier->id, $index, $z, $outline, $length, $depth, $this->tipping($length->result->toDouble(), $cell->face, $z, $count));
    }

    /** A shelf lies between the places that were read, where both walls are as wavy as their plaster is; σ, mm. */
    private function plaster(): float
    {
        $shape = $this->terms->room->shape;
        $textures = $this->terms->room->textures;

        return self::BETWEEN * hypot($textures->of($shape->after($this->frame->wall)), $textures->of($shape->before($this->frame->wall)));
    }

    /** How far out from the wall a shelf is clear of a ceiling that comes down behind it: v, mm. */
    private function underTheCeiling(float $u, float $top, FittedCell $cell): float
    {
        $play = $this->terms->rule(Rule::ShelfAllowance);
        $isClear = fn (float $v): bool => $this->frame->ceilingAt($u, $v) - $top >= $play + Normal::ONE_SIDED_95 * $this->frame->ceilingSigmaAt($u, $v);
        if ($isClear(0.0)) {
            return 0.0;
        }
        [$low, $high] = [0.0, $cell->face];
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($low + $high) / 2;
            $isClear($middle) ? $high = $middle : $low = $middle;
        }

        return $high;
    }

    /**
     * From its leftmost to its rightmost corner: what lies between the walls or the furniture there, less what is kept free.
     *
     * @param  non-empty-list<Point>  $outline
     * @param  \Closure(float): float  $from  what stands to its left, by depth
     * @param  \Closure(float): float  $to
     */
    private function length(array $outline, float $face, \Closure $from, \Closure $to, float $doubt, int $walls, int $count): Working
    {
        $back = array_slice($outline, 0, -2);
        [$leftBack, $rightBack] = [$back[0], $back[count($back) - 1]];
        $between = max($to($rightBack->y), $to($face)) - min($from($leftBack->y), $from($face));
        $what = ['between the furniture', 'between wall and furniture', 'between the walls'][$walls];
        $length = Working::start("$what, at its widest", Length::ofDouble($between))
            ->minusTimes('allowance at each end', 2, $this->terms->rules->get(Rule::ShelfAllowance));
        $together = $count === 1 ? '' : " that all $count go in";

        return match ($walls) {
            0 => $length,
            1 => $length->minus("doubt of the wall, 95 %$together", Length::ofDouble($doubt)),
            default => $length->minusTimes("doubt at each end, 95 %$together", 2, Length::ofDouble($doubt)),
        };
    }

    /**
     * @param  \Closure(float): float  $behind  how far out the back edge may come at a place
     * @return non-empty-list<Point> the back edge from left to right
     */
    private function back(float $left, float $right, \Closure $behind): array
    {
        $steps = max(1, (int) ceil(($right - $left) / self::STATIONS));
        $points = [new Point($left, $behind($left))];
        for ($i = 1; $i <= $steps; $i++) {
            $u = $left + ($right - $left) * $i / $steps;
            $points[] = new Point($u, $behind($u));
        }

        return $points;
    }

    /**
     * How a shelf gets in that may be longer than the way in is wide; null where it surely goes in straight. Its own length is as it is
     * sawn: only the way in is in doubt. Free play it needs only while it is swung.
     */
    private function tipping(float $length, float $face, float $z, int $count): ?Tipping
    {
        $front = $this->frame->span(new Path($face, max($face, $this->frame->mouth()), $z, $z + $this->terms->board()));

        $doubt = Normal::together($count) * hypot($front->doubt / Normal::ONE_SIDED_95, $this->plaster());

        return $length <= $front->width - $doubt ? null : Tipping::of($length, $this->terms->board(), $front->width - $doubt - self::SWING, $length > $front->width);
    }
}
