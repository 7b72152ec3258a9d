<?php

declare(strict_types=1);

namespace Incastro\Strength;

/**
 * Slats under a mattress, all mm: it spreads one person over 300 and its own thickness along the bed; the rest of the load lies evenly.
 * They may spring: only their stress is limited, N/mm² (handbook, "Strength").
 */
final readonly class Slats
{
    public function __construct(private float $wide, private float $gap, private float $mattressLength, private float $mattressWidth, private float $mattressHigh, private float $stress)
    {
    }

    /** Of one person on one slat, N. */
    public function force(): float
    {
        return Loads::newtons(Loads::PERSON) * min(1.0, $this->pitch() / (Loads::SITS_ON + $this->mattressHigh));
    }

    /** Of all that lies on the bed on one slat, N/mm. */
    public function spread(): float
    {
        return Loads::newtons(Loads::BED) / ($this->mattressWidth * $this->mattressLength) * $this->pitch();
    }

    /** N·mm over a span. */
    public function moment(float $span): float
    {
        return Beam::momentPatch($this->force(), 0.0, $span) + Beam::momentSpread($this->spread(), $span);
    }

    /** N/mm² of slats so thick over a span. */
    public function stress(float $thick, float $span): float
    {
        return $this->moment($span) / ($this->wide * $thick ** 2 / 6);
    }

    public function limit(): float
    {
        return $this->stress;
    }

    public function leastThickness(float $span): float
    {
        return sqrt(6 * $this->moment($span) / ($this->stress * $this->wide));
    }

    public function longestSpan(float $thick): float
    {
        return Beam::longest($this->spread(), $this->force(), $this->stress * $this->wide * $thick ** 2 / 6);
    }

    private function pitch(): float
    {
        return $this->wide + $this->gap;
    }
}
