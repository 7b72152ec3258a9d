<?php

declare(strict_types=1);

namespace Incastro\Log;

/** Whether readings are off to one side: their mean, and the interval that holds the true one in 95 of 100 (Student’s t). */
final readonly class Bias
{
    /** t at 0.975 by degrees of freedom; beyond the table as with no end. */
    private const T = [1 => 12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.160, 2.145, 2.131, 2.120, 2.110, 2.101, 2.093, 2.086, 2.080, 2.074, 2.069, 2.064, 2.060, 2.056, 2.052, 2.048, 2.045, 2.042];

    private const T_BEYOND = 1.960;

    public float $mean;

    public float $deviation;

    /** Half of the interval. */
    public float $half;

    /** @param non-empty-list<float> $values */
    public function __construct(public array $values)
    {
        $n = count($values);
        $this->mean = array_sum($values) / $n;
        $this->deviation = $n < 2 ? INF : sqrt(array_sum(array_map(fn (float $one): float => ($one - $this->mean) ** 2, $values)) / ($n - 1));
        $this->half = $n < 2 ? INF : (self::T[$n - 1] ?? self::T_BEYOND) * $this->deviation / sqrt($n);
    }

    /** Whether nothing is no longer possible, and it is worth a word. */
    public function isOff(float $least): bool
    {
        return abs($this->mean) > $this->half && abs($this->mean) >= $least;
    }
}
