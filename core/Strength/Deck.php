<?php

declare(strict_types=1);

namespace Incastro\Strength;

/**
 * A lid, a seat, a tread or a sheet under a mattress, which bends one way between two bearings: a person's force is shared by a part of
 * its width that grows with the span. Sizes in mm, E and stress in N/mm² the way it spans (handbook, "Strength").
 */
final readonly class Deck
{
    /**
     * @param  float  $wide  of the board, along its bearings
     * @param  float  $force  of one person, N
     * @param  float  $patch  on which the person sits or stands
     * @param  float  $areaLoad  spread besides, N/mm²
     */
    public function __construct(
        private float $wide,
        private float $thick,
        private float $span,
        private float $elasticity,
        private float $bending,
        private float $force,
        private float $patch = Loads::SITS_ON,
        private float $areaLoad = 0.0,
    ) {
    }

    /** What shares the load: the patch and 0.6 of the span, no more than there is. */
    public function sharing(): float
    {
        return min($this->wide, $this->patch + 0.6 * $this->span);
    }

    public function moment(): float
    {
        return Beam::momentPatch($this->force, $this->patch, $this->span) + Beam::momentSpread($this->areaLoad * $this->sharing(), $this->span);
    }

    public function stress(): float
    {
        return $this->moment() / ($this->sharing() * $this->thick ** 2 / 6);
    }

    public function sag(): float
    {
        return Beam::sagPatch($this->force, $this->patch, $this->span, Section::rectangle($this->sharing(), $this->thick, $this->elasticity)->stiffness());
    }

    public function limit(): float
    {
        return $this->span / 300;
    }

    /** Of a step only its stress is asked: it is short. */
    public function isStrong(): bool
    {
        return $this->stress() <= $this->bending;
    }

    public function holds(): bool
    {
        return $this->isStrong() && $this->sag() <= $this->limit();
    }

    /** The least thickness that is strong enough, mm. */
    public function leastThickness(): float
    {
        return sqrt(6 * $this->moment() / ($this->bending * $this->sharing()));
    }

    public function ofThickness(float $thick): self
    {
        return new self(...['thick' => $thick] + get_object_vars($this));
    }

    public function ofSpan(float $span): self
    {
        return new self(...['span' => $span] + get_object_vars($this));
    }
}
