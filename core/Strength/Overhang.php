<?php

declare(strict_types=1);

namespace Incastro\Strength;

/** A board that stands out over its support, with a person at its edge: 300 mm and what it stands out share the force. Sizes in mm, E and stress in N/mm². */
final readonly class Overhang
{
    /** What a screw from below holds a board down by, N. */
    private const HELD = 350.0;

    public function __construct(private float $wide, private float $thick, private float $out, private float $elasticity, private float $bending, private float $force = Loads::PERSON * Loads::G)
    {
    }

    public function sharing(): float
    {
        return min($this->wide, Loads::SITS_ON + $this->out);
    }

    public function stress(): float
    {
        return $this->force * $this->out / ($this->sharing() * $this->thick ** 2 / 6);
    }

    public function sag(): float
    {
        return Beam::sagOverhang($this->force, $this->out, Section::rectangle($this->sharing(), $this->thick, $this->elasticity)->stiffness());
    }

    public function limit(): float
    {
        return $this->out / 180;
    }

    public function holds(): bool
    {
        return $this->stress() <= $this->bending && $this->sag() <= $this->limit();
    }

    /** The furthest that it may stand out by its stress, mm: P·a ÷ ((300 + a)·t²/6) = σ. */
    public function furthest(): float
    {
        $most = $this->bending * $this->thick ** 2 / 6;

        return $this->force <= $most ? INF : Loads::SITS_ON * $most / ($this->force - $most);
    }

    /** Screws that hold it down so far behind the support: P·a/b₀, 350 N each, no fewer than two. */
    public function screwsBehind(float $behind): int
    {
        return max(2, (int) ceil($this->force * $this->out / $behind / self::HELD));
    }
}
