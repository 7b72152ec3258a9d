<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Convex;
use Incastro\Geometry\Point;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Strength\Hinges;
use Incastro\Units\Hand;
use Incastro\Units\Motion;

/**
 * A leaf that hangs at one side: how many hinges carry it, where they are, and what it sweeps when it opens by a right angle. The
 * pivot is the foot of its hinge line in the plane of the face, in the run's frame; mm and kg.
 */
final readonly class HungLeaf
{
    /** What hinges and a pull weigh, kg. */
    private const FITTINGS = 0.3;

    /** A leaf's edge goes round by steps of 15°. */
    private const STEPS = 6;

    /** @param array{float, float} $heights at its hinges and at its free edge */
    public function __construct(private Vector $pivot, private Hand $hand, private float $wide, private array $heights)
    {
    }

    /** How many hinges carry a leaf that weighs so much; null where none do. */
    public function hinges(float $weight): ?int
    {
        return Hinges::carrying(max($this->heights), $weight + self::FITTINGS, $this->wide);
    }

    /** Whether it is wider than a leaf is that neither sags nor stands far out. */
    public function isWide(): bool
    {
        return $this->wide > Hinges::WIDE;
    }

    /**
     * Where so many hinges are: the outer two so far from its ends, others evenly between.
     *
     * @return list<float> heights in the run
     */
    public function places(int $count, float $end): array
    {
        $high = $this->heights[0];
        $end = min($end, $high / 4);

        return array_map(fn (int $i): float => $this->pivot->z + $end + $i * ($high - 2 * $end) / ($count - 1), range(0, $count - 1));
    }

    /** Round its hinged edge, by a right angle. */
    public function motion(): Motion
    {
        return Motion::turn($this->pivot, ($this->hand === Hand::Left ? Way::Right : Way::Left)->vector(), Way::Out->vector(), M_PI / 2);
    }

    /**
     * Round its hinged edge, in wedges that are drawn a little too large, each as high as the leaf is there; and the line of all from
     * above.
     *
     * @param  float  $reaches  from the hinge line to its farthest corner
     * @return array{non-empty-list<Solid>, list<Point>}
     */
    public function swept(float $reaches): array
    {
        $way = $this->hand === Hand::Left ? 1.0 : -1.0;
        [$inner, $outer] = $this->heights;
        // Round the arc with a corner between every two of its steps: closed and open it reaches no farther than the leaf.
        $half = M_PI / 4 / self::STEPS;
        $turns = [0.0, ...array_map(fn (int $i): float => (2 * $i + 1) * $half, range(0, self::STEPS - 1)), M_PI / 2];
        $edge = function (int $i) use ($way, $turns, $half, $reaches): Vector {
            $radius = $i === 0 || $i === self::STEPS + 1 ? $reaches : $reaches / cos($half);

            return $this->pivot->plus(new Vector($way * $radius * cos($turns[$i]), $radius * sin($turns[$i]), 0.0));
        };
        $swept = [];
        $line = [new Point($this->pivot->x, $this->pivot->y), new Point($edge(0)->x, $edge(0)->y)];
        foreach (range(1, self::STEPS + 1) as $i) {
            [$a, $b] = [$edge($i - 1), $edge($i)];
            $line[] = new Point($b->x, $b->y);
            $foot = array_map(fn (Vector $at) => new Point($at->x, $at->y), $way > 0.0 ? [$this->pivot, $a, $b] : [$this->pivot, $b, $a]);
            $wedge = Convex::plate($foot, max($inner, $outer), Pose::at(0.0, 0.0, $this->pivot->z, Way::Right, Way::Out, Way::Up));
            // The upper edge rises from the hinge, or falls: a plane over the three corners.
            $up = fn (Vector $at, float $high) => $at->plus(new Vector(0.0, 0.0, $high));
            $normal = $up($a, $outer)->minus($up($this->pivot, $inner))->cross($up($b, $outer)->minus($up($this->pivot, $inner)));
            $normal = $normal->z < 0.0 ? $normal->times(-1.0) : $normal;
            $swept[] = new Solid([$wedge->cut($normal, $normal->dot($up($this->pivot, $inner))) ?? $wedge]);
        }

        return [$swept, $line];
    }
}
