<?php

declare(strict_types=1);

namespace Incastro\Trial;

/**
 * A wall as it really is: how far it stands into the room off the line of its corners. It leans, bows up its height (a
 * parabola, one kink, or a low sine), and twists along its length. mm; share is from 0 at its first corner to 1 at the other.
 */
final readonly class TrueWall
{
    private const HEIGHT = 2400.0;

    public function __construct(
        private float $lean,
        private float $bow,
        private string $shape,
        private float $kink,
        private float $twist,
        private float $planHeight,
    ) {
    }

    public static function random(Dice $dice, float $planHeight): self
    {
        return new self(
            $dice->between(-12.0, 12.0),
            $dice->between(-6.0, 6.0),
            $dice->pick(['parabola', 'kink', 'sine']),
            $dice->between(0.3, 0.7),
            $dice->between(-3.0, 3.0),
            $planHeight,
        );
    }

    public function at(float $share, float $z): float
    {
        return ($this->lean + $this->twist * (2 * $share - 1)) * ($z - $this->planHeight) / self::HEIGHT + $this->bowed($z) - $this->bowed($this->planHeight);
    }

    private function bowed(float $z): float
    {
        $x = $z / self::HEIGHT;

        return $this->bow * match ($this->shape) {
            'parabola' => 1 - (2 * $x - 1) ** 2,
            'kink' => $x < $this->kink ? $x / $this->kink : (1 - $x) / (1 - $this->kink),
            default => sin(M_PI * $x),
        };
    }
}
