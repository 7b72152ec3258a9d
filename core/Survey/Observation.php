<?php

declare(strict_types=1);

namespace Incastro\Survey;

/**
 * What one reading says about the unknowns: a value with its σ, and the function that predicts it.
 *
 * An assumption (walls do not twist much) is an observation too, but nobody read it, so it is never accused.
 */
final readonly class Observation
{
    /**
     * @param  list<int>  $depends  the unknowns that the prediction looks at
     * @param  \Closure(array<int, float>): float  $predict
     */
    public function __construct(
        public string $id,
        public float $value,
        public float $sigma,
        public array $depends,
        public \Closure $predict,
        public bool $isAssumption = false,
    ) {
    }

    /**
     * A linear observation: Σ weight·unknown.
     *
     * @param  array<int, float>  $weights  by unknown
     */
    public static function linear(string $id, float $value, float $sigma, array $weights, bool $isAssumption = false): self
    {
        $weights = array_filter($weights, fn (float $weight) => $weight !== 0.0);

        return new self($id, $value, $sigma, array_keys($weights), function (array $x) use ($weights): float {
            $sum = 0.0;
            foreach ($weights as $i => $weight) {
                $sum += $weight * $x[$i];
            }

            return $sum;
        }, $isAssumption);
    }
}
