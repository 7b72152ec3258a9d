<?php

declare(strict_types=1);

namespace Incastro\Trial;

/**
 * A wall as it really is: how far it stands into the room off the line of its corners. It leans, bows up its height (a
 * parabola, one kink, or a low sine), twists along its length, may have a kink there, and has plaster on it. mm; share is from 0 at its first corner to 1 at the other.
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
        private float $length = 0.0,
        private Plaster $plaster = new Plaster(),
        private float $bent = 0.0,
        private float $bentAt = 0.5,
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

    /** The same of a length, with plaster, and a kink so far in at a share of it. */
    public function plastered(float $length, Plaster $plaster, float $bent, float $bentAt): self
    {
        return new self($this->lean, $this->bow, $this->shape, $this->kink, $this->twist, $this->planHeight, $length, $plaster, $bent, $bentAt);
    }

    public function at(float $share, float $z): float
    {
        return $this->plaster->at($share * $this->length, $z) + $this->bent * ($share < $this->bentAt ? $share / $this->bentAt : (1 - $share) / (1 - $this->bentAt)) + ($this->lean + $this->twist * (2 * $share - 1)) * ($z - $this->planHeight) / self::HEIGHT + $this->bowed($z) - $this->bowed($this->planHeight);
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
