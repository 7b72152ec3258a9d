<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Units\Assembly;
use Incastro\Units\Movement;
use Incastro\Units\Part;

/**
 * How fronts open, drawn on them as seen from the front: a dashed wedge whose point lies at the hinges, a bar on what is drawn out, and
 * a line with arrows on what slides along.
 */
final readonly class OpeningSigns
{
    /** How long the bar on a drawer is, as a share of its width, and at most; mm. */
    private const BAR = 0.3;

    private const LONGEST = 130.0;

    /** Size of an arrow's head, mm. */
    private const HEAD = 16.0;

    /** A corner so near to an edge lies on it, mm. */
    private const ON_EDGE = 1.0;

    public function __construct(private Assembly $assembly)
    {
    }

    /** @return list<Shape> */
    public function shapes(): array
    {
        $byKey = $this->assembly->byKey();
        $shapes = [];
        foreach ($this->assembly->movements as $movement) {
            $corners = [];
            foreach ($movement->moving as $key) {
                $placed = $byKey[$key] ?? null;
                foreach ($placed?->part === Part::Face ? $placed->solid()->parts : [] as $part) {
                    array_push($corners, ...array_map(fn (array $corner) => [$corner[0], $corner[2]], $part->corners()));
                }
            }
            array_push($shapes, ...($corners === [] ? [] : $this->sign($movement, $corners)));
        }

        return $shapes;
    }

    /**
     * @param  non-empty-list<array{float, float}>  $corners  of the front, along the run and up
     * @return list<Shape>
     */
    private function sign(Movement $movement, array $corners): array
    {
        [$us, $zs] = [array_column($corners, 0), array_column($corners, 1)];
        [$left, $right, $foot, $head] = [min($us), max($us), min($zs), max($zs)];
        $ref = $movement->tier;
        $motion = $movement->motion;
        if (! $motion->isTurn) {
            $middle = ($left + $right) / 2;
            $isOut = abs($motion->from->y) > 0.5;
            $half = min(self::LONGEST, self::BAR * ($right - $left)) / 2;
            $z = ($foot + $this->headAt($corners, $middle, $head)) / 2;

            return $isOut ? [self::line([[$middle - $half, $z], [$middle + $half, $z]], $ref, Style::Marked)] : [
                self::line([[$middle - $half, $z], [$middle + $half, $z]], $ref, Style::Swing),
                self::line([[$middle + $half - self::HEAD, $z + self::HEAD / 2], [$middle + $half, $z], [$middle + $half - self::HEAD, $z - self::HEAD / 2]], $ref, Style::Swing),
            ];
        }
        if (abs($motion->from->x) > 0.5) {
            // Towards its free edge points the way from its hinges.
            [$hinge, $free] = $motion->from->x > 0.0 ? [$left, $right] : [$right, $left];

            return [self::line([[$free, $foot], [$hinge, ($foot + $this->headAt($corners, $hinge, $head)) / 2], [$free, $this->headAt($corners, $free, $head)]], $ref, Style::Swing)];
        }
        [$hinge, $free] = $motion->from->z > 0.0 ? [$foot, $head] : [$head, $foot];

        return [self::line([[$left, $free], [($left + $right) / 2, $hinge], [$right, $free]], $ref, Style::Swing)];
    }

    /**
     * How high a front is at one of its upright edges; elsewhere as high as its lower edge of the two.
     *
     * @param  non-empty-list<array{float, float}>  $corners
     */
    private function headAt(array $corners, float $u, float $head): float
    {
        $there = array_column(array_filter($corners, fn (array $corner) => abs($corner[0] - $u) < self::ON_EDGE), 1);

        return $there === [] ? $head : max($there);
    }

    /** @param non-empty-list<array{float, float}> $points */
    private static function line(array $points, string $ref, Style $style): Outline
    {
        return new Outline(array_map(fn (array $point) => new DrawnPoint($point[0], $point[1]), $points), false, $style, $ref);
    }
}
