<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/**
 * A shape as convex ones: cut across at the x of every corner into trapezia, which are put together again from left to right
 * as long as what they make stays convex.
 */
final class ConvexParts
{
    private const NARROWEST = 1e-4;

    /** @var list<array{lower: list<Point>, upper: list<Point>}> */
    private array $parts = [];

    /** @var array<int, true> parts that end where the strip at hand begins */
    private array $open = [];

    public function __construct(private readonly Outline $outline)
    {
        $sides = $xs = [];
        foreach ([$outline->outer, ...$outline->holes] as $polygon) {
            foreach ($polygon->points as $i => $a) {
                $b = $polygon->points[($i + 1) % count($polygon->points)];
                $xs[] = $a->x;
                if (abs($a->x - $b->x) > 1e-9) {
                    $sides[] = $a->x < $b->x ? [$a, $b] : [$b, $a];
                }
            }
        }
        sort($xs);
        $from = $xs[0];
        foreach ($xs as $to) {
            if ($to - $from > self::NARROWEST) {
                $this->strip($from, $to, $sides);
                $from = $to;
            }
        }
    }

    /** @param list<array{Point, Point}> $sides each from left to right */
    private function strip(float $from, float $to, array $sides): void
    {
        $middle = ($from + $to) / 2;
        $across = [];
        foreach ($sides as [$a, $b]) {
            if ($a->x < $middle && $b->x > $middle) {
                $at = fn (float $x): float => $a->y + ($x - $a->x) / ($b->x - $a->x) * ($b->y - $a->y);
                $across[] = [$at($middle), $at($from), $at($to)];
            }
        }
        sort($across);
        $next = [];
        for ($i = 0; $i + 1 < count($across); $i += 2) {
            [, $low0, $low1] = $across[$i];
            [, $high0, $high1] = $across[$i + 1];
            $next[$this->put(new Point($from, $low0), new Point($to, $low1), new Point($from, $high0), new Point($to, $high1))] = true;
        }
        $this->open = $next;
    }

    /** Puts a trapezium to the part that it goes on from, or begins one; which that is. */
    private function put(Point $low0, Point $low1, Point $high0, Point $high1): int
    {
        foreach (array_keys($this->open) as $i) {
            ['lower' => $lower, 'upper' => $upper] = $this->parts[$i];
            $goesOn = $lower[count($lower) - 1]->distanceTo($low0) < self::NARROWEST && $upper[count($upper) - 1]->distanceTo($high0) < self::NARROWEST;
            if ($goesOn && self::turn($lower[count($lower) - 2], $low0, $low1) > -1e-9 && self::turn($upper[count($upper) - 2], $high0, $high1) < 1e-9) {
                $this->parts[$i] = ['lower' => [...$lower, $low1], 'upper' => [...$upper, $high1]];
                unset($this->open[$i]);

                return $i;
            }
        }
        $this->parts[] = ['lower' => [$low0, $low1], 'upper' => [$high0, $high1]];

        return count($this->parts) - 1;
    }

    /** Sine of the turn from a to b to c: more than 0 to the left. */
    private static function turn(Point $a, Point $b, Point $c): float
    {
        return (($b->x - $a->x) * ($c->y - $b->y) - ($b->y - $a->y) * ($c->x - $b->x)) / max(1e-12, $a->distanceTo($b) * $b->distanceTo($c));
    }

    /** @return list<list<Point>> */
    public function all(): array
    {
        $all = [];
        foreach ($this->parts as ['lower' => $lower, 'upper' => $upper]) {
            $ring = [];
            foreach ([...$lower, ...array_reverse($upper)] as $point) {
                if ($ring === [] || ($ring[count($ring) - 1]->distanceTo($point) > self::NARROWEST && $ring[0]->distanceTo($point) > self::NARROWEST)) {
                    $ring[] = $point;
                }
            }
            if (count($ring) > 2) {
                $all[] = $ring;
            }
        }

        return $all;
    }
}
