<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Axis;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Units\Placed;

/**
 * The area in which two pieces meet that stand square in a run: the axis through both, and the extents along the other two,
 * mm. `toward` is 1 where the second lies further along the axis than the first, and −1 where it lies before it.
 */
final readonly class Contact
{
    /** @param array{u: array{float, float}, v: array{float, float}, z: array{float, float}} $extents by axis */
    private function __construct(public Axis $through, public int $toward, public float $at, private array $extents)
    {
    }

    /** Null where one of them stands askew. */
    public static function of(Placed $a, Placed $b): ?self
    {
        if (! $a->pose->isSquare() || ! $b->pose->isSquare()) {
            return null;
        }
        $shared = function (Axis $axis) use ($a, $b): array {
            [[$from, $to], [$low, $high]] = [$a->along($axis), $b->along($axis)];

            return [max($from, $low), min($to, $high)];
        };
        $extents = ['u' => $shared(Axis::U), 'v' => $shared(Axis::V), 'z' => $shared(Axis::Z)];
        $through = Axis::U;
        foreach ([Axis::V, Axis::Z] as $axis) {
            if ($extents[$axis->value][1] - $extents[$axis->value][0] < $extents[$through->value][1] - $extents[$through->value][0]) {
                $through = $axis;
            }
        }
        [[$from, $to], [$low, $high]] = [$a->along($through), $b->along($through)];
        $toward = $low + $high > $from + $to ? 1 : -1;

        return new self($through, $toward, $toward > 0 ? $low : $high, $extents);
    }

    /** @return array{float, float} where the area begins and ends along an axis */
    public function along(Axis $axis): array
    {
        return $this->extents[$axis->value];
    }

    /** Which of the two axes of the area it is longer along. */
    public function line(): Axis
    {
        [$p, $q] = $this->through->across();

        return $this->long($p) >= $this->long($q) ? $p : $q;
    }

    /** The other axis of the area. */
    public function beside(Axis $line): Axis
    {
        [$p, $q] = $this->through->across();

        return $p === $line ? $q : $p;
    }

    public function long(Axis $axis): float
    {
        return $this->extents[$axis->value][1] - $this->extents[$axis->value][0];
    }

    public function middle(Axis $axis): float
    {
        return ($this->extents[$axis->value][0] + $this->extents[$axis->value][1]) / 2;
    }

    /** Whether a piece meets the other with its face, rather than with an edge or an end. */
    public function isFaceOf(Placed $piece): bool
    {
        return Pose::axis($piece->pose->thickness) === $this->through;
    }

    /** The place in the run at so much along a line and beside it, and so far from where they meet, on the first one's side. */
    public function place(Axis $line, float $along, float $beside, float $back = 0.0): Vector
    {
        $at = fn (Axis $axis): float => match ($axis) {
            $this->through => $this->at - $this->toward * $back,
            $line => $along,
            default => $beside,
        };

        return new Vector($at(Axis::U), $at(Axis::V), $at(Axis::Z));
    }
}
