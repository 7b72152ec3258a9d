<?php

declare(strict_types=1);

namespace Incastro\Install;

/**
 * The air of the room in which things dry. Times hold at 20 °C and 50 %: twice as long for every 10 °C less, and in step with the dryness of
 * the air for what loses water (rules of thumb; the tin goes first).
 */
final readonly class Climate
{
    private const TEMPERATURES = [0.5, 4.0];

    private const DAMPS = [0.7, 3.0];

    /** Damper air lets nothing dry, %. */
    public const DAMPEST = 85.0;

    /** @param float $damp relative humidity, % */
    public function __construct(public float $celsius = 20.0, public float $damp = 50.0)
    {
    }

    /** So many times as long as at 20 °C and 50 %. */
    public function factor(Water $water): float
    {
        $warm = self::within(2 ** ((20.0 - $this->celsius) / 10.0), self::TEMPERATURES);
        $dry = 0.5 / max(0.01, 1.0 - $this->damp / 100.0);

        return $warm * match ($water) {
            Water::All => self::within($dry, self::DAMPS),
            Water::Half => self::within(sqrt($dry), self::DAMPS),
            Water::None => 1.0,
        };
    }

    /** @param array{float, float} $bounds */
    private static function within(float $factor, array $bounds): float
    {
        return min($bounds[1], max($bounds[0], $factor));
    }
}
