<?php

declare(strict_types=1);

namespace Incastro\Fit;

/**
 * A shelf longer than its way in is tipped: by the least angle φ with L·cos φ + t·sin φ ≤ the width, which needs
 * L·sin φ + t·cos φ of free height (handbook, "Allowances"). Angle in radians, height in mm. It is likely where the way in is more likely too narrow
 * than not; else it only may come to that.
 */
final readonly class Tipping
{
    private function __construct(public float $angle, public float $height, public bool $isLikely)
    {
    }

    /** Null where it goes in straight. */
    public static function of(float $length, float $thickness, float $width, bool $isLikely = true): ?self
    {
        if ($length <= $width) {
            return null;
        }
        // L·cos φ + t·sin φ = R·cos(φ − δ) with R = √(L² + t²), tan δ = t/L.
        $reach = hypot($length, $thickness);
        $angle = atan2($thickness, $length) + acos(max(-1.0, min(1.0, $width / $reach)));

        return new self($angle, $length * sin($angle) + $thickness * cos($angle), $isLikely);
    }
}
