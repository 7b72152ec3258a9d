<?php

declare(strict_types=1);

namespace Incastro\Survey;

/**
 * An alcove as found, in the frame of a run along its back wall: u left to right as one faces it, v from the back wall
 * into the room, z up from the highest floor point. Double millimetres.
 */
final readonly class Room
{
    /** One-sided 95 % quantile of the normal distribution. */
    public const QUANTILE = 1.645;

    public function __construct(
        public WallSurface $left,
        public WallSurface $right,
        public float $depthLeft,
        public float $depthRight,
        public float $depthSigma,
        public LevelPlane $floor,
        public CeilingLine $ceiling,
        public ?float $heightInFront,
        public float $heightInFrontSigma,
        public float $skirtingHeight,
        public float $skirtingThickness,
        private Adjusted $adjusted,
    ) {
    }

    /** The depth in mm at which the alcove opens: where the shallower side wall ends. */
    public function mouth(): float
    {
        return min($this->depthLeft, $this->depthRight);
    }

    /** Where the left wall, or skirting on it that stays, stands at a place. */
    public function leftAt(float $v, float $z, bool $withSkirting = false): float
    {
        return $this->left->at($v, $z) + ($withSkirting && $z < $this->skirtingTop() ? $this->skirtingThickness : 0.0);
    }

    public function rightAt(float $v, float $z, bool $withSkirting = false): float
    {
        return $this->right->at($v, $z) - ($withSkirting && $z < $this->skirtingTop() ? $this->skirtingThickness : 0.0);
    }

    /** Top of the skirting above the datum, where the floor is highest. */
    public function skirtingTop(): float
    {
        return $this->skirtingHeight;
    }

    /** σ in mm of the distance from a wall to anything placed by both walls, at a place of that wall. */
    public function sigmaAt(WallSurface $wall, float $v, float $z): float
    {
        $weights = $wall->weightsAt($v, $z);
        foreach ($this->middle($v) as $i => $weight) {
            $weights[$i] = ($weights[$i] ?? 0.0) - $weight;
        }

        return $this->adjusted->sigmaOf($weights);
    }

    /**
     * Clear span along a path (handbook, "The frame of a run, and clear span"). Both walls are linear between bends,
     * so the extremes lie at the corners of the path and at the bends. U covers every pair of places, not only the
     * tightest: a pair 1 mm wider but known 3 mm worse may be the one that binds.
     */
    public function span(Path $path, bool $withSkirting = false): ClearSpan
    {
        $heights = $this->left->bendsBetween($path->bottom, $path->top);
        if ($withSkirting && $this->skirtingTop() > $path->bottom) {
            $heights[] = min($path->top, $this->skirtingTop() - 1e-3);
        }
        $places = [];
        foreach ([$path->back, $path->front] as $v) {
            foreach ($heights as $z) {
                $places[] = [$v, $z];
            }
        }
        $safe = INF;
        $best = null;
        foreach ($places as $l) {
            $left = $this->leftAt($l[0], $l[1], $withSkirting);
            foreach ($places as $r) {
                $right = $this->rightAt($r[0], $r[1], $withSkirting);
                $weights = $this->right->weightsAt($r[0], $r[1]);
                foreach ($this->left->weightsAt($l[0], $l[1]) as $i => $weight) {
                    $weights[$i] = -$weight;
                }
                $safe = min($safe, $right - $left - self::QUANTILE * $this->adjusted->sigmaOf($weights));
                if ($best === null || $right - $left < $best[0] - 1e-6) {
                    $best = [$right - $left, $left, $right, $l, $r];
                }
            }
        }
        assert($best !== null);

        return new ClearSpan($best[0], $best[0] - $safe, $best[1], $best[2], $best[3][0], $best[3][1], $best[4][0], $best[4][1]);
    }

    /** Half way between the walls at a depth, as weights of the unknowns. @return array<int, float> */
    private function middle(float $v): array
    {
        $weights = [];
        $rows = $this->left->bendsBetween(0.0, $this->ceiling->lowest());
        foreach ([$this->left, $this->right] as $wall) {
            foreach ($rows as $z) {
                foreach ($wall->weightsAt($v, $z) as $i => $weight) {
                    $weights[$i] = ($weights[$i] ?? 0.0) + $weight / (2 * count($rows));
                }
            }
        }

        return $weights;
    }
}
