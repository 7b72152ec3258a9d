<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/**
 * The angles at which strips are sawn where they meet, degrees off square: at the saw's turntable, and by the blade's tilt. Source: the
 * plane that halves the corner, seen from the strip as it lies flat on the saw.
 */
final readonly class Mitre
{
    private function __construct(public float $mitre, public float $bevel)
    {
    }

    /** A strip that stands on its edge against a wall, such as a skirting: at a corner of so many degrees between the walls. */
    public static function standing(float $corner): self
    {
        return new self(0.0, abs(180.0 - $corner) / 2);
    }

    /** A flat strip in a frame: at a corner of so many degrees between its edges. */
    public static function flat(float $corner): self
    {
        return new self(abs(180.0 - $corner) / 2, 0.0);
    }

    /**
     * A moulding under the ceiling, sawn lying flat: mitre = atan(sin S / tan(A/2)), bevel = asin(cos S · cos(A/2)).
     *
     * @param  float  $spring  S, between its back and the wall, degrees
     * @param  float  $corner  A, between the walls, degrees
     */
    public static function crown(float $spring, float $corner): self
    {
        [$s, $half] = [deg2rad($spring), deg2rad($corner / 2)];

        return new self(abs(rad2deg(atan2(sin($s) * cos($half), sin($half)))), abs(rad2deg(asin(cos($s) * cos($half)))));
    }

    /**
     * The same where it turns from level to a rake on one wall: mitre = atan(cos S · tan(θ/2)), bevel = asin(sin S · sin(θ/2)).
     *
     * @param  float  $rake  θ, degrees
     */
    public static function crownToRake(float $spring, float $rake): self
    {
        [$s, $half] = [deg2rad($spring), deg2rad($rake / 2)];

        return new self(abs(rad2deg(atan(cos($s) * tan($half)))), abs(rad2deg(asin(sin($s) * sin($half)))));
    }

    /** How much longer than its back a strip of this thickness is at the long point of an outside corner. */
    public static function longPoint(float $thickness, float $corner): float
    {
        return $thickness * tan(deg2rad(abs(180.0 - $corner) / 2));
    }
}
