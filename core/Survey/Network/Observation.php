<?php

declare(strict_types=1);

namespace Incastro\Survey\Network;

/**
 * What one reading says about the unknowns: a value with its σ, and the function that predicts it.
 *
 * An assumption (walls do not twist much) is an observation too, but nobody read it, so it is never accused.
 */
final readonly class Observation
{
    /**
     * @param  list<int>  $depends  the unknowns that the prediction looks at and of which no slope is known
     * @param  \Closure(array<int, float>): float  $predict
     * @param  bool  $isAngle  in degrees, where a whole turn makes no difference
     * @param  array<int, float>|null  $weights  of the unknowns, where the prediction is a linear function of them
     * @param  (\Closure(array<int, float>): array<int, float>)|null  $slopes  derivatives by further unknowns, where known
     */
    public function __construct(
        public string $id,
        public float $value,
        public float $sigma,
        public array $depends,
        public \Closure $predict,
        public bool $isAngle = false,
        public bool $isAssumption = false,
        public ?array $weights = null,
        private ?\Closure $slopes = null,
    ) {
    }

    /**
     * The derivatives that are known in closed form.
     *
     * @param  array<int, float>  $x
     * @return array<int, float> by unknown
     */
    public function slopes(array $x): array
    {
        return $this->slopes === null ? [] : ($this->slopes)($x);
    }

    /** The same with so much more doubt, mm or degrees. */
    public function widened(float $by): self
    {
        return new self($this->id, $this->value, hypot($this->sigma, $by), $this->depends, $this->predict, $this->isAngle, $this->isAssumption, $this->weights, $this->slopes);
    }

    /** The same with its doubt so many times as large; what nobody read stays as it is. */
    public function scaled(float $by): self
    {
        return $this->isAssumption ? $this : new self($this->id, $this->value, $this->sigma * $by, $this->depends, $this->predict, $this->isAngle, false, $this->weights, $this->slopes);
    }

    /** The same, as something that nobody read. */
    public function asAssumption(): self
    {
        return new self($this->id, $this->value, $this->sigma, $this->depends, $this->predict, $this->isAngle, true, $this->weights, $this->slopes);
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
        }, false, $isAssumption, $weights);
    }
}
