<?php

declare(strict_types=1);

namespace Incastro\Survey\Plan;

use Incastro\Survey\Tool;

/**
 * One take of a reading between corners of a plan, all at one height.
 *
 * A distance lies between `from` and `to`; a corner and a 3-4-5 lie at `at`, opening from `from` to `to`; an offset is the
 * distance of `at` from the line through `from` and `to`. Corners are numbers, going round anticlockwise as seen from
 * above. `value` is mm, or degrees of the interior angle; `legs` are mm.
 */
final readonly class PlanReading
{
    /**
     * @param  array{float, float}|null  $legs
     * @param  float  $rough  what the plaster of its walls adds to its σ, mm or degrees
     */
    public function __construct(
        public string $id,
        public PlanKind $kind,
        public int $from,
        public int $to,
        public ?int $at,
        public float $value,
        public string $typed,
        public Tool $tool,
        public ?array $legs = null,
        public bool $outside = false,
        private float $rough = 0.0,
    ) {
    }

    /** σ in mm, or in degrees of a gauge. */
    public function sigma(): float
    {
        return hypot($this->rough, $this->kind === PlanKind::ThreeFourFive && $this->legs !== null
            ? self::sigmaOfLongSide($this->legs, $this->value, $this->tool)
            : $this->tool->sigma(abs($this->value)));
    }

    /**
     * σ in mm of the long side of a 3-4-5, with those of its legs carried over: c² = a² + b² − 2ab·cos γ gives
     * ∂c/∂a = (a − b·cos γ)/c at the angle read.
     *
     * @param  array{float, float}  $legs
     */
    public static function sigmaOfLongSide(array $legs, float $long, Tool $tool): float
    {
        [$a, $b] = $legs;
        $cos = max(-1.0, min(1.0, ($a ** 2 + $b ** 2 - $long ** 2) / (2 * $a * $b)));
        $side = fn (float $length, float $other) => $tool->sigma($length) * ($length - $other * $cos) / max(1.0, $long);

        return hypot($tool->sigma($long), hypot($side($a, $b), $side($b, $a)));
    }

    /** Whether two are takes of the same reading: the same kind, the same ends. */
    public function isTakeOf(self $other): bool
    {
        $ends = [min($this->from, $this->to), max($this->from, $this->to), $this->at];

        return $this->kind === $other->kind && $this->legs === $other->legs && $ends === [min($other->from, $other->to), max($other->from, $other->to), $other->at];
    }
}
