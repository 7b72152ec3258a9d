<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Layout\Run;
use Incastro\Fit\Layout\RunEnd;
use Incastro\Fit\Members\Over;
use Incastro\Survey\Network\Normal;
use Incastro\Survey\Room\RunFrame;

/**
 * What stands at the ends of a run: a wall, nothing, what stands before its own wall, or another run, at whose face it stops. A stop is where that face lies
 * in this run's own frame, mm.
 */
final readonly class Ends
{
    public ?float $leftStop;

    public ?float $rightStop;

    /** How much farther out the face of the run stopped at may stand: its wall may bulge more than is known, 95 %, mm. */
    public float $leftDoubt;

    public float $rightDoubt;

    /** What stands before the wall of the run, beside which it begins and ends. */
    private ?FittedSurface $leftBeside;

    private ?FittedSurface $rightBeside;

    /** The runs round the corner that they stop at. */
    private ?FittedRun $leftRun;

    private ?FittedRun $rightRun;

    /**
     * @param  list<FittedRun>  $before  runs that were fitted before; an end that goes through does not stop at them
     * @param  array<string, FittedSurface>  $surfaces  what stands before walls, by id
     * @param  array{left?: FittedRun, right?: FittedRun}  $corners  runs round a corner at whose face this one stops, however far along they come
     * @param  float  $face  of this run, mm from its wall
     */
    public function __construct(private RunFrame $frame, Run $run, array $before, array $surfaces, array $corners, float $face)
    {
        $left = $right = $leftRun = $rightRun = null;
        $leftDoubt = $rightDoubt = 0.0;
        foreach ($before as $other) {
            if ($other->isOpen()) {
                continue;
            }
            // The other run's face as a line in this frame: from its left end to its right.
            $points = [];
            foreach ([$other->left, $other->right] as $u) {
                $points[] = $frame->place($other->frame->point($u, $other->front()));
                $points[] = $frame->place($other->frame->point($u, 0.0));
            }
            $vs = array_column($points, 1);
            if (min($vs) > $face || max($vs) < 0.0) {
                continue;
            }
            $us = array_column($points, 0);
            if (array_sum($us) / 4 < $frame->length() / 2) {
                $leftRun = $left === null || max($us) > $left ? $other : $leftRun;
                $left = max($left ?? -INF, max($us));
                $leftDoubt = max($leftDoubt, self::doubtOf($other));
            } else {
                $rightRun = $right === null || min($us) < $right ? $other : $rightRun;
                $right = min($right ?? INF, min($us));
                $rightDoubt = max($rightDoubt, self::doubtOf($other));
            }
        }
        $left = $run->left === RunEnd::Through ? null : $left;
        $right = $run->right === RunEnd::Through ? null : $right;
        $this->leftBeside = $surfaces[$run->from] ?? null;
        $this->rightBeside = $surfaces[$run->to] ?? null;
        $this->leftRun = $corners['left'] ?? ($left === null ? null : $leftRun);
        $this->rightRun = $corners['right'] ?? ($right === null ? null : $rightRun);
        $this->leftStop = $this->leftBeside?->end() ?? (isset($corners['left']) ? max($this->lineOf($corners['left'], $corners['left']->front(), $face)) : $left);
        $this->rightStop = $this->rightBeside->u ?? (isset($corners['right']) ? min($this->lineOf($corners['right'], $corners['right']->front(), $face)) : $right);
        $this->leftDoubt = $this->leftBeside !== null ? 0.0 : (isset($corners['left']) ? self::doubtOf($corners['left']) : ($left === null ? 0.0 : $leftDoubt));
        $this->rightDoubt = $this->rightBeside !== null ? 0.0 : (isset($corners['right']) ? self::doubtOf($corners['right']) : ($right === null ? 0.0 : $rightDoubt));
    }

    /** 95 % of what the wall behind a run may stand out farther than it was planned for, where it is known least. */
    private static function doubtOf(FittedRun $other): float
    {
        $sigma = 0.0;
        foreach ([$other->left, ($other->left + $other->right) / 2, $other->right] as $u) {
            foreach ([0.0, $other->frame->ceilingAt($u, 0.0)] as $z) {
                $sigma = max($sigma, $other->frame->backSigmaAt($u, $z));
            }
        }

        return Normal::ONE_SIDED_95 * $sigma;
    }

    /**
     * Where the back of what lies over the run that is stopped at meets this run's wall, and how much farther along it lies for each mm
     * out from that; null where no run stands there.
     *
     * @return array{float, float}|null
     */
    public function behind(string $side): ?array
    {
        $other = $side === 'left' ? $this->leftRun : $this->rightRun;
        if ($other === null) {
            return null;
        }
        [$at, $out] = $this->lineOf($other, max([0.0, ...array_map(fn (Over $over) => $over->v, $other->over())]), 1.0);

        return [$at, $out - $at];
    }

    /**
     * Where a line so far from the wall of another run, carried on to the corner, lies at this run's wall and so far out from it: u, mm.
     *
     * @return array{float, float}
     */
    private function lineOf(FittedRun $other, float $from, float $face): array
    {
        [$pu, $pv] = $this->frame->place($other->frame->point(0.0, $from));
        [$qu, $qv] = $this->frame->place($other->frame->point($other->frame->length(), $from));
        $at = fn (float $v): float => $pu + ($v - $pv) * ($qu - $pu) / ($qv - $pv);

        return [$at(0.0), $at($face)];
    }

    /** What it stops at, as it is called within a sentence. */
    public function stopsAt(string $side): string
    {
        return ($side === 'left' ? $this->leftBeside : $this->rightBeside)->mark ?? 'the other run';
    }

    public function isWall(string $side): bool
    {
        return ! $this->frame->isOpen($side) && ($side === 'left' ? $this->leftStop : $this->rightStop) === null;
    }
}
