<?php

declare(strict_types=1);

namespace Incastro\Trial;

/**
 * How a surface stands off its plane: smooth waves of several lengths and directions, and a few bumps and hollows. mm, by
 * place on the surface.
 */
final readonly class Plaster
{
    private const WAVES = 6;

    /** Lengths of waves, and widths of bumps. */
    private const LONG = [600.0, 2000.0];

    private const WIDE = [50.0, 150.0];

    /** A surface has one bump on so much of it, mm². */
    private const ONE_ON = 1.2e6;

    /**
     * @param  list<array{float, float, float, float}>  $waves  height, turns for each mm along and up, and phase
     * @param  list<array{float, float, float, float}>  $bumps  height, place along and up, and half width
     */
    public function __construct(private array $waves = [], private array $bumps = [])
    {
    }

    public static function random(Dice $dice, Grade $grade, float $length, float $height): self
    {
        if ($grade === Grade::Plane) {
            return new self();
        }
        $waves = $bumps = [];
        for ($i = 0; $i < self::WAVES; $i++) {
            $turns = 2 * M_PI / $dice->between(...self::LONG);
            $way = $dice->between(0.0, M_PI);
            $waves[] = [$grade->waves() * sqrt(2 / self::WAVES), $turns * cos($way), $turns * sin($way), $dice->between(0.0, 2 * M_PI)];
        }
        for ($i = 0; $i < (int) ceil($length * $height / self::ONE_ON); $i++) {
            $bumps[] = [$dice->pick([-1.0, 1.0]) * $dice->between(0.3, 1.0) * $grade->bumps(), $dice->between(0.0, $length), $dice->between(0.0, $height), $dice->between(...self::WIDE)];
        }

        return new self($waves, $bumps);
    }

    public function at(float $along, float $up): float
    {
        $off = 0.0;
        foreach ($this->waves as [$high, $x, $y, $phase]) {
            $off += $high * sin($x * $along + $y * $up + $phase);
        }
        foreach ($this->bumps as [$high, $x, $y, $wide]) {
            $far = (($along - $x) ** 2 + ($up - $y) ** 2) / $wide ** 2;
            $off += $far > 16.0 ? 0.0 : $high * exp(-$far / 2);
        }

        return $off;
    }
}
