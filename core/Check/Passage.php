<?php

declare(strict_types=1);

namespace Incastro\Check;

/**
 * Whether something with three sizes goes through an opening, round a turn, or can be stood up (handbook, "Going in"). All
 * answers are in mm: how much room is to spare, negative where it does not go.
 */
final class Passage
{
    /** Angles between 0 and 90° at which a turn is tried, and slants at which a long end is raised. */
    private const ANGLES = 90;

    private const SLANTS = 45;

    /**
     * Through a door: two of the sizes with room for hands against its clear width and height, in the best attitude.
     *
     * @param  array{float, float, float}  $sizes
     */
    public static function door(array $sizes, float $width, float $height, float $hands): float
    {
        $best = -INF;
        foreach (self::attitudes($sizes) as [$across, $up]) {
            $best = max($best, min($width - $across, $height - $up) - $hands);
        }

        return $best;
    }

    /**
     * Round a turn from a passage into another: straight through without turning, or turned through every angle θ with
     * a·cos θ + b·sin θ − L·sin θ·cos θ ≥ D. The third size stands under the ceiling.
     *
     * @param  array{float, float, float}  $sizes
     */
    public static function turn(array $sizes, float $from, float $into, float $height, float $hands): float
    {
        $best = -INF;
        foreach (self::attitudes($sizes) as [$a, $b, $up]) {
            [$long, $deep] = [max($a, $b), min($a, $b)];
            $straight = max(min($from - $deep, $into - $long), min($from - $long, $into - $deep)) - $hands;
            $plan = max($straight, self::turned($long, $deep + $hands, $from, $into));
            $best = max($best, min($plan, $height - $up - $hands));
        }

        return $best;
    }

    /**
     * Round a turn with something slim, its long end raised: at some slant φ it is L·cos φ + w·sin φ long and L·sin φ + w·cos φ
     * high.
     *
     * @param  array{float, float, float}  $sizes
     */
    public static function turnRaised(array $sizes, float $from, float $into, float $height, float $hands): float
    {
        rsort($sizes);
        [$long, $wide, $thick] = $sizes;
        $best = -INF;
        for ($i = 0; $i <= self::SLANTS; $i++) {
            $slant = M_PI / 2 * $i / self::SLANTS;
            $raised = [$long * cos($slant) + $wide * sin($slant), $thick];
            $best = max($best, min(self::turned($raised[0], $raised[1] + $hands, $from, $into), $height - $hands - $long * sin($slant) - $wide * cos($slant)));
        }

        return $best;
    }

    /** What is left beside a length L and a depth D at the tightest angle of a turn. */
    public static function turned(float $long, float $deep, float $from, float $into): float
    {
        return self::tightest($long, $from, $into)[0] - $deep;
    }

    /** @return array{float, float} the depth that a length L leaves room for at the tightest angle of a turn, and that angle θ, rad */
    public static function tightest(float $long, float $from, float $into): array
    {
        $tightest = [INF, 0.0];
        for ($i = 0; $i <= self::ANGLES; $i++) {
            $angle = M_PI / 2 * $i / self::ANGLES;
            $room = $from * cos($angle) + $into * sin($angle) - $long * sin($angle) * cos($angle);
            $tightest = $room < $tightest[0] ? [$room, $angle] : $tightest;
        }

        return $tightest;
    }

    /** Stood up: √(H² + D²) + allowance under the clear height where it is tilted. */
    public static function tilted(float $height, float $depth, float $ceiling, float $allowance): float
    {
        return $ceiling - hypot($height, $depth) - $allowance;
    }

    /** Upright onto its plinth: H + plinth + allowance along the whole slide. */
    public static function upright(float $height, float $plinth, float $ceiling, float $allowance): float
    {
        return $ceiling - $height - $plinth - $allowance;
    }

    /**
     * @param  array{float, float, float}  $sizes
     * @return list<array{float, float, float}>
     */
    private static function attitudes(array $sizes): array
    {
        [$a, $b, $c] = $sizes;

        return [[$a, $b, $c], [$b, $a, $c], [$a, $c, $b], [$c, $a, $b], [$b, $c, $a], [$c, $b, $a]];
    }
}
