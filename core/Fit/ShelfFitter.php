<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Geometry\Point;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Rule;
use Incastro\Survey\Network\Normal;
use Incastro\Survey\Path;
use Incastro\Survey\Room\RunFrame;

/**
 * Shelves on cleats between two walls that lean, before a wall that may bow: each has four true corners of its own. The
 * doubt of their lengths is taken off together, since all of them must go in (handbook, "Allowances").
 */
final readonly class ShelfFitter
{
    /** Most between two points of a back edge, mm. */
    private const STATIONS = 200.0;

    /** Times that a back corner is looked for. */
    private const MEETS = 4;

    /** Free on both sides together while a shelf is swung in, mm (handbook, "Allowances"). */
    private const SWING = 4.0;

    public function __construct(private Terms $terms, private RunFrame $frame, private Ends $ends)
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
            $count = $cell->isTooSmall($t) ? 0 : $cell->shelves();
            $clear = $cell->clearBetween($t);
            for ($i = 1; $i <= $count; $i++) {
                $shelves[] = $this->shelf($cell, $i, $count, $cell->z + $i * $clear + ($i - 1) * $t, $run);
            }
        }

        return $shelves;
    }

    /** @param array{float, float} $run */
    private function shelf(FittedCell $cell, int $index, int $count, float $z, array $run): FittedShelf
    {
        $t = $this->terms->board();
        $play = $this->terms->rule(Rule::ShelfAllowance);
        $doubt = $this->frame->span(new Path($cell->back, $cell->face, $z, $z + $t))->doubt * Normal::together($count) / Normal::ONE_SIDED_95 / 2;
        $left = fn (float $v): float => abs($cell->u - $run[0]) < 1.0 && $this->ends->isWall('left')
            ? max($this->frame->leftAt($v, $z), $this->frame->leftAt($v, $z + $t)) + $play + $doubt
            : $cell->u + $play;
        $right = fn (float $v): float => abs($cell->end() - $run[1]) < 1.0 && $this->ends->isWall('right')
            ? min($this->frame->rightAt($v, $z), $this->frame->rightAt($v, $z + $t)) - $play - $doubt
            : $cell->end() - $play;
        // A back corner lies where its side meets the wall behind; beside an oblique wall that takes a few looks.
        $behind = fn (float $u): float => max($this->frame->backAt($u, $z), $this->frame->backAt($u, $z + $t)) + $play;
        [$from, $to] = [$left($cell->back), $right($cell->back)];
        for ($k = 0; $k < self::MEETS; $k++) {
            [$from, $to] = [$left($behind($from)), $right($behind($to))];
        }
        $outline = $this->back($from, $to, $behind);
        array_push($outline, new Point($right($cell->face), $cell->face), new Point($left($cell->face), $cell->face));
        $us = array_map(fn (Point $point) => $point->x, $outline);
        $vs = array_map(fn (Point $point) => $point->y, $outline);
        $length = Working::start('between the walls, at its widest', Length::ofDouble(max($us) - min($us) + 2 * ($play + $doubt)))
            ->minusTimes('allowance at each end', 2, $this->terms->rules->get(Rule::ShelfAllowance))
            ->minusTimes($count === 1 ? 'doubt at each end, 95 %' : "doubt at each end, 95 % that all $count go in", 2, Length::ofDouble($doubt));
        $depth = Working::start('from the wall behind to its front', Length::ofDouble(max($vs) - min($vs)));

        return new FittedShelf($cell->tier->id, $index, $z, $outline, $length, $depth, $this->tipping($length->result->toDouble(), $cell->face, $z));
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

    /** How a shelf that is longer than the way in is surely wide gets in; null where it goes in straight. */
    private function tipping(float $length, float $face, float $z): ?Tipping
    {
        $front = $this->frame->span(new Path($face, max($face, $this->frame->mouth()), $z, $z + $this->terms->board()));

        return Tipping::of($length, $this->terms->board(), $front->width - $front->doubt - self::SWING);
    }
}
