<?php

declare(strict_types=1);

namespace Incastro\Strength;

/** How many concealed hinges carry a leaf: by its height, and by its weight, where it is up to 600 wide; mm and kg. Makers' tables go first. */
final class Hinges
{
    /** Up to so high, mm and inches. */
    private const HIGH = [2 => [900.0, 36.0], 3 => [1600.0, 64.0], 4 => [2000.0, 80.0], 5 => [2400.0, 96.0]];

    private const HEAVY = [2 => 6.0, 3 => 12.0, 4 => 17.0, 5 => 22.0];

    /** A wider leaf counts as heavier by as much, and neither hangs true nor stands close. */
    public const WIDE = 600.0;

    /** Null where none carry it. */
    public static function carrying(float $high, float $kilograms, float $wide): ?int
    {
        foreach (self::HIGH as $count => [$most]) {
            if ($high <= $most && self::forWeight($kilograms, $wide) <= $count) {
                return $count;
            }
        }

        return null;
    }

    public static function forHeight(float $high, bool $isInch): int
    {
        foreach (self::HIGH as $count => [$millimetres, $inches]) {
            if ($high <= ($isInch ? $inches * 25.4 : $millimetres)) {
                return $count;
            }
        }

        return array_key_last(self::HIGH);
    }

    /** One more than there are where it is heavier than all of them carry. */
    public static function forWeight(float $kilograms, float $wide): int
    {
        $weight = $kilograms * max(1.0, $wide / self::WIDE);
        foreach (self::HEAVY as $count => $most) {
            if ($weight <= $most) {
                return $count;
            }
        }

        return array_key_last(self::HEAVY) + 1;
    }
}
