<?php

declare(strict_types=1);

namespace Incastro\Strength;

/**
 * A straight beam on two simple ends, or held at one: sag in mm and bending moment in N·mm. Spans and patches in mm, forces in N,
 * spread loads in N/mm, stiffness E·I in N·mm². Source: elementary beam theory, as the handbook's "Strength, as guidance" gives it; a
 * dado or a row of pocket screws is never reckoned as a fixed end. Guidance for furniture, not for the house's structure.
 */
final class Beam
{
    /** 5·w·L⁴ ÷ (384·E·I) */
    public static function sagSpread(float $load, float $span, float $stiffness): float
    {
        return 5 * $load * $span ** 4 / (384 * $stiffness);
    }

    /** P·(8L³ − 4a²L + a³) ÷ (384·E·I) for a force over a length a at mid-span; a = 0 is a point, a = L all of it. */
    public static function sagPatch(float $force, float $patch, float $span, float $stiffness): float
    {
        $patch = min($patch, $span);

        return $force * (8 * $span ** 3 - 4 * $patch ** 2 * $span + $patch ** 3) / (384 * $stiffness);
    }

    /** w·L² ÷ 8 */
    public static function momentSpread(float $load, float $span): float
    {
        return $load * $span ** 2 / 8;
    }

    /** P·(2L − a) ÷ 8; a = 0 gives P·L ÷ 4. */
    public static function momentPatch(float $force, float $patch, float $span): float
    {
        return $force * (2 * $span - min($patch, $span)) / 8;
    }

    /** The longest span, mm, over which a spread load and a force in the middle ask for no more than a moment: w·L²/8 + P·L/4 = M. */
    public static function longest(float $load, float $force, float $moment): float
    {
        return $load <= 0.0 ? 4 * $moment / $force : (sqrt(($force / 4) ** 2 + $load * $moment / 2) - $force / 4) / ($load / 4);
    }

    /** P·a³ ÷ (3·E·I): the tip of what stands out by a, with a force at its edge. */
    public static function sagOverhang(float $force, float $out, float $stiffness): float
    {
        return $force * $out ** 3 / (3 * $stiffness);
    }

    /** w·a⁴ ÷ (8·E·I): the same under a spread load. */
    public static function sagOverhangSpread(float $load, float $out, float $stiffness): float
    {
        return $load * $out ** 4 / (8 * $stiffness);
    }

    /** π²·E·I ÷ h²: the force, N, under which a post of a height buckles (Euler, both ends hinged). */
    public static function buckling(float $stiffness, float $height): float
    {
        return M_PI ** 2 * $stiffness / $height ** 2;
    }
}
