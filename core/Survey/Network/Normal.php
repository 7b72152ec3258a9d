<?php

declare(strict_types=1);

namespace Incastro\Survey\Network;

/** Quantiles of the normal distribution. */
final class Normal
{
    /** One-sided 95 %. */
    public const ONE_SIDED_95 = 1.645;

    /** Two-sided 95 %. */
    public const TWO_SIDED_95 = 1.96;

    /**
     * The limit beyond which one of n normalised residuals is accused, at a family-wise 5 %: two-sided, α = 0.05/n
     * (handbook, "Adjusting the readings").
     */
    public static function familyWise(int $n): float
    {
        return self::upper(0.025 / max(1, $n));
    }

    /**
     * What takes the place of 1.645 where n alike pieces must all go in: the one-sided quantile for 0.05/n (handbook,
     * "Allowances").
     */
    public static function together(int $n): float
    {
        return $n <= 1 ? self::ONE_SIDED_95 : self::upper(0.05 / $n);
    }

    /**
     * The value that a normal variable passes with probability p < 0.5, by the rational approximation of Abramowitz and
     * Stegun 26.2.23, good to 4.5·10⁻⁴.
     */
    public static function upper(float $p): float
    {
        $t = sqrt(-2 * log($p));

        return $t - (2.515517 + 0.802853 * $t + 0.010328 * $t ** 2) / (1 + 1.432788 * $t + 0.189269 * $t ** 2 + 0.001308 * $t ** 3);
    }
}
