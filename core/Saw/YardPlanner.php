<?php

declare(strict_types=1);

namespace Incastro\Saw;

use Incastro\Cut\Axis;
use Incastro\Cut\PlannedSheet;
use Incastro\Cut\SawSetup;

/**
 * Chooses the cuts of each sheet that the yard makes: of all that it can make within its number, those that leave the fewest cuts that
 * nobody can make at home, then the fewest parts that do not go home, the fewest that one person cannot push, and the lightest ones.
 */
final readonly class YardPlanner
{
    /** Sets of cuts that are tried of one sheet. */
    private const TRIED = 1500;

    /** @param \Closure(string): float $density */
    public function __construct(private Yard $yard, private SawSetup $saw, private Tools $tools, private \Closure $density)
    {
    }

    public function cuts(PlannedSheet $sheet, Slice $slice): YardCuts
    {
        $best = new YardCuts([]);
        if ($slice->axis === null || $sheet->stock->isSawn) {
            return $best;
        }
        $least = $this->cost($sheet, $slice, $best);
        $tried = 0;
        foreach ($this->choices($slice) as $cuts) {
            if (++$tried > self::TRIED) {
                break;
            }
            if (! $this->goes($sheet, $slice, $cuts)) {
                continue;
            }
            $cost = $this->cost($sheet, $slice, $cuts);
            if ($cost < $least) {
                [$best, $least] = [$cuts, $cost];
            }
        }

        return $best;
    }

    /** @return iterable<YardCuts> closed towards the root: a slice is cut across when it is a part by itself */
    private function choices(Slice $slice): iterable
    {
        foreach (self::some(range(0, count($slice->slices) - 1), $this->yard->cuts) as $after) {
            $alone = array_column(array_filter(YardCuts::runs($after, count($slice->slices)), fn (array $run) => $run[1] === 1 && $slice->slices[$run[0]]->axis !== null), 0);
            foreach ($this->across($slice, $alone, $this->yard->cuts - count($after)) as $within) {
                yield new YardCuts($after, $within);
            }
        }
    }

    /**
     * Cuts across slices that are parts by themselves, no more than so many in all.
     *
     * @param  list<int>  $alone
     * @return iterable<array<int, list<int>>>
     */
    private function across(Slice $slice, array $alone, int $most): iterable
    {
        yield [];
        foreach ($alone as $i => $one) {
            foreach (self::some(range(0, count($slice->slices[$one]->slices) - 1), $most) as $within) {
                foreach ($this->across($slice, array_slice($alone, $i + 1), $most - count($within)) as $others) {
                    yield [$one => $within] + $others;
                }
            }
        }
    }

    /**
     * Every choice of one to so many.
     *
     * @param  list<int>  $from
     * @return iterable<list<int>>
     */
    private static function some(array $from, int $most): iterable
    {
        foreach ($most < 1 ? [] : $from as $i => $first) {
            yield [$first];
            foreach (self::some(array_slice($from, $i + 1), $most - 1) as $rest) {
                yield [$first, ...$rest];
            }
        }
    }

    /** Whether the sheet gives what is asked for although every part comes larger than asked by the tolerance. */
    private function goes(PlannedSheet $sheet, Slice $slice, YardCuts $cuts): bool
    {
        assert($slice->axis !== null);
        $saw = $this->saw->on($sheet->stock);
        [$long, $wide] = [$sheet->stock->length->nanometres(), $sheet->stock->width->nanometres()];
        $isX = $slice->axis === Axis::X;
        if (! $this->holds($slice->axis, $slice->slices, $cuts->after, $isX ? $long : $wide, $isX ? $saw->trimStart->nanometres() : $saw->trimLow->nanometres(), $isX ? $saw->trimEnd->nanometres() : $saw->trimHigh->nanometres())) {
            return false;
        }
        foreach ($cuts->within as $one => $within) {
            if (! $this->holds($slice->axis->across(), $slice->slices[$one]->slices, $within, $isX ? $wide : $long, $isX ? $saw->trimLow->nanometres() : $saw->trimStart->nanometres(), $isX ? $saw->trimHigh->nanometres() : $saw->trimEnd->nanometres())) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<Slice>  $slices
     * @param  list<int>  $after
     */
    private function holds(Axis $axis, array $slices, array $after, int $extent, int $near, int $far): bool
    {
        $runs = YardCuts::runs($after, count($slices));
        foreach ($runs as $r => [$from, $many]) {
            if ($many === 0) {
                return $extent - count($after) * $this->yard->tolerance >= $this->yard->leastStrip;
            }
            $needed = $this->needed($axis, array_slice($slices, $from, $many));
            if ($r === count($runs) - 1) {
                return $extent - count($after) * $this->yard->tolerance >= max($needed + max($far, $this->saw->kerf->nanometres()), $this->yard->leastStrip);
            }
            $raw = $this->yard->raw($needed, $r === 0 ? $near : 0);
            if ($raw < $this->yard->leastStrip) {
                return false;
            }
            $extent -= $raw + $this->yard->kerf;
        }

        return true;
    }

    /** @param list<Slice> $slices */
    private function needed(Axis $axis, array $slices): int
    {
        return array_sum(array_map(fn (Slice $slice) => $slice->size($axis), $slices)) + (count($slices) - 1) * $this->saw->kerf->nanometres();
    }

    /** @return array{int, int, int, float, int} cuts that nobody makes, parts that do not ride, that are heavy, kg of the heaviest, cuts of the yard */
    private function cost(PlannedSheet $sheet, Slice $slice, YardCuts $cuts): array
    {
        $forest = new Forest([$sheet], [$slice], $this->saw, $this->tools, $this->density, yard: [$cuts]);
        $never = count(array_filter($forest->cuts(), fn (PlannedCut $cut) => $cut->way === null));
        $parts = $forest->carried();
        $heavy = array_filter($parts, fn (Part $part) => $this->tools->push() > 0.0 && $part->kg > $this->tools->push());

        return [$never, count(array_filter($parts, fn (Part $part) => ! $this->yard->rides($part->x, $part->y))), count($heavy), round(max(0.0, ...array_map(fn (Part $part) => $part->kg, $parts)), 3), $cuts->count()];
    }
}
