<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\FittedBay;
use Incastro\Fit\FittedCell;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Terms;
use Incastro\Geometry\Axis;
use Incastro\Geometry\Block;
use Incastro\Geometry\Pose;
use Incastro\Measure\Length;
use Incastro\Rules\Edits;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Units\Placed;

/**
 * Moves the boards between two bays or two tiers past a thing that they run across, to the one side or the other, by the size
 * of the bay at their left or of the tier below them. Lengths in mm, in the run's frame.
 */
final readonly class PastThing
{
    public function __construct(private FittedRun $run, private Terms $terms)
    {
    }

    /**
     * @param  Placed  $board  that runs across it
     * @param  Block  $thing  what the thing takes up
     * @param  FittedCell  $cell  the cell that the board bounds
     * @return list<WayOut> the shorter move first; none for a board that stands at an end of the run
     */
    public function ways(Placed $board, Block $thing, FittedCell $cell): array
    {
        return match ($board->pose->isSquare() ? Pose::axis($board->pose->thickness) : null) {
            Axis::U => $this->acrossBays(($board->bounds->u0 + $board->bounds->u1) / 2, $thing, $cell),
            Axis::Z => $this->acrossTiers(($board->bounds->z0 + $board->bounds->z1) / 2, $thing, $cell),
            default => [],
        };
    }

    /** @return list<WayOut> */
    private function acrossBays(float $at, Block $thing, FittedCell $cell): array
    {
        foreach ($this->run->bays as $i => $right) {
            $left = $this->run->bays[$i - 1] ?? null;
            if ($left === null || ! in_array($cell->bayId, [$left->bay->id, $right->bay->id], true)) {
                continue;
            }
            $boards = [$left->end - ($this->isAlone($left) ? $this->terms->board() : 0.0), $right->u + ($this->isAlone($right) ? $this->terms->board() : 0.0)];
            if ($at > $boards[0] && $at < $boards[1]) {
                return $this->either($boards, [$thing->u0, $thing->u1], $left->width->result, fn (Length $size) => new WayOut(
                    sprintf('Make bay %d %s wide, so that its side passes beside', $i, $this->terms->format->write($size)),
                    Edits::bay($left->bay->id)->measuring('size', $size),
                ));
            }
        }

        return [];
    }

    /** @return list<WayOut> */
    private function acrossTiers(float $at, Block $thing, FittedCell $cell): array
    {
        $tiers = array_values(array_filter($this->run->cells, fn (FittedCell $other) => $other->bayId === $cell->bayId));
        usort($tiers, fn (FittedCell $a, FittedCell $b) => $a->z <=> $b->z);
        $t = $this->terms->board();
        foreach ($tiers as $i => $upper) {
            $lower = $tiers[$i - 1] ?? null;
            if ($lower === null || ! in_array($cell->tier->id, [$lower->tier->id, $upper->tier->id], true)) {
                continue;
            }
            $boards = [$this->top($lower), $upper->z + ($this->isOuter($upper) ? $t : 0.0)];
            if ($at > $boards[0] && $at < $boards[1]) {
                return $this->either($boards, [$thing->z0, $thing->z1], $lower->height->result, fn (Length $size) => new WayOut(
                    sprintf('Make the tier below %s high, so that its boards pass beside', $this->terms->format->write($size)),
                    Edits::tier($lower->tier->id)->measuring('size', $size),
                ));
            }
        }

        return [];
    }

    /** Where the clear opening of a tier ends. */
    private function top(FittedCell $cell): float
    {
        return $cell->z + $cell->height->result->toDouble() - ($this->isOuter($cell) ? $this->terms->board() : 0.0);
    }

    /** Whether the sizes of a cell are the outer ones of its box. */
    private function isOuter(FittedCell $cell): bool
    {
        return $cell->boxId !== null && $this->run->box($cell->boxId)?->hasOneCell() === true;
    }

    /** Whether the width of a bay is the outer one of boxes of its own. */
    private function isAlone(FittedBay $bay): bool
    {
        foreach ($this->run->run->groups() as $group) {
            if (in_array($bay->bay, $group, true)) {
                return count($group) === 1 && $bay->bay->tiers[0]->isBoxed();
            }
        }

        return false;
    }

    /**
     * @param  array{float, float}  $boards  from and to
     * @param  array{float, float}  $thing  from and to
     * @param  \Closure(Length): WayOut  $way
     * @return list<WayOut>
     */
    private function either(array $boards, array $thing, Length $size, \Closure $way): array
    {
        $play = $this->terms->rule(Rule::NotchPlay);
        $step = $this->terms->format->step;
        $moves = [$thing[0] - $play - $boards[1], $thing[1] + $play - $boards[0]];
        usort($moves, fn (float $a, float $b) => abs($a) <=> abs($b));
        $ways = [];
        foreach ($moves as $move) {
            $moved = $size->plus(Length::ofDouble($move));
            $moved = $move < 0.0 ? $moved->roundedDown($step) : $moved->roundedUp($step);
            if ($moved->isPositive()) {
                $ways[] = $way($moved);
            }
        }

        return $ways;
    }
}
